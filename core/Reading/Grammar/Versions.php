<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/**
 * Several makings in one text, each under a head of one kind: "Version A" and "Version B", "Jar 1" and "Jar 2",
 * "Before" and "After". One of them is read, and it is asked: what two jars hold is never added up.
 */
final readonly class Versions
{
    /** Things with an amount that one of several makings has at least: a list of single ones is no recipe. */
    private const MAKING = 2;

    /** The value of a head that tells of the making that holds, and of the one that it took the place of. */
    private const LATER = 'later';

    private const EARLIER = 'earlier';

    /** The value of a head that may as well count the parts of one making: "jar 1", "jar 2". */
    private const VESSEL = 'vessel';

    /**
     * @param  array<int, true>  $heads by the number of the sentence
     * @param  array<int, true>  $left sentences of the makings that are not read
     * @param  string  $doubt what is asked of the one that is; "" where there is but one
     * @param  string  $title what the one that is read is called; "" where there is but one
     */
    private function __construct(
        private array $heads,
        private array $left,
        private string $doubt,
        public string $title,
    ) {
    }

    /** @param  list<Sentence>  $sentences in their order */
    public static function in(array $sentences): self
    {
        $makings = self::makings($sentences);
        if (count($makings) < 2) {
            return new self([], [], '', '');
        }
        $numbers = array_keys($makings);
        $later = array_filter(
            $numbers,
            static fn (int $n): bool => (self::says($sentences[$n])[0] ?? '') === self::LATER,
        );
        $read = $later === [] ? $numbers[0] : $later[array_key_last($later)];
        $left = [];
        foreach ($makings as $head => $to) {
            if ($head !== $read) {
                $left += array_fill_keys(range($head, $to - 1), true);
            }
        }

        return new self(
            array_fill_keys($numbers, true),
            $left,
            self::asks($read, $numbers, $sentences),
            $later === [] ? self::called($sentences[$read]) : '',
        );
    }

    /** Whether a sentence stands under the head of a making that is not read. */
    public function leaves(int $sentence): bool
    {
        return isset($this->left[$sentence]);
    }

    public function isHead(int $sentence): bool
    {
        return isset($this->heads[$sentence]);
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<Entry> the first asked which of the makings is meant
     */
    public function asked(array $entries): array
    {
        if ($this->doubt !== '' && $entries !== []) {
            $entries[0] = $entries[0]->asking($this->doubt);
        }

        return $entries;
    }

    /**
     * @param  list<Sentence>  $sentences
     * @return array<int, int> by the number of its head, in their order: the number of the sentence after it
     */
    private static function makings(array $sentences): array
    {
        $heads = array_keys(array_filter($sentences, static fn (Sentence $s): bool => self::says($s) !== null));
        $makings = [];
        $things = $said = [];
        foreach ($heads as $k => $head) {
            $to = $heads[$k + 1] ?? count($sentences);
            $named = self::named(array_slice($sentences, $head, $to - $head));
            if ($named !== []) {
                $makings[$head] = $to;
                $things[] = $named;
                $said[] = self::says($sentences[$head]);
            }
        }

        $isRecipe = array_filter($things, static fn (array $t): bool => count($t) >= self::MAKING) !== [];

        return $isRecipe && self::areOfOne($said, $things) ? self::withoutCommon($makings, $sentences) : [];
    }

    /**
     * A method that stands once, behind the last of them, is told of them all.
     *
     * @param  array<int, int>  $makings
     * @param  list<Sentence>  $sentences
     * @return array<int, int>
     */
    private static function withoutCommon(array $makings, array $sentences): array
    {
        $last = array_key_last($makings) ?? 0;
        $methods = array_keys(array_filter(
            $sentences,
            static fn (Sentence $s): bool => $s->isHeading(Kind::HeadMethod, Kind::HeadUse),
        ));
        if (($methods[0] ?? -1) > $last) {
            $makings[$last] = min($makings[$last], $methods[0]);
        }

        return $makings;
    }

    /**
     * @param  list<array{string, string, string}|null>  $said by the heads
     * @param  list<list<string>>  $things named under each
     */
    private static function areOfOne(array $said, array $things): bool
    {
        $kinds = array_unique(array_column($said, 0));
        $isPair = array_diff($kinds, [self::EARLIER, self::LATER]) === [] && count($kinds) === 2;
        $isCounted = count(array_unique(array_column($said, 1))) === 1
            && count(array_unique(array_column($said, 2))) === count($said);
        // Two jars that have nothing in common are more likely steeped apart and mixed.
        $isAlike = $kinds !== [self::VESSEL] || (count($things) > 1 && array_intersect(...$things) !== []);

        return ($isPair || $isCounted) && $isAlike;
    }

    /**
     * What the head of a making says.
     *
     * @return array{string, string, string}|null its value, its word and its figure or letter; null for no head
     */
    private static function says(Sentence $sentence): ?array
    {
        $chart = $sentence->chart;
        $to = $sentence->beginsRow() ? $sentence->headed(Kind::Version) : 0;
        $value = $to === 0 ? null : $chart->value($to - 1, Kind::Version);
        if (! is_string($value)) {
            return null;
        }
        $isPaired = $value === self::EARLIER || $value === self::LATER;
        $at = $isPaired ? $to : $chart->skip($to, '#');
        $label = $chart->token($at)->text ?? '';
        $isCounted = preg_match('/^(?:\d{1,2}|\p{L}|[IVX]{1,4})$/u', $label) === 1;
        $end = $isPaired ? $to : $at + 1;
        $closes = $end >= $chart->length || $chart->isSign($end, ':', '-', '–', '—', '(', ')', '=', '*', ']');

        return ($isPaired || $isCounted) && $closes ? [$value, $chart->token($to - 1)->word ?? '', $label] : null;
    }

    /**
     * @param  list<Sentence>  $sentences
     * @return list<string> what has an amount there
     */
    private static function named(array $sentences): array
    {
        $items = array_merge(...array_map(static fn (Sentence $s): array => $s->measured(), $sentences));

        return array_map(static fn (Item $i): string => mb_strtolower($i->name->text), $items);
    }

    /**
     * @param  list<int>  $heads
     * @param  list<Sentence>  $sentences
     */
    private static function asks(int $read, array $heads, array $sentences): string
    {
        $called = array_map(static fn (int $n): string => self::called($sentences[$n]), $heads);
        $others = array_diff($called, [self::called($sentences[$read])]);

        return sprintf(
            'The text holds %d recipes. This is "%s"; %s not read.',
            count($heads),
            self::called($sentences[$read]),
            implode(' and ', array_map(static fn (string $o): string => "\"$o\"", $others))
                .(count($others) === 1 ? ' is' : ' are'),
        );
    }

    /** The head as it is written. */
    private static function called(Sentence $sentence): string
    {
        [$value, , $label] = self::says($sentence) ?? ['', '', ''];
        $to = $sentence->headed(Kind::Version);
        $isPaired = $value === self::EARLIER || $value === self::LATER;

        return trim($sentence->chart->text($to - 1, $to).($isPaired ? '' : ' '.$label));
    }
}
