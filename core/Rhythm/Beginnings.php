<?php

declare(strict_types=1);

namespace Crown\Rhythm;

use Crown\Assessment\ShelfLife;
use Crown\Formula\ProductKind;
use Crown\Measure\School;
use Crown\Measure\Ways;
use Crown\Steep\SteepMethod;
use Crown\Words\Message;
use JsonSerializable;

/**
 * What a new steep, formula or routine begins with, by the sides that a studio took where makers disagree. Heat comes
 * before what is left in, and that before light: a jar that is kept warm is strained, and stands in no sun.
 */
final readonly class Beginnings implements JsonSerializable
{
    /** @param  Ways  $ways of the studio */
    private function __construct(private Ways $ways)
    {
    }

    public static function of(Ways $ways): self
    {
        return new self($ways);
    }

    public function method(): SteepMethod
    {
        return match (true) {
            $this->ways->is(School::Heat, 'warm') => SteepMethod::WaterBath,
            $this->ways->is(School::Straining, 'left') => SteepMethod::LeaveIn,
            $this->ways->is(School::Light, 'sun') => SteepMethod::SunnySill,
            default => SteepMethod::ColdDark,
        };
    }

    /** Where a new formula stands, °C. */
    public function storageCelsius(): float
    {
        return $this->ways->is(School::Cold, 'fridge') ? ShelfLife::FRIDGE : 20.0;
    }

    /** How a product of a kind is used, in words; null for scalp and lengths. */
    public function way(ProductKind $kind): ?string
    {
        return match (true) {
            // After water, in either order.
            $kind === ProductKind::SealingOil && $this->ways->is(School::Order, 'oil-cream') => Message::said(
                'rhythm.beginnings.oil-then-cream',
            ),
            $kind === ProductKind::SealingOil => Message::said('rhythm.beginnings.cream-then-oil'),
            $this->ways->is(School::Place, 'lengths') => Message::said('rhythm.beginnings.lengths'),
            default => null,
        };
    }

    /** @return array<string, mixed> $defs/Beginnings */
    public function jsonSerialize(): array
    {
        $daily = $this->ways->is(School::Rhythm, 'daily');
        $ways = [];
        foreach (ProductKind::cases() as $kind) {
            $ways[$kind->value] = $this->way($kind) ?? '';
        }

        return [
            'method' => $this->method()->value,
            'form' => $this->ways->chosen(School::Plant),
            'pressed' => $this->ways->is(School::Pressing, 'pressed'),
            'one_herb' => $this->ways->is(School::Herbs, 'one'),
            'storage_c' => $this->storageCelsius(),
            'kind' => ($this->ways->is(School::Body, 'poured') ? ProductKind::Balm : ProductKind::WhippedButter)->value,
            'spoons' => $this->ways->is(School::Measuring, 'spoons'),
            'per_week' => $daily ? 7 : 2,
            'grams_per_use' => $daily ? 1.0 : 3.0,
            'ways' => $ways,
        ];
    }
}
