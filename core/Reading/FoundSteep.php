<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\Step;
use Crown\Measure\Amount;
use Crown\Measure\AmountReader;
use Crown\Measure\MeasureError;
use Crown\Measure\WrittenAmount;
use Crown\Steep\SteepMethod;
use Crown\Steep\Way;
use DateTimeImmutable;
use JsonSerializable;

/**
 * A part of a recipe that is a steep of its own: plants in oil that stand or are kept warm, and are strained. Its oil
 * then stands in the formula, where per cents are of what was strained. Method page: docs/methods/reading.md.
 */
final readonly class FoundSteep implements JsonSerializable
{
    /** Minutes from which a plant kept warm in oil is drawn. */
    private const WARMED = 20.0;

    private const DAY = 1440.0;

    /** °C. */
    private const WARMEST_ROOM = 30.0;

    /** What came out of the steep, named by a line of the same recipe. */
    private const ITS_OIL = '/
        ^(?:of\ )?(?:the\ |your\ |this\ |my\ )?(?:
            (?:infused|steeped|strained|herbal|herb|macerated)\ (?:oils?|butter|infusion)
            |(?:oil\ )?infusion|macerate
        )$
    /xiu';

    private const BATH = '/\b(?:water bath|double boiler|bain|crock|slow cooker|pan of water)\b/u';

    /**
     * @param  non-empty-list<int>  $herbs numbers of their lines, from 0
     * @param  non-empty-list<int>  $oils likewise
     * @param  int|null  $days null for what the way usually takes
     * @param  float|null  $celsius null for what the way usually has
     * @param  float|null  $minutes null for what the way usually takes
     * @param  int  $last number of the step with which it ends, from 0
     */
    private function __construct(
        public array $herbs,
        public array $oils,
        public SteepMethod $method,
        public ?int $days,
        public ?float $celsius,
        public ?float $minutes,
        private int $last,
    ) {
    }

    /**
     * @param  list<ReadLine>  $lines
     * @param  list<Step>  $steps in plain words
     */
    public static function in(array $lines, array $steps): ?self
    {
        $at = self::drawn($steps);
        $herbs = self::numbers($lines, static fn (ReadLine $l): bool => $l->matches[0]->ingredient->kind->isPlant());
        $later = self::later(array_slice($steps, ($at ?? 0) + 1));
        $oils = self::numbers($lines, static fn (ReadLine $l): bool => $l->matches[0]->ingredient->kind->isLiquidFat()
            && ! self::isNamed($l, $later)
            && ! self::isShare($l->amount));
        if ($at === null || $herbs === [] || $oils === []) {
            return null;
        }
        $days = $minutes = 0.0;
        $celsius = null;
        foreach (self::standing($steps) as $step) {
            $takes = $step->minutes ?? 0.0;
            $days = self::isLong($step) ? max($days, $takes / self::DAY) : $days;
            $minutes = self::isLong($step) || $step->act === 'cool' ? $minutes : max($minutes, $takes);
            $celsius = self::isWarm($step) ? $step->celsius : $celsius;
        }
        $method = self::method($steps, $days);
        $minutes = $minutes >= self::WARMED ? min($minutes, self::DAY) : null;

        return $method->isHeated()
            ? new self($herbs, $oils, $method, null, $celsius, $minutes, $at)
            : new self($herbs, $oils, $method, min(Way::MOST_DAYS, (int) round($days)) ?: null, null, null, $at);
    }

    /**
     * The jar to begin, as the maker describes it ($defs/SteepDraft).
     *
     * @param  list<ReadLine>  $lines
     * @return array<string, mixed>
     */
    public function draft(array $lines, DateTimeImmutable $today): array
    {
        return [
            'name' => '',
            'herbs' => array_map(static fn (int $n): array => [
                'ingredient' => $lines[$n]->ingredient(),
                'form' => $lines[$n]->form === '' ? $lines[$n]->matches[0]->ingredient->usualForm() : $lines[$n]->form,
                'preparation' => 'none',
                'amount' => $lines[$n]->amount,
                'draw' => 1,
                'cost' => null,
            ], $this->herbs),
            'oils' => array_map(static fn (int $n): array => [
                'ingredient' => $lines[$n]->ingredient(),
                'amount' => $lines[$n]->amount,
                'cost' => null,
            ], $this->oils),
            'water_grams' => 0.0,
            'method' => $this->method->value,
            // In the draft 0 stands for the method's own.
            'celsius' => $this->celsius ?? 0.0,
            'minutes' => $this->minutes ?? 0.0,
            'days' => $this->days ?? $this->method->days(),
            'jar_ml' => 0.0,
            'diameter_cm' => 0.0,
            'mouth_cm' => 0.0,
            'shaken_daily' => true,
            'pressed' => false,
            'started_on' => $today->format('Y-m-d'),
        ];
    }

    /**
     * The formula with the strained oil in the place of its plants and oils, and without the steps of the steep. Where
     * a line names it ("60 g of the infused oil"), that line is it, and so much of it goes in.
     *
     * @param  string  $oil id of what is strained
     * @param  float  $grams that can be expected of it
     */
    public function strained(Formula $formula, string $oil, string $name, float $grams): Formula
    {
        $gone = [...$this->herbs, ...$this->oils];
        $rest = array_filter(
            $formula->lines,
            static fn (int $n): bool => ! in_array($n, $gone, true),
            ARRAY_FILTER_USE_KEY,
        );
        $named = array_filter($rest, static fn (Line $l): bool => $l->ingredient === null
            && $l->amount->read !== null
            && preg_match(self::ITS_OIL, $l->name) === 1);
        $amount = $named === [] ? self::expected($grams) : array_values($named)[0]->amount;
        $first = new Line('l0', $oil, mb_substr($name, 0, Line::LONGEST_NAME), $amount, '', Phase::Warm);
        $rest = array_diff_key($rest, array_slice($named, 0, 1, true));

        return $formula
            ->withLines([$first, ...array_values($rest)])
            ->withSteps(array_slice($formula->steps, $this->last + 1));
    }

    /** The amount that stands in a formula for all that can be expected of a steep, grams. */
    public static function expected(float $grams): WrittenAmount
    {
        return new WrittenAmount(Amount::number(round($grams, 1)).' g');
    }

    /** @return array<string, mixed> with lines numbered from 1 */
    public function jsonSerialize(): array
    {
        /** @param  list<int>  $lines */
        return [
            'herbs' => self::numbered($this->herbs),
            'oils' => self::numbered($this->oils),
            'method' => $this->method->value,
            'days' => $this->days ?? $this->method->days(),
            'celsius' => $this->celsius,
            'minutes' => $this->minutes,
        ];
    }

    /**
     * @param  list<int>  $lines
     * @return list<int>
     */
    private static function numbered(array $lines): array
    {
        return array_map(static fn (int $n): int => $n + 1, $lines);
    }

    /**
     * The last step of the drawing: it is strained, else it stands; null when nothing is drawn.
     *
     * @param  list<Step>  $steps
     */
    private static function drawn(array $steps): ?int
    {
        $at = null;
        foreach ($steps as $n => $step) {
            $standsAndIsStrained = self::isLong($step) && preg_match('/\bstrain/u', $step->text) === 1;
            if ($step->act === 'strain' || $standsAndIsStrained) {
                return $n;
            }
            $at = $step->act === 'steep' ? $n : $at;
        }

        return $at;
    }

    /**
     * @param  list<Step>  $steps
     * @return list<Step> in which it stands or is kept warm
     */
    private static function standing(array $steps): array
    {
        $acts = ['steep', 'heat', 'wait', 'store', 'add', 'shake', 'melt', 'other'];

        return array_values(array_filter(
            array_slice($steps, 0, (self::drawn($steps) ?? -1) + 1),
            // "Five weeks in oil, strain": one sentence, and the time is that of the standing.
            static fn (Step $s): bool => in_array($s->act, $acts, true)
                || ($s->act === 'strain' && self::isLong($s)),
        ));
    }

    /** Whether it takes days. */
    private static function isLong(Step $step): bool
    {
        return $step->minutes !== null && $step->minutes >= self::DAY;
    }

    /** Whether it is warmer than any room. */
    private static function isWarm(Step $step): bool
    {
        return $step->celsius !== null && $step->celsius > self::WARMEST_ROOM;
    }

    /** @param  list<Step>  $steps */
    private static function method(array $steps, float $days): SteepMethod
    {
        $said = mb_strtolower(implode(' ', array_map(static fn (Step $s): string => $s->text, $steps)));
        $warmed = array_filter(
            self::standing($steps),
            static fn (Step $s): bool => $s->act === 'heat' || self::isWarm($s),
        ) !== [];

        return match (true) {
            $days < 1.0 && preg_match(self::BATH, $said) === 1 => SteepMethod::WaterBath,
            $days < 1.0 && preg_match('/\b(?:jar|bottle) in hot water\b/u', $said) === 1 => SteepMethod::HotJar,
            $days < 1.0 && $warmed => preg_match('/\bblend/u', $said) === 1
                ? SteepMethod::BlendHeat
                : SteepMethod::DirectHeat,
            preg_match('/\b(?:sun|sunny|sill|window)/u', $said) === 1 => SteepMethod::SunnySill,
            default => SteepMethod::ColdDark,
        };
    }

    /**
     * What is said of the steps after the straining.
     *
     * @param  list<Step>  $steps
     */
    private static function later(array $steps): string
    {
        return mb_strtolower(implode(' ', array_map(static fn (Step $s): string => $s->text, $steps)));
    }

    private static function isNamed(ReadLine $line, string $text): bool
    {
        return $line->name !== '' && str_contains($text, mb_strtolower($line->name));
    }

    private static function isShare(string $amount): bool
    {
        try {
            return AmountReader::read($amount)->unit->isRelative();
        } catch (MeasureError) {
            return false;
        }
    }

    /**
     * @param  list<ReadLine>  $lines
     * @param  callable(ReadLine): bool  $holds
     * @return list<int>
     */
    private static function numbers(array $lines, callable $holds): array
    {
        return array_values(array_filter(
            array_keys($lines),
            static fn (int $n): bool => $lines[$n]->ingredient() !== '' && $holds($lines[$n]),
        ));
    }
}
