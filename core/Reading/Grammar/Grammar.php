<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Catalogue\Nature;
use Crown\Catalogue\ScentAllergens;
use Crown\Measure\Property;
use Crown\Reading\Grammar\Phrase\AmountThenName;
use Crown\Reading\Grammar\Phrase\Balance;
use Crown\Reading\Grammar\Phrase\Capsules;
use Crown\Reading\Grammar\Phrase\Covering;
use Crown\Reading\Grammar\Phrase\Divided;
use Crown\Reading\Grammar\Phrase\Figures;
use Crown\Reading\Grammar\Phrase\ForSoMuch;
use Crown\Reading\Grammar\Phrase\Holds;
use Crown\Reading\Grammar\Phrase\MixOf;
use Crown\Reading\Grammar\Phrase\NameAlone;
use Crown\Reading\Grammar\Phrase\NameThenAmount;
use Crown\Reading\Grammar\Phrase\PartOfVessel;
use Crown\Reading\Grammar\Phrase\Ratio;
use Crown\Reading\Grammar\Phrase\TimesAs;
use Crown\Reading\Grammar\Phrase\Together;
use Crown\Reading\Grammar\Phrase\Told;
use Crown\Reading\Internal\Names;

/** The phrases that recipes are made of, and rows read by them. Method page: docs/methods/reading.md. */
final readonly class Grammar
{
    /** Signs between the pieces of a list. */
    private const BETWEEN = [',', ';', '•', '/', '|', ':'];

    /** Letters of a unit that may be cut short. */
    private const SHORT = 4;

    /** Words of a name that is a sentence of its own. */
    private const NAMED = 4;

    /** @var list<Phrase> */
    private array $phrases;

    private Namings $called;

    public function __construct(private Names $names)
    {
        $called = $this->called = new Namings($names);
        $lists = new NameLists($called);
        $tails = new Tails($called);
        $this->phrases = [
            new AmountThenName($called, $tails),
            new NameThenAmount($called, $tails),
            new Together($lists),
            new Ratio($lists),
            new Divided($lists),
            new Balance($called),
            new PartOfVessel($called),
            new TimesAs($called),
            new Capsules($called),
            new ForSoMuch($called),
            new Covering($called),
            new MixOf($called),
            new Figures(),
            new Holds($called),
            new Told(),
            new NameAlone($called),
        ];
    }

    /** Whether it is a plant, which takes next to no room in what it stands in. */
    public function isPlant(string $name): bool
    {
        $match = $this->names->matching($name)[0] ?? null;

        return $match !== null && $match->ingredient->kind->isPlant();
    }

    /** Whether a jar may be filled up with it: of citric acid, "q.s." says as much as it needs. */
    public function fillsUp(string $name): bool
    {
        $match = $this->names->matching($name)[0] ?? null;

        return $match === null || $match->score < Names::SURE || $match->ingredient->kind->fillsUp();
    }

    /** Whether it is an oil or a butter, in which a plant may be steeped. */
    public function isFat(string $name): bool
    {
        $match = $this->names->matching($name)[0] ?? null;

        return $match !== null && $match->score >= Names::SURE && $match->ingredient->kind->isFat();
    }

    /** @return list<Named> what the words at a place name by the letter */
    public function namedAt(int $place, Chart $chart): array
    {
        return $this->called->exactly($place, $chart);
    }

    /**
     * The sentences of a row, each read.
     *
     * @param  int  $n number of the row
     * @return list<Sentence>
     */
    public function sentences(string $row, int $n, Vocabulary $vocabulary, OwnMeasures $measures): array
    {
        $sentences = [];
        $whole = Chart::of(self::withoutStruck($row), $vocabulary, $measures);
        foreach ($this->cut(self::withoutStruck($row), $whole) as [$text, $before]) {
            $chart = $before === 0 && $text === $row ? $whole : Chart::of($text, $vocabulary, $measures);
            if ($chart->length > 0) {
                $sentences[] = new Sentence($text, $chart, Cover::of($chart, $this->phrases), [[0, $n, $before]]);
            }
        }

        return $sentences;
    }

    /** Whether a word was cut at the end of a row: "coco-" over "nut oil". */
    public static function isCutWord(Sentence $one, Sentence $next): bool
    {
        return preg_match('/\p{L}{2}-$/u', $one->text) === 1 && preg_match('/^\p{Ll}{2}/u', $next->text) === 1
            && ! $next->chart->is(0, Kind::Plus, Kind::Or);
    }

    /** Two rows as one sentence. */
    public function joined(Sentence $one, Sentence $next, Vocabulary $vocabulary, OwnMeasures $measures): Sentence
    {
        $text = $one->text.(self::isCutWord($one, $next) ? Lexer::JOINED : ' ').$next->text;
        $chart = Chart::of($text, $vocabulary, $measures);

        return $one->andThen($text, $chart, Cover::of($chart, $this->phrases), $next);
    }

    /**
     * Pieces of a list that nobody knows: words between its signs of which nothing was taken.
     *
     * @return list<Item>
     */
    public function strangers(Sentence $sentence): array
    {
        $chart = $sentence->chart;
        $taken = $sentence->taken();
        $found = [];
        for ($from = 0; $from < $chart->length; $from = $to + 1) {
            $to = $from;
            while ($to < $chart->length && ! $chart->isSign($to, ...self::BETWEEN)) {
                $to++;
            }
            $name = $this->stranger($from, $to, $taken, $chart);
            if ($name !== null) {
                $found[] = new Item(null, $name);
            }
        }

        return $found;
    }

    /** @param  array<int, Found>  $taken */
    private function stranger(int $from, int $to, array $taken, Chart $chart): ?Named
    {
        $run = $this->called->run($from, $chart);
        // One word that is known for something else is no name, and what heads a list is none.
        $isHead = $chart->isSign($to, ':') || $chart->is($from, Kind::HeadList, Kind::Stop)
            || ($to === $from + 1 && $chart->isKnown($from));
        $isFree = array_filter(array_keys($taken), static fn (int $p): bool => $p >= $from && $p < $to) === [];
        $isWhole = $isFree && $run === $to && $to > $from && ! ScentAllergens::has($chart->text($from, $to));

        return match (true) {
            $isHead => null,
            $isWhole => new Named($chart->text($from, $to), Namings::UNKNOWN, $from, $to),
            $this->isLike($from, $taken, $chart) => new Named($chart->text($from, $run), Namings::SURELY, $from, $run),
            default => null,
        };
    }

    /** The token after words that may be a name; the place itself where none begins. */
    public function run(int $place, Chart $chart): int
    {
        return $this->called->run($place, $chart);
    }

    /** What a name means; "" where nothing is near enough. */
    public function meant(string $name): string
    {
        return $this->names->meant($name);
    }

    /** Whether a thing is counted by the piece: an egg, an onion. */
    public function isCounted(string $name): bool
    {
        $match = $this->names->matching($name)[0] ?? null;

        return ($match !== null && $match->ingredient->facts->has(Property::PieceGrams)) || Nature::isFruit($name);
    }

    /**
     * Whether the words at a place are all but a name that is known: "sunflour oil to cover".
     *
     * @param  array<int, Found>  $taken
     */
    private function isLike(int $place, array $taken, Chart $chart): bool
    {
        $run = $this->called->run($place, $chart);
        for ($at = $place; $at < $run; $at++) {
            if (isset($taken[$at])) {
                return false;
            }
        }
        $text = $chart->text($place, $run);

        return $run > $place && mb_strlen($text) > 5 && ($this->names->matching($text)[0]->score ?? 0.0) >= Names::SURE;
    }

    /** @return non-empty-list<array{string, int}> sentences, each with the characters of the row before it */
    private function cut(string $row, Chart $chart): array
    {
        $sentences = [];
        $from = 0;
        for ($place = 1; $place < $chart->length - 1; $place++) {
            $turns = self::turns($place, $from, $chart);
            if ($turns || self::ends($place, $chart)) {
                $to = $turns ? $chart->tokens[$place]->start : $chart->tokens[$place]->end;
                $sentences[] = [mb_substr($row, $from, $to - $from), $from];
                $from = $to;
            }
        }

        return [...$sentences, [mb_substr($row, $from), $from]];
    }

    /**
     * Whether another making is told of from a place on: "I used to take coconut, | now it is babassu".
     *
     * @param  int  $from the first character of the sentence
     */
    private static function turns(int $place, int $from, Chart $chart): bool
    {
        if (! $chart->is($place, Kind::Now)) {
            return false;
        }
        for ($at = $place - 1; $at >= 0 && $chart->tokens[$at]->start >= $from; $at--) {
            if ($chart->is($at, Kind::Variant)) {
                return true;
            }
        }

        return false;
    }

    /** Whether a sign ends a sentence: not "vit. E", "4 tbsp. Olive", "1. Melt". */
    private static function ends(int $place, Chart $chart): bool
    {
        $next = $chart->tokens[$place + 1];
        $before = $chart->tokens[$place - 1];
        $isEllipsis = $next->isSign('.', '…') || ($before->isSign('.', '…') && ! $chart->isSign($place, ')'));
        if (! $chart->isSign($place, '.', '!', '?', ')') || $next->glued || $isEllipsis
            || ! ($next->isWord() || $next->number !== null || $next->isSign('(', '"', '“', '„'))) {
            return false;
        }
        $isLow = preg_match('/^\p{Ll}/u', $next->text) === 1;

        // "20 g argan. No, 30 g."
        $mends = $chart->isSign($place + 2, ',', ':') && $chart->is($place + 1, Kind::Not, Kind::Correct);
        if ($mends || self::isWithin($place, $chart) || self::isAmountOf($place, $chart)) {
            return false;
        }

        return match (true) {
            $chart->isSign($place, ')') => $before->isSign('.', '!') && ! $isLow,
            $chart->isSign($place, '?') => ! $isLow,
            $chart->isSign($place, '!') => true,
            default => ! self::isCut($place - 1, $chart),
        };
    }

    /** "Coconut oil. 1/2 cup. Castor oil. 2 tbsp.": an amount in a sentence of its own is of the name before it. */
    private static function isAmountOf(int $place, Chart $chart): bool
    {
        $amount = Quantities::at($place + 1, $chart)[0] ?? null;
        $ends = $amount !== null && ! $amount->isBare() && $amount->unit !== Amount::FRACTION
            && ($chart->token($amount->to) === null || $chart->isSign($amount->to, '.')
                || $chart->isSign($amount->to - 1, '.'));
        for ($at = $place - 1; $ends && $at >= 0 && ! $chart->isSign($at, '.', '!'); $at--) {
            $ends = $chart->isWord($at) && Numbers::at($at, $chart) === null && $place - $at <= self::NAMED;
        }

        return $ends;
    }

    /** Whether a point stands within words that are one: "c. à s.". */
    private static function isWithin(int $place, Chart $chart): bool
    {
        for ($back = 1; $back <= 4; $back++) {
            $to = $chart->past($place - $back, Kind::Unit, Kind::Essential);
            if ($to > $place + 1 || ($to >= $place && $chart->isSign($place - $back + 1, '.') && $back > 1)) {
                return true;
            }
        }

        return false;
    }

    /** Whether a point behind a word or a figure is of it, and ends nothing: "vit.", "1.", "4 tbsp. olive". */
    private static function isCut(int $place, Chart $chart): bool
    {
        $token = $chart->tokens[$place];
        if ($token->number !== null) {
            return $place === 0 || $chart->isSign($place - 1, '.') || $chart->is($place + 2, Kind::Month);
        }
        $isShort = mb_strlen($token->text) <= self::SHORT
            && ($chart->is($place, Kind::Unit) || in_array($token->text, ['T', 't', 'c'], true));
        $number = self::numberBefore($place, $chart);
        // "4 tbsp. olive" gives the amount first; "olive 4 tbsp." ends with it.
        $isBehind = $number !== null && $chart->isSign($number - 1, '=', '→')
            || $number !== null && $chart->isSign($number - 1, '.') && self::isAmountOf($number - 1, $chart)
            || $number !== null && $chart->isWord($number - 1)
            && ! $chart->is($number - 1, Kind::Unit)
            && preg_match('/^\p{Lu}/u', $chart->tokens[$place + 2]->text) === 1;
        $isFirst = $isShort && $number !== null && ! $isBehind
            && (! $chart->is($place + 2, Kind::Act, Kind::Plus, Kind::Stop)
                || $chart->is($place + 2, Kind::ByWeight, Kind::ByVolume, Kind::Of));

        return $isFirst
            || $chart->is($place + 2, Kind::Essential)
            // "Cocoa b. 3 oz".
            || ($chart->is($place, Kind::Essential) && mb_strlen($token->text) < 3)
            || (! $isShort && $chart->is($place, Kind::Cut))
            || (! $isShort && preg_match('/^\p{Ll}$/u', $token->text) === 1
                && mb_strlen($chart->token($place - 1)->word ?? '') < 3);
    }

    /** The figure that a unit belongs to; null for none. "2 fl. oz." */
    private static function numberBefore(int $place, Chart $chart): ?int
    {
        for ($at = $place - 1; $at >= max(0, $place - 3); $at--) {
            if ($chart->tokens[$at]->number !== null) {
                return $at;
            }
            if (! $chart->isSign($at, '.') && ! $chart->is($at, Kind::Unit, Kind::Cut)) {
                return null;
            }
        }

        return null;
    }

    /** What is struck out is not there. */
    private static function withoutStruck(string $text): string
    {
        return preg_replace_callback(
            '/~~.*?~~/u',
            static fn (array $m): string => str_repeat(' ', mb_strlen($m[0])),
            $text,
        ) ?? $text;
    }
}
