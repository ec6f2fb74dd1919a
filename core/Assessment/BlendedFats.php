<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\MixturePart;
use Crown\Measure\Band;

/**
 * What each part of a blend gives it of effective solids. Alone it would be what its curve says times its structure
 * factor; in a blend liquid oil dissolves solid fat, fats of two kinds soften each other, and a lattice of wax is built
 * once it is there. Method page: docs/methods/texture.md.
 */
final readonly class BlendedFats
{
    /**
     * Kelvin by which fats of a kind behave as if they were warmer for each halving of their share of all that can
     * dissolve them:
     * ideal solubility, R T² ln 2 / ΔH, with some 176 kJ/mol for the melting of a fat of the cocoa kind at 30 °C. A
     * band, since the heat of melting is one.
     */
    private const KELVIN_PER_HALVING = [2.0, 3.0, 4.0];

    /** Less than this part of what dissolves it is dissolved no further: the rule is not known to hold so far. */
    private const LEAST = 0.0625;

    /** Share of wax at which its lattice is built: what more of it gives is its solids alone, a fraction. */
    private const LATTICE = 0.3;

    public Eutectic $eutectic;

    /** What waxes give beyond their solids, as a part of their structure factor; 1 up to 30 % of wax. */
    private float $lattice;

    /** @param  list<MixturePart>  $parts amounts as fractions of the whole */
    private function __construct(private array $parts)
    {
        $this->eutectic = Eutectic::of($parts);
        $wax = 0.0;
        foreach ($parts as $part) {
            $wax += $part->ingredient->kind === IngredientKind::Wax ? $part->amount : 0.0;
        }
        $this->lattice = $wax > self::LATTICE ? self::LATTICE / $wax : 1.0;
    }

    /** @param  list<MixturePart>  $parts in any unit, as the whole has them: water and powders too */
    public static function of(array $parts): self
    {
        $whole = array_sum(array_map(static fn (MixturePart $p): float => $p->amount, $parts));

        return new self(
            $whole > 0.0
                ? array_map(
                    static fn (MixturePart $p): MixturePart => new MixturePart($p->ingredient, $p->amount / $whole),
                    $parts,
                )
                : [],
        );
    }

    /**
     * Effective solids that each of some ingredients gives per whole share, in per cent; a blend has their sum, each
     * times its share.
     *
     * @param  list<Ingredient>  $ingredients that are in it
     * @return list<Band> in their order
     */
    public function given(array $ingredients, float $celsius): array
    {
        $softer = $this->eutectic->factor($celsius);
        $liquid = $this->liquid($celsius);

        return array_map(
            function (Ingredient $fat) use ($celsius, $softer, $liquid): Band {
                $warmer = $this->warmer($fat, $celsius, $liquid);
                $structure = $this->structure($fat);
                $given = Band::of(
                    $fat->composition->solidFat->at($celsius + $warmer->high) * $structure,
                    $fat->composition->solidFat->at($celsius + $warmer->best) * $structure,
                    $fat->composition->solidFat->at($celsius + $warmer->low) * $structure,
                );

                return Eutectic::concerns($fat) ? $given->times($softer) : $given;
            },
            $ingredients,
        );
    }

    /** Where the last of a fat is dissolved in this blend, °C; null where its curve does not end within its points. */
    public function end(Ingredient $fat): ?float
    {
        $end = $fat->composition->solidFat->end();

        return $end === null ? null : $end - $this->warmer($fat, $end, $this->liquid($end))->best;
    }

    /**
     * By how many kelvin a fat behaves as if it were warmer: 0 for what is not a fat that dissolves. Fats of its own
     * kind, lauric or not, set together with it; what softens it by its own rule is counted there.
     */
    private function warmer(Ingredient $fat, float $celsius, float $liquid): Band
    {
        if (! self::dissolves($fat)) {
            return Band::exact(0.0);
        }
        $isLauric = Eutectic::isLauric($fat);
        $kin = $kinLiquid = $partners = 0.0;
        foreach ($this->parts as $part) {
            if (! self::dissolves($part->ingredient)) {
                continue;
            }
            $itsLiquid = $part->amount * self::liquidPart($part->ingredient, $celsius);
            if (Eutectic::isLauric($part->ingredient) === $isLauric) {
                $kin += $part->amount;
                $kinLiquid += $itsLiquid;
            } elseif ($this->eutectic->softens() && Eutectic::concerns($fat)) {
                $partners += Eutectic::concerns($part->ingredient) ? $itsLiquid : 0.0;
            }
        }
        $others = max(0.0, $liquid - $kinLiquid - $partners);
        $halvings = $kin > 0.0 ? -log(max(self::LEAST, $kin / ($kin + $others)), 2) : 0.0;
        [$low, $best, $high] = self::KELVIN_PER_HALVING;

        return Band::of($low * $halvings, $best * $halvings, $high * $halvings);
    }

    /** Part of the whole that is liquid fat at a temperature, a fraction. */
    private function liquid(float $celsius): float
    {
        $liquid = 0.0;
        foreach ($this->parts as $part) {
            $liquid += $part->amount * self::liquidPart($part->ingredient, $celsius);
        }

        return $liquid;
    }

    private function structure(Ingredient $fat): float
    {
        $factor = $fat->composition->solidFat->structure;

        return $fat->kind === IngredientKind::Wax && $factor > 1.0 ? 1 + ($factor - 1) * $this->lattice : $factor;
    }

    /** Butters and oils that set; waxes and pellets are measured as they stand in oil. */
    private static function dissolves(Ingredient $fat): bool
    {
        return ($fat->kind === IngredientKind::Butter || $fat->kind->isLiquidFat())
            && ! $fat->composition->solidFat->isLiquid();
    }

    /** Part of an ingredient that can dissolve a fat, 0 to 1. */
    private static function liquidPart(Ingredient $of, float $celsius): float
    {
        $oily = $of->kind === IngredientKind::Butter
            || $of->kind->isLiquidFat()
            || $of->kind === IngredientKind::EssentialOil;

        return $oily && $of->composition->solidFat->known()
            ? 1 - min(100.0, $of->composition->solidFat->at($celsius)) / 100
            : 0.0;
    }
}
