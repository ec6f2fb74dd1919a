<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\MixturePart;
use Crown\Catalogue\SolidFat;
use Crown\Measure\Band;
use Crown\Measure\Property;

/**
 * Effective solids against temperature: S(T) = sum of share x SFC(T) x structure factor, each fat as much softer as the
 * oil round it dissolves of it (BlendedFats). Method page: docs/methods/texture.md. An estimate.
 */
final readonly class Texture
{
    /** Effective solids at which it just pours, per cent. */
    public const POURS = 8.0;

    /** Where the curves end, °C. */
    public const LAST = 40.0;

    /** Where S is worked out, °C; between them it is drawn in straight lines. */
    private const GRID = [10, 15, 20, 22.5, 25, 27.5, 30, 32, 35, 40];

    /** Share of powder and plant from which it is a paste. Source: estimate of ours. */
    private const PASTE = 0.5;

    /** Relative half-width of a solid-fat curve read from a handbook for another harvest. */
    private const SPREAD = 0.12;

    /** Where a product is met, °C. */
    public const PLACES = ['cold room' => self::COLD_ROOM, 'room' => 21.0, 'hot day' => self::HOT_DAY, 'skin' => 34.5];

    public const COLD_ROOM = 12.0;

    public const HOT_DAY = 32.0;

    /** @var list<array{float, Band}> effective solids, per cent, at the points between which they are straight lines */
    private array $points;

    /** Whether fats in it soften each other. */
    public Eutectic $eutectic;

    /** @param  list<Portion>  $unknown melted lines whose solid-fat curve is not known */
    private function __construct(private Composition $composition, public array $unknown, public Shift $learned)
    {
        $blended = BlendedFats::of(
            array_map(
                static fn (Portion $p): MixturePart => new MixturePart($p->ingredient, $p->share->best),
                $composition->counted(),
            ),
        );
        $this->eutectic = $blended->eutectic;
        $solid = array_values(
            array_filter(
                $composition->counted(),
                static fn (Portion $p): bool => ! $p->ingredient->composition->solidFat->isLiquid(),
            ),
        );
        $ends = array_map(static fn (Portion $p): ?float => $blended->end($p->ingredient), $solid);
        $at = $solid === []
            ? [SolidFat::TEMPERATURES[0]]
            : array_unique([...self::GRID, ...array_filter($ends, static fn (?float $c): bool => $c > self::GRID[0])]);
        sort($at);
        $this->points = array_map(
            fn (float $celsius): array => [$celsius, $this->worked($celsius, $solid, $blended)],
            array_map(floatval(...), $at),
        );
    }

    /** @param  Shift|null  $learned what the studio's own batches of this family have shown */
    public static function of(Composition $composition, ?Shift $learned = null): self
    {
        return new self(
            $composition,
            array_values(
                array_filter(
                    $composition->counted(),
                    static fn (Portion $p): bool => $p->ingredient->isPlaced()
                        && ! $p->ingredient->composition->solidFat->known(),
                ),
            ),
            $learned ?? Shift::none(),
        );
    }

    /**
     * Whether anything can be said of what is counted: every curve is known, and it is fats and oils that hold it. From
     * half of it on powder and plant make a paste, of which no curve speaks.
     */
    public function hasCurves(): bool
    {
        $powder = 0.0;
        foreach ($this->composition->counted() as $portion) {
            $powder += $portion->ingredient->kind->makesPaste() ? $portion->share->best : 0.0;
        }

        return $this->unknown === []
            && $this->composition->counted() !== []
            && $powder < self::PASTE;
    }

    /** Whether it is that of the whole: nothing is in it of which nobody knows what it is, or how much there is. */
    public function isKnown(): bool
    {
        return $this->hasCurves() && $this->composition->unknown->leavesFigures();
    }

    /** Effective solids in per cent at a temperature, with the band of the shares and of the curves. */
    public function solids(float $celsius): Band
    {
        [$cold, $firm] = $this->points[0];
        foreach ($this->points as [$warm, $soft]) {
            if ($celsius <= $warm) {
                $part = $warm > $cold ? max(0.0, ($celsius - $cold) / ($warm - $cold)) : 1.0;

                return $firm->scaled(1 - $part)->plus($soft->scaled($part));
            }
            [$cold, $firm] = [$warm, $soft];
        }

        return $firm;
    }

    /** @param  list<Portion>  $solid what is not liquid */
    private function worked(float $celsius, array $solid, BlendedFats $blended): Band
    {
        $low = $best = $high = 0.0;
        $given = $blended->given(array_map(static fn (Portion $p): Ingredient => $p->ingredient, $solid), $celsius);
        foreach ($given as $i => $percent) {
            $share = $solid[$i]->share;
            $low += $share->low * $percent->low * (1 - self::SPREAD);
            $best += $share->best * $percent->best;
            $high += $share->high * $percent->high * (1 + self::SPREAD);
        }

        // No more than all of it can be solid.
        return Band::of($low, $best, $high)->scaled($this->learned->factor)->atMost(100.0);
    }

    /** @return array<int, float> best, per cent, keyed by °C */
    public function curve(): array
    {
        $curve = [];
        foreach (SolidFat::TEMPERATURES as $celsius) {
            $curve[$celsius] = $this->solids((float) $celsius)->best;
        }

        return $curve;
    }

    public function class(): TextureClass
    {
        return TextureClass::ofSolids($this->solids(25.0)->best);
    }

    /**
     * The temperature at which it first pours (S falls to 8), to half a degree; 10 when it always does, 40 when not by
     * then.
     */
    public function poursFrom(): float
    {
        return ceil($this->fallsTo(self::POURS) * 2) / 2;
    }

    /**
     * The coolest temperature at which it still pours, also above the curve: from what is solid at 40 °C down to
     * nothing at the highest melting point of its lines.
     */
    public function coolestPour(): float
    {
        $last = $this->solids(self::LAST)->best;
        if ($last <= self::POURS) {
            return $this->poursFrom();
        }
        $melted = self::LAST + 1.0;
        foreach ($this->composition->counted() as $portion) {
            $facts = $portion->ingredient->facts;
            if (! $portion->ingredient->composition->solidFat->isLiquid() && $facts->has(Property::Melting)) {
                $melted = max($melted, $facts->get(Property::Melting)->band->best);
            }
        }

        return self::LAST + (($melted - self::LAST) * ($last - self::POURS)) / $last;
    }

    /**
     * Where the last of it is as good as melted (S falls to 2): 10 when it is liquid in the cold, 40 when not by then.
     */
    public function meltsAt(): float
    {
        return $this->fallsTo(2.0);
    }

    /**
     * The temperature at which S falls to a level. Exact, since S is made of straight lines between its points.
     *
     * @param  float  $level effective solids, per cent
     * @return float °C from 10 to 40: 10 when it is at or under it already there, 40 when it is still over it there
     */
    public function fallsTo(float $level): float
    {
        [$cold, $firm] = [10.0, INF];
        foreach ($this->points as [$celsius, $band]) {
            $solids = $band->best;
            if ($solids <= $level) {
                return $firm === INF ? 10.0 : $cold + (($celsius - $cold) * ($firm - $level)) / ($firm - $solids);
            }
            [$cold, $firm] = [$celsius, $solids];
        }

        return 40.0;
    }

    /**
     * @return list<array{place: string, celsius: float, solids: Band, label: string}> how it stands where it will be
     *     met
     */
    public function moments(): array
    {
        $moments = [];
        foreach (self::PLACES as $place => $celsius) {
            $solids = $this->solids($celsius);
            $moments[] = [
                'place' => $place,
                'celsius' => $celsius,
                'solids' => $solids,
                'label' => TextureClass::ofSolids($solids->best)->label(),
            ];
        }

        return $moments;
    }
}
