<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\MixturePart;
use Crown\Catalogue\SolidFat;
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

    /** Share of the whole that is liquid fat even in the cold. */
    private float $oil;

    /** @var list<array{float, SolidFat}> what sets and, where it is liquid, can dissolve a fat: its share, its curve */
    private array $oily;

    /** @var array<int, list<array{float, SolidFat}>> fats that dissolve, by lauric (1) or not (0) */
    private array $kin;

    /** @var array<int, list<array{float, SolidFat}>> those of them that soften each other, likewise */
    private array $partners;

    /** @var array<string, array{float, int|null, bool}> structure factor, place among the warmths, softened; by id */
    private array $is;

    /** @param  list<MixturePart>  $parts amounts as fractions of the whole */
    private function __construct(array $parts)
    {
        $this->eutectic = Eutectic::of($parts);
        $oil = 0.0;
        $oily = $is = [];
        $kin = $partners = [[], []];
        $lattice = self::lattice($parts);
        foreach ($parts as $part) {
            $of = $part->ingredient;
            $row = [$part->amount, $of->composition->solidFat];
            $place = $this->placeOf($of);
            $is[$of->id] = [self::structure($of, $lattice), $place, $this->isSoftened($of)];
            if ($place !== null) {
                $kin[intdiv($place, 2)][] = $row;
            }
            if ($place !== null && $place % 2 === 1) {
                $partners[intdiv($place, 2)][] = $row;
            }
            if (self::isOily($of) && $of->composition->solidFat->isLiquid()) {
                $oil += $part->amount;
            } elseif (self::isOily($of)) {
                $oily[] = $row;
            }
        }
        [$this->oil, $this->oily, $this->kin, $this->partners, $this->is] = [$oil, $oily, $kin, $partners, $is];
    }

    /**
     * Its place among the warmths: 0 and 1 for fats that are not lauric, 2 and 3 for lauric ones, the odd ones for
     * those that are softened by their own rule; null for what no oil dissolves.
     */
    private function placeOf(Ingredient $of): ?int
    {
        return self::dissolves($of)
            ? (Eutectic::isLauric($of) ? 2 : 0) + ($this->isSoftened($of) ? 1 : 0)
            : null;
    }

    private function isSoftened(Ingredient $of): bool
    {
        return $this->eutectic->softens() && Eutectic::concerns($of);
    }

    /**
     * What waxes give beyond their solids, as a part of their structure factor: all of it up to 30 % of wax.
     *
     * @param  list<MixturePart>  $parts amounts as fractions of the whole
     */
    private static function lattice(array $parts): float
    {
        $wax = 0.0;
        foreach ($parts as $part) {
            $wax += $part->ingredient->kind === IngredientKind::Wax ? $part->amount : 0.0;
        }

        return $wax > self::LATTICE ? self::LATTICE / $wax : 1.0;
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
        $warmer = $this->warmer($celsius);
        $given = [];
        foreach ($ingredients as $fat) {
            $curve = $fat->composition->solidFat;
            [$structure, $place, $isSoftened] = $this->is[$fat->id];
            if ($place === null) {
                $given[] = Band::exact($curve->at($celsius) * $structure);

                continue;
            }
            $by = $warmer[$place];
            $solid = Band::of(
                $curve->at($celsius + $by->high) * $structure,
                $curve->at($celsius + $by->best) * $structure,
                $curve->at($celsius + $by->low) * $structure,
            );
            $given[] = $isSoftened ? $solid->times($softer) : $solid;
        }

        return $given;
    }

    /** Where the last of a fat is dissolved in this blend, °C; null where its curve does not end within its points. */
    public function end(Ingredient $fat): ?float
    {
        $end = $fat->composition->solidFat->end();
        $place = $this->is[$fat->id][1];

        return $end === null || $place === null ? $end : $end - $this->warmer($end)[$place]->best;
    }

    /**
     * By how many kelvin fats behave as if they were warmer. Fats of one kind, lauric or not, set together; what
     * softens them by its own rule is counted there.
     *
     * @return list<Band> of those that are not lauric, and are softened by their own rule; of lauric ones likewise
     */
    private function warmer(float $celsius): array
    {
        $liquid = $this->oil + self::liquid($this->oily, $celsius);
        $by = [];
        foreach ([0, 1] as $lauric) {
            if ($this->kin[$lauric] === []) {
                array_push($by, Band::exact(0.0), Band::exact(0.0));

                continue;
            }
            $kin = array_sum(array_column($this->kin[$lauric], 0));
            $others = $liquid - self::liquid($this->kin[$lauric], $celsius);
            $by[] = self::warmth($kin, $others);
            // What softens it by its own rule does not dissolve it as well.
            $by[] = self::warmth($kin, $others - self::liquid($this->partners[1 - $lauric], $celsius));
        }

        return $by;
    }

    /** @param  float  $others what is liquid of what is not its kin, a fraction of the whole */
    private static function warmth(float $kin, float $others): Band
    {
        $halvings = $kin > 0.0 ? -log(max(self::LEAST, $kin / ($kin + max(0.0, $others))), 2) : 0.0;
        [$low, $best, $high] = self::KELVIN_PER_HALVING;

        return Band::of($low * $halvings, $best * $halvings, $high * $halvings);
    }

    /**
     * Part of the whole that is liquid of some at a temperature, a fraction.
     *
     * @param  list<array{float, SolidFat}>  $of
     */
    private static function liquid(array $of, float $celsius): float
    {
        $liquid = 0.0;
        foreach ($of as [$share, $fat]) {
            $liquid += $share * (1 - min(100.0, $fat->at($celsius)) / 100);
        }

        return $liquid;
    }

    private static function structure(Ingredient $fat, float $lattice): float
    {
        $factor = $fat->composition->solidFat->structure;

        return $fat->kind === IngredientKind::Wax && $factor > 1.0 ? 1 + ($factor - 1) * $lattice : $factor;
    }

    /** Butters and oils that set; waxes and pellets are measured as they stand in oil. */
    private static function dissolves(Ingredient $fat): bool
    {
        return ($fat->kind === IngredientKind::Butter || $fat->kind->isLiquidFat())
            && ! $fat->composition->solidFat->isLiquid();
    }

    /** Whether what is liquid of it can dissolve a fat. */
    private static function isOily(Ingredient $of): bool
    {
        return $of->composition->solidFat->known()
            && ($of->kind === IngredientKind::Butter
                || $of->kind->isLiquidFat()
                || $of->kind === IngredientKind::EssentialOil);
    }
}
