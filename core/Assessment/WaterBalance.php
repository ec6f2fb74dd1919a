<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\IngredientKind;
use Crown\Formula\ProductKind;
use Crown\Measure\Band;
use Crown\Measure\Property;
use Crown\Words\Message;

/** Which line brings how much water, and the class that results. Method page: docs/methods/water.md. */
final readonly class WaterBalance
{
    /** Below this a blend counts as dry, per cent of the finished mass. */
    public const DRY = 0.1;

    /** Traces from steeps above this are free water, per cent. */
    public const MOST_TRACES = 1.0;

    /** Water that a bar, or honey, holds bound: up to this it is a matter of keeping, not of separating, per cent. */
    private const MOST_BOUND = 5.0;

    /** Oil that is lost in a spray without being held, and what a solubiliser takes up at most, per cent. */
    private const LITTLE_OIL = 0.3;

    private const MOST_SOLUBILISED = 3.0;

    /** Parts of solubiliser that hold one part of scent. */
    private const HOLDS = 2.0;

    /** Part of water and alcohol together that is alcohol, by mass, from which nothing grows: a fifth by volume. */
    private const KEEPS = 0.165;

    /** An emulsifier below this does not hold an emulsion, per cent of the finished mass. */
    private const LEAST_EMULSIFIER = 2.0;

    /**
     * @param  list<Portion>  $bearers lines that bring water, also those of which nobody knows how much there is
     * @param  list<Portion>  $may lines of which nobody knows whether they bring any
     * @param  Band  $percent water, per cent of the finished mass; open upwards where a bearer is
     * @param  WaterClass|null  $class null where it cannot be told: nothing is counted, or something dry is not known
     * @param  float  $ethanolPercent alcohol at the least, per cent of the finished mass
     * @param  bool  $isOnePhase whether it is water with what dissolves in it: nothing in it separates
     */
    private function __construct(
        public array $bearers,
        public array $may,
        public Band $percent,
        public ?WaterClass $class,
        public float $emulsifierPercent,
        public float $ethanolPercent,
        public bool $isOnePhase,
    ) {
    }

    public static function of(Composition $composition): self
    {
        $bearers = array_values(
            array_filter($composition->present(), static fn (Portion $p): bool => $p->freeWater()->high > 0.0),
        );
        $may = $composition->unknown->mayBeWet();
        $low = $best = $high = 0.0;
        foreach ($bearers as $portion) {
            $water = $portion->freeWater();
            [$low, $best, $high] = [$low + $water->low, $best + $water->best, $high + $water->high];
        }
        foreach ($may as $portion) {
            $high += $portion->share->high;
        }
        $percent = Band::of($low, $best, min(1.0, max($best, $high)))->scaled(100);
        $emulsifiers = array_filter(
            $composition->counted(),
            static fn (Portion $p): bool => $p->ingredient->composition->emulsifies,
        );
        $emulsifier = array_sum(array_map(static fn (Portion $p): float => $p->percent(), $emulsifiers));
        $spirit = self::ethanol($composition);

        return new self(
            $bearers,
            $may,
            $percent,
            self::class($composition, $percent, $bearers, $may, $emulsifier, $spirit),
            $emulsifier,
            $spirit * 100,
            self::isOnePhase($composition, $percent),
        );
    }

    /** Water, and no more oil in it than what is lost in it or what its solubilisers hold. */
    private static function isOnePhase(Composition $composition, Band $water): bool
    {
        $oily = $holds = 0.0;
        foreach ($composition->present() as $portion) {
            $kind = $portion->ingredient->kind;
            if ($portion->ingredient->composition->solubilises) {
                $holds += $portion->percent() / self::HOLDS;
            } elseif ($kind->isFat() || $kind === IngredientKind::EssentialOil || $kind === IngredientKind::OilActive) {
                $oily += $portion->counts() ? $portion->percent() : 100.0;
            }
        }

        return $water->best > 50.0 && $oily <= max(self::LITTLE_OIL, min(self::MOST_SOLUBILISED, $holds));
    }

    /**
     * Whether what water there is is held by what brought it: honey, or an active in a bar.
     *
     * @param  list<Portion>  $bearers
     */
    private static function isBound(Composition $composition, array $bearers): bool
    {
        $bar = $composition->formula->kind === ProductKind::ConditionerBar;
        foreach ($bearers as $portion) {
            $held = match ($portion->ingredient->kind) {
                IngredientKind::Humectant => true,
                IngredientKind::WaterActive, IngredientKind::Preservative => $bar,
                default => false,
            };
            if (! $held) {
                return false;
            }
        }

        return $bearers !== [];
    }

    /**
     * @param  list<Portion>  $bearers
     * @param  list<Portion>  $may
     * @param  float  $emulsifier per cent of the finished mass
     * @param  float  $spirit alcohol at the least, as a fraction of the whole
     */
    private static function class(
        Composition $composition,
        Band $percent,
        array $bearers,
        array $may,
        float $emulsifier,
        float $spirit,
    ): ?WaterClass {
        $onlySteeps
            = $may === [] && array_filter(
                $bearers,
                static fn (Portion $p): bool => $p->ingredient->kind !== IngredientKind::ReadySteep,
            ) === [];

        return match (true) {
            self::hasGrown($composition) => WaterClass::Free,
            // What it holds at worst decides; what may be wet is never dry.
            $percent->high < self::DRY && $may === [] => self::dry($composition),
            $spirit > 0.0 && $spirit >= self::KEEPS * ($spirit + $percent->high / 100) => WaterClass::Spirit,
            $may === []
                && $percent->high < self::MOST_BOUND
                && self::isBound($composition, $bearers) => WaterClass::Traces,
            // Water with what dissolves in it does not separate: a preservative that fits makes it keep.
            $may === []
                && self::isOnePhase($composition, $percent)
                && Preservative::of($composition)->fits(WaterClass::Emulsion) => WaterClass::Emulsion,
            // An emulsion needs water that is surely there, an emulsifier and enough of it for that.
            $percent->best >= self::DRY
                && $emulsifier >= max(self::LEAST_EMULSIFIER, 0.04 * $percent->best) => WaterClass::Emulsion,
            $onlySteeps && $percent->high <= self::MOST_TRACES => WaterClass::Traces,
            default => WaterClass::Free,
        };
    }

    /** Whether something wet stood in an oil of it for days: what grew there is not held by any emulsifier. */
    private static function hasGrown(Composition $composition): bool
    {
        foreach ($composition->present() as $portion) {
            if ($portion->ingredient->provenance->inherited->grown !== null) {
                return true;
            }
        }

        return false;
    }

    /** Nothing wet is in it: dry where all that is in it has a name; how much there is of it changes nothing. */
    private static function dry(Composition $composition): ?WaterClass
    {
        return match (true) {
            $composition->counted() === [] => null,
            $composition->formula->wetUse => WaterClass::WetInUse,
            $composition->unknown->names !== [] => null,
            default => WaterClass::Dry,
        };
    }

    /** Its class in words; a water with what dissolves in it is no emulsion. */
    public function label(): string
    {
        $isOpen = $this->class === WaterClass::Free && ! $this->isSurelyWet();
        $isOnePhase = $this->class === WaterClass::Emulsion && $this->isOnePhase;

        return match (true) {
            $this->class === null => Message::said('assessment.cannot-tell'),
            $isOpen => Message::said('assessment.water-balance.may-be-wet'),
            $isOnePhase => Message::said('assessment.water-balance.preserved-water'),
            default => $this->class->label(),
        };
    }

    /** Whether how much water there is, or whether there is any, cannot be told. */
    public function isOpen(): bool
    {
        return $this->may !== []
            || array_filter($this->bearers, static fn (Portion $p): bool => ! $p->counts()) !== [];
    }

    /** Whether it is wet for sure, and not only as far as nobody can say that it is not. */
    public function isSurelyWet(): bool
    {
        return $this->bearers !== [];
    }

    /** Alcohol at the least, as a fraction of the whole: it is counted on to keep the water. */
    private static function ethanol(Composition $composition): float
    {
        $ethanol = 0.0;
        foreach ($composition->counted() as $portion) {
            if ($portion->ingredient->facts->has(Property::Ethanol)) {
                $ethanol += $portion->share->low * $portion->ingredient->facts->get(Property::Ethanol)->band->low;
            }
        }

        return $ethanol;
    }
}
