<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Measure\CupSize;

/** A recipe as its sentences say it: what each of them is, what goes in, and what is done. */
final readonly class Text
{
    /** How much dearer two rows may be than one that was torn apart. */
    private const TORN = 1.0;

    /** Tokens of a row whose name may go on in the next. */
    private const TORN_ROW = 7;

    /** @var list<Part> */
    public array $parts;

    /** @var list<Entry> in the order of the text */
    public array $entries;

    /** @var list<array{int, Item, Item}> what is named again: the part, its item there, and the item of the entry */
    public array $again;

    /** @var list<array{int, Item}> words with a figure that are no thing, each with its part */
    public array $weak;

    /** What the one of several recipes is called that is read; "" where there is but one. */
    public string $version;

    /** @param  array<int, string>  $rows by their number in the source */
    public function __construct(
        array $rows,
        private Grammar $grammar,
        private Vocabulary $vocabulary,
        CupSize $cup = CupSize::UsCustomary,
    ) {
        $sentences = $this->read($rows);
        $versions = Versions::in($sentences);
        $this->version = $versions->title;
        $this->parts = Roles::of($sentences, $versions);
        $gathering = new Gathering($this->parts, $grammar);
        $this->entries = $versions->asked($gathering->entries(new Whole($cup)));
        $this->again = $gathering->again();
        $this->weak = $gathering->weak();
    }

    /**
     * @param  array<int, string>  $rows
     * @return list<Sentence>
     */
    private function read(array $rows): array
    {
        $measures = new OwnMeasures();
        $all = [];
        foreach ($rows as $n => $row) {
            $all[] = $this->grammar->sentences($row, $n, $this->vocabulary, $measures);
        }
        $pairs = (new Columns($this->grammar))->pairs($all);
        $read = [];
        foreach ($all as $n => $sentences) {
            if (in_array($n, $pairs, true)) {
                continue;
            }
            if (isset($pairs[$n])) {
                $read[] = $this->grammar->joined($sentences[0], $all[$pairs[$n]][0], $this->vocabulary, $measures);

                continue;
            }
            $before = $read[count($read) - 1] ?? null;
            $torn = $before !== null && count($sentences) === 1 && $this->isTorn($before, $sentences[0])
                ? $this->grammar->joined($before, $sentences[0], $this->vocabulary, $measures)
                : null;
            if ($torn !== null && $before !== null && Grammar::isCutWord($before, $sentences[0])
                && $torn->cover->cost <= $before->cover->cost + $sentences[0]->cover->cost) {
                $read[count($read) - 1] = $torn;
            } elseif ($torn !== null && $before !== null && $torn->spans($before->chart->length)
                && $torn->cover->cost + self::TORN < $before->cover->cost + $sentences[0]->cover->cost) {
                $read[count($read) - 1] = $torn;
            } else {
                array_push($read, ...$sentences);
            }
        }

        return $read;
    }

    /** A name that goes on in the next row: "Prunus Armeniaca Kernel" over "Oil 35.0". */
    private function isTorn(Sentence $one, Sentence $next): bool
    {
        if (Grammar::isCutWord($one, $next)) {
            return true;
        }

        return $one->beginsRow() && $one->measured() === [] && $one->cover->left === []
            && $one->chart->length > 0 && $one->chart->length < self::TORN_ROW
            && ($next->chart->isWord($next->chart->skip(0, '('))
                // A name over its amount.
                || ($next->chart->length <= 2 && $next->chart->token(0)?->number !== null
                    && ($one->cover->items() !== [] || $one->isOfWords())));
    }

    /** Whether something of a part goes in. */
    public function holds(int $part): bool
    {
        foreach ($this->entries as $entry) {
            if ($entry->part === $part) {
                return true;
            }
        }

        return false;
    }

    /** The text in English words, a row for each sentence. */
    public function inEnglish(): string
    {
        return implode("\n", array_map(
            static fn (Part $p): string => English::of($p->sentence->text, $p->sentence->chart)->text,
            $this->parts,
        ));
    }
}
