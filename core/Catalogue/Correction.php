<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\Band;
use Crown\Measure\Bounds;
use Crown\Measure\Fact;
use Crown\Measure\Property;
use Crown\Words\Message;

/** A studio's own figure in place of the catalogue's, with where it comes from. The reference stays as it is. */
final readonly class Correction
{
    /** Properties that a studio may correct or give: physical facts and prices, never a safety limit. */
    public const ALLOWED = [
        Property::Density20,
        Property::Density60,
        Property::BulkDensity,
        Property::PieceGrams,
        Property::DropMillilitres,
        Property::Melting,
        Property::LifeMonths,
        Property::OpenedMonths,
        Property::Moisture,
        Property::Retention,
        Property::RetentionPressed,
        Property::Release,
        Property::Reuse,
        Property::Weight,
        Property::Price,
    ];

    /** Where a price comes from that was truly paid. */
    public const BOUGHT = 'what was paid for the bottle on the shelf';

    private const LONGEST_SOURCE = 200;

    /**
     * @param  string  $form fresh, dried, cut, powder, seed; "" for the ingredient itself
     * @param  string  $source in the studio's words: "our scale, three bottles", a supplier's sheet
     *
     * @throws CatalogueError
     */
    public function __construct(
        public string $ingredient,
        public string $form,
        public Property $property,
        public Band $band,
        public string $source,
    ) {
        if (! in_array($property, self::ALLOWED, true)) {
            throw CatalogueError::field(
                'property',
                new Message('catalogue.correction.properties', [
                    'properties' => implode(', ', array_column(self::ALLOWED, 'value')),
                ]),
            );
        }
        if (trim($source) === '' || mb_strlen($source) > self::LONGEST_SOURCE) {
            throw CatalogueError::field(
                'source',
                new Message('catalogue.correction.where-figure-comes-from', [
                    'most' => self::LONGEST_SOURCE,
                ]),
            );
        }
        $allowed = self::allowed($property);
        if (! $allowed->hold($band->low) || ! $allowed->hold($band->high)) {
            throw CatalogueError::field(
                $allowed->hold($band->low) ? 'high' : 'low',
                new Message('catalogue.correction.from', [
                    'property' => $property->label(),
                    'least' => sprintf('%g', $allowed->least),
                    'most' => sprintf('%g', $allowed->most),
                ]),
            );
        }
    }

    public function fact(): Fact
    {
        return Fact::own($this->band, $this->source);
    }

    /** In the property's own unit: nonsense is kept out, not what is unusual. */
    public static function allowed(Property $property): Bounds
    {
        return match ($property) {
            Property::Density20, Property::Density60 => new Bounds(0.5, 3.0),
            Property::BulkDensity => new Bounds(0.01, 3.0),
            Property::PieceGrams => new Bounds(0.001, 5000.0),
            Property::DropMillilitres => new Bounds(0.01, 0.2),
            Property::Melting => new Bounds(-60.0, 150.0),
            Property::LifeMonths, Property::OpenedMonths => new Bounds(0.01, 240.0),
            Property::Moisture, Property::Release, Property::Reuse => new Bounds(0.0, 1.0),
            Property::Retention, Property::RetentionPressed => new Bounds(0.0, 10.0),
            Property::Weight => new Bounds(1.0, 5.0),
            Property::Price => new Bounds(0.0, 100_000.0),
            default => new Bounds(-INF, INF),
        };
    }
}
