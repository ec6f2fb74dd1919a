<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Catalogue\Catalogue;
use Crown\Formula\Formula;
use Crown\Measure\Kitchen;
use Crown\Reading\Grammar\Entry;
use Crown\Reading\Grammar\Fates;
use Crown\Reading\Grammar\Grammar;
use Crown\Reading\Grammar\Item;
use Crown\Reading\Grammar\Part;
use Crown\Reading\Grammar\Places;
use Crown\Reading\Grammar\Role;
use Crown\Reading\Grammar\Text;
use Crown\Reading\Grammar\ToldStep;
use Crown\Reading\Grammar\Vocabulary;
use Crown\Reading\Internal\ForWhom;
use Crown\Reading\Internal\Lines;
use Crown\Reading\Internal\Names;
use Crown\Reading\Internal\People;
use Crown\Reading\Internal\Row;
use Crown\Reading\Internal\Tables;

/**
 * Reads a recipe as people scribble it. Every word comes back: in an ingredient line with how surely it was understood,
 * in a step, or in a note. Source, Tables, Text, then its lines. Method page: docs/methods/reading.md.
 */
final readonly class RecipeReader
{
    public const MOST_CHARACTERS = 60_000;

    public const MOST_LINES = 600;

    /** Lines with an amount from which what only the method names is asked about. */
    private const LISTED = 2;

    private Names $names;

    public function __construct(
        Catalogue $catalogue,
        private Kitchen $kitchen,
        Knowledge $knowledge = new Knowledge(),
    ) {
        $this->names = new Names($catalogue, $knowledge);
    }

    /**
     * @param  ReadAs  $as what the maker settled of this text
     *
     * @throws ReadingError when the text is empty, too long, or not text
     */
    public function read(string $text, ReadAs $as = new ReadAs()): Recipe
    {
        $this->names->forget();
        $source = Source::of($text);
        $rows = self::numbered(Tables::listed($source->rows));
        $vocabulary = Vocabulary::of(implode("\n", $source->rows));
        $read = new Text($rows, new Grammar($this->names), $vocabulary, $this->kitchen->cup);
        $places = new Places($text, $source->placed, $rows);
        $heard = $this->heard($this->lines($read, $places, $as), $places, $as, array_keys($rows));
        $steps = array_merge(...array_map(static fn (Part $p): array => $p->steps, $read->parts));
        self::fits($heard, $steps);

        $claims = Claims::in($read->inEnglish());
        $people = new People($vocabulary->languages);
        $title = self::title($read);
        $for = ForWhom::in(self::said($read, $heard), $people)[0] ?? ForWhom::place($title, $people);
        $fates = new Fates($read, $places, $as);
        $fates->mark(self::marked($heard));
        $fates->anywhere($for->words ?? '', Fate::Audience);
        foreach ($claims->words() as $words) {
            $fates->anywhere($words, Fate::Size);
        }

        return new Recipe(
            $title,
            array_values(array_filter(array_column($heard, 1))),
            array_map(static fn (ToldStep $s) => $s->written, $steps),
            self::notes($read),
            $for,
            $fates->spans(),
            $claims,
            array_map(static fn (ToldStep $s) => $s->plain, $steps),
            $fates->unplaced(),
            $people->names('wet', self::said($read, $heard)) !== null,
        );
    }

    /**
     * @param  list<Row>  $rows
     * @return array<int, string> by their number in the source
     */
    private static function numbered(array $rows): array
    {
        $numbered = [];
        foreach ($rows as $row) {
            $numbered[$row->of] = isset($numbered[$row->of]) ? $numbered[$row->of].' / '.$row->text : $row->text;
        }

        return $numbered;
    }

    /** @return list<array{Entry, ReadLine}> what goes in, looked up and weighed */
    private function lines(Text $text, Places $places, ReadAs $as): array
    {
        $lines = new Lines($this->names, $this->kitchen, $as);
        $isListed = count(array_filter(
            $text->entries,
            static fn (Entry $e): bool => $e->amount !== null && ! $e->onlyTold,
        )) >= self::LISTED;

        return array_map(function (Entry $entry) use ($text, $places, $lines, $isListed): array {
            $part = $text->parts[$entry->part];
            [$row] = $part->sentence->placeOf($part->sentence->chart->token($entry->item->name->from)->start ?? 0);
            $others = array_map(
                static fn (Item $i): array => [$i->name->text, $i->amount->text ?? ''],
                $entry->item->choices,
            );
            $line = $lines->placed($places->row($row), $entry->name(), $entry->says(), $others, $entry->optional)
                ->under($part->phase)
                ->on($row, $places->row($row));
            $line = $entry->onlyTold && $isListed
                ? $line->asking(Asked::Ingredient, 'Named only in the method.')
                : $line;

            return [$entry, $entry->doubt === '' ? $line : $line->asking(Asked::Amount, $entry->doubt)];
        }, $text->entries);
    }

    /**
     * The lines as the maker put them right: another ingredient or amount, one that is none, one that was not read.
     *
     * @param  list<array{Entry, ReadLine}>  $lines
     * @param  list<int>  $rows
     * @return list<array{Entry|null, ReadLine|null, ReadLine|null}> what it was read of, the line, and the line as
     *     it was read
     */
    private function heard(array $lines, Places $places, ReadAs $as, array $rows): array
    {
        $by = new Lines($this->names, $this->kitchen, $as);
        $heard = [];
        foreach ($lines as [$entry, $line]) {
            $said = $as->about($line->place, $line->name, $line->writtenAmount);
            $heard[] = match (true) {
                $said === null => [$entry, $line, $line],
                $said->out => [$entry, null, $line],
                default => [$entry, $by->corrected($line, $said), $line],
            };
        }
        foreach ($rows as $row) {
            foreach ($as->in($places->row($row)) as $said) {
                $added = $by->added($places->row($row), $said);
                if ($added !== null) {
                    $heard[] = [null, $added->on($row, $places->row($row)), $added];
                }
            }
        }

        return $heard;
    }

    /**
     * @param  list<array{Entry|null, ReadLine|null, ReadLine|null}>  $heard
     * @return list<array{Entry, ReadLine, int|null}> with the number of the line
     */
    private static function marked(array $heard): array
    {
        $marked = [];
        $number = 0;
        foreach ($heard as [$entry, $line, $read]) {
            $number += $line === null ? 0 : 1;
            if ($entry !== null && $read !== null) {
                $marked[] = [$entry, $line ?? $read, $line === null ? null : $number];
            }
        }

        return $marked;
    }

    /**
     * @param  list<array{Entry|null, ReadLine|null, ReadLine|null}>  $lines
     * @param  list<ToldStep>  $steps
     *
     * @throws ReadingError when there are more than a formula holds
     */
    private static function fits(array $lines, array $steps): void
    {
        if (count($lines) > Formula::MOST_LINES) {
            throw ReadingError::tooManyIngredients(Formula::MOST_LINES);
        }
        if (count($steps) > Formula::MOST_STEPS) {
            throw ReadingError::tooManySteps(Formula::MOST_STEPS);
        }
    }

    private static function title(Text $text): string
    {
        foreach ($text->parts as $part) {
            if ($part->role === Role::Title) {
                return trim(preg_replace(['/[*_`#]+/u', '/[\s:–—-]+$/u'], '', $part->sentence->title()) ?? '');
            }
        }

        return $text->version;
    }

    /** @return list<string> what is neither a title, nor goes in, nor is done */
    private static function notes(Text $text): array
    {
        $notes = [];
        foreach ($text->parts as $n => $part) {
            $isRemark = $part->steps === [] && ! $text->holds($n);
            if ($part->role !== Role::Title && $isRemark) {
                $notes[] = trim($part->sentence->text);
            }
        }

        return $notes;
    }

    /**
     * What a text says besides the names of what goes in: "baby aloe" is not whom it is for.
     *
     * @param  list<array{Entry|null, ReadLine|null, ReadLine|null}>  $heard
     */
    private static function said(Text $text, array $heard): string
    {
        $known = [];
        foreach ($heard as [$entry, $line]) {
            if ($entry !== null && $line !== null && $line->ingredient() !== '') {
                $known[$entry->part][] = $entry->item;
            }
        }
        $said = [];
        foreach ($text->parts as $n => $part) {
            $words = '';
            foreach ($part->sentence->chart->tokens as $place => $token) {
                $named = array_filter(
                    $part->role === Role::Title ? [] : $known[$n] ?? [],
                    static fn (Item $i): bool => $i->name->from <= $place && $place < $i->name->to,
                );
                $words .= ($token->glued ? '' : ' ').($named === [] ? $token->text : '');
            }
            $said[] = $words;
        }

        return implode("\n", $said);
    }
}
