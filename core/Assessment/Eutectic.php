<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\MixturePart;
use Crown\Measure\Band;

/**
 * Fats of the cocoa kind and lauric fats soften each other: their crystals do not fit, so that a mixture has less solid
 * than its parts have by themselves. Method page: docs/methods/texture.md. An estimate with a wide band.
 */
final readonly class Eutectic
{
    /** Lauric and myristic acids of a lauric fat, per cent at least. */
    private const LAURIC = 50.0;

    /** Palmitic and stearic acids of a fat of the cocoa kind, per cent at least; and its solids at 20 °C. */
    private const COCOA_ACIDS = 45.0;

    private const COCOA_SOLIDS = 60.0;

    /** Part of the solids that is lost at equal parts, from 20 °C up, and at 10 °C. */
    private const DEPTH = 0.5;

    private const COLD_DEPTH = 0.2;

    /** The depth may be so many times smaller or larger. */
    private const SHALLOW = 0.6;

    private const DEEP = 1.4;

    /**
     * @param  float  $cocoa part of the whole that is fat of the cocoa kind, 0 to 1 or in any unit
     * @param  float  $lauric part that is lauric fat, in the same unit
     */
    private function __construct(private float $cocoa, private float $lauric)
    {
    }

    /** @param  list<MixturePart>  $parts in any unit */
    public static function of(array $parts): self
    {
        $cocoa = $lauric = 0.0;
        foreach ($parts as $part) {
            $cocoa += self::isOfCocoaKind($part->ingredient) ? $part->amount : 0.0;
            $lauric += self::isLauric($part->ingredient) ? $part->amount : 0.0;
        }

        return new self($cocoa, $lauric);
    }

    public static function isLauric(Ingredient $fat): bool
    {
        $acids = $fat->composition->fattyAcids;

        return ! $fat->composition->solidFat->isLiquid()
            && $acids->share('lauric') + $acids->share('myristic') >= self::LAURIC;
    }

    public static function isOfCocoaKind(Ingredient $fat): bool
    {
        $acids = $fat->composition->fattyAcids;

        return $fat->kind === IngredientKind::Butter
            && ! self::isLauric($fat)
            && $acids->share('palmitic') + $acids->share('stearic') >= self::COCOA_ACIDS
            && $fat->composition->solidFat->at(20.0) >= self::COCOA_SOLIDS;
    }

    /** Whether a fat is one of the two kinds that soften each other. */
    public static function concerns(Ingredient $fat): bool
    {
        return self::isLauric($fat) || self::isOfCocoaKind($fat);
    }

    /** Whether both kinds are there. */
    public function softens(): bool
    {
        return $this->cocoa > 0.0 && $this->lauric > 0.0;
    }

    /** By what the solids of both kinds are to be multiplied at a temperature: 1 where only one of them is there. */
    public function factor(float $celsius): Band
    {
        if (! $this->softens()) {
            return Band::exact(1.0);
        }
        $mixed = (4 * $this->cocoa * $this->lauric) / ($this->cocoa + $this->lauric) ** 2;
        $warm = min(1.0, max(0.0, ($celsius - 10.0) / 10.0));
        $depth = $mixed * (self::COLD_DEPTH + (self::DEPTH - self::COLD_DEPTH) * $warm);

        return Band::of(1 - self::DEEP * $depth, 1 - $depth, 1 - self::SHALLOW * $depth);
    }
}
