<?php

declare(strict_types=1);

namespace Crown\Measure;

use Crown\Words\Message;

/** What stands in a maker's kitchen, and what is to be known of each. */
enum KitKind: string
{
    case Scale = 'scale';
    case Thermometer = 'thermometer';
    case Bowl = 'bowl';
    case Pan = 'pan';
    case Jar = 'jar';
    case Mould = 'mould';
    case Dropper = 'dropper';
    case Spoon = 'spoon';
    case Strainer = 'strainer';
    case Mixer = 'mixer';
    case Place = 'place';

    /** Fields that are figures: label, unit, least, most, and whether it must be there. */
    private const FIGURES = [
        'scale' => [
            'step_grams' => ['Shows steps of', 'g', 0.001, 100.0, true],
            'most_grams' => ['Carries at most', 'g', 1.0, 100_000.0, true],
        ],
        'thermometer' => ['step_celsius' => ['Shows steps of', '°C', 0.1, 10.0, false]],
        'bowl' => [
            'millilitres' => ['Holds to the rim', 'ml', 10.0, 100_000.0, true],
            'tare_grams' => ['Empty', 'g', 1.0, 20_000.0, false],
        ],
        'pan' => ['millilitres' => ['Holds to the rim', 'ml', 10.0, 100_000.0, false]],
        'jar' => [
            'brim_ml' => ['Holds to the brim', 'ml', 1.0, 20_000.0, true],
            'shoulder_ml' => ['Holds to the shoulder', 'ml', 1.0, 20_000.0, false],
            'mouth_cm' => ['Mouth', 'cm', 0.5, 50.0, false],
            'height_cm' => ['Height', 'cm', 0.5, 100.0, false],
            'inner_cm' => ['Inner width', 'cm', 0.5, 50.0, false],
            'tare_grams' => ['Empty, with its lid', 'g', 0.1, 20_000.0, false],
            'price' => ['Price', '', 0.0, 10_000.0, false],
        ],
        'mould' => [
            'hollows' => ['Hollows', '', 1.0, 200.0, true],
            'millilitres' => ['Each holds', 'ml', 1.0, 5_000.0, true],
        ],
        'dropper' => [
            'drops' => ['Drops or strokes counted', '', 1.0, 10_000.0, true],
            'grams' => ['They weighed', 'g', 0.001, 1_000.0, true],
        ],
        'spoon' => ['grams' => ['One filling weighs', 'g', 0.1, 2_000.0, true]],
        'strainer' => [],
        'mixer' => ['minutes' => ['Minutes that I like', 'min', 0.5, 60.0, false]],
        'place' => [
            'summer_celsius' => ['In summer', '°C', -40.0, 60.0, true],
            'winter_celsius' => ['In winter', '°C', -40.0, 60.0, true],
        ],
    ];

    /** Fields that are one of a few. */
    private const CHOICES = [
        'thermometer' => ['sort' => ['Sort', ['probe', 'kitchen']]],
        'bowl' => ['material' => ['Of', ['glass', 'steel', 'plastic', 'ceramic']]],
        'dropper' => ['sort' => ['Sort', ['dropper', 'pump']]],
        'strainer' => ['weave' => ['Of', ['coarse', 'fine', 'cloth', 'bag', 'paper']]],
        'spoon' => ['unit' => ['Which', ['tsp', 'tbsp', 'cup']]],
        'mixer' => [
            'sort' => ['Sort', ['hand', 'stand', 'whisk']],
            'speed' => ['Speed', ['medium', 'low', 'high']],
        ],
        'place' => ['wet' => ['Air', ['dry', 'wet']]],
    ];

    public function label(): string
    {
        return match ($this) {
            self::Dropper => Message::said('measure.kit-kind.dropper-pump-calibrated'),
            self::Spoon => Message::said('measure.kit-kind.spoon-cup-my-own'),
            self::Jar => Message::said('measure.kit-kind.jar-bottle'),
            self::Place => Message::said('measure.kit-kind.place-keep-things'),
            default => ucfirst($this->value),
        };
    }

    /** What it is calibrated with: an ingredient. */
    public function wantsIngredient(): bool
    {
        return $this === self::Dropper || $this === self::Spoon;
    }

    /** @return list<string> */
    public function figureFields(): array
    {
        return array_keys(self::FIGURES[$this->value]);
    }

    /** @return array<string, string> what each choice is while nobody said, by field */
    public function usualChoices(): array
    {
        return array_map(static fn (array $of): string => $of[1][0], self::CHOICES[$this->value] ?? []);
    }

    /** @return array<string, KitFigure> by field */
    public function figures(): array
    {
        return array_map(
            static fn (array $of): KitFigure => new KitFigure($of[0], $of[1], new Bounds($of[2], $of[3]), $of[4]),
            self::FIGURES[$this->value],
        );
    }

    /** @return array<string, KitChoice> by field */
    public function choices(): array
    {
        return array_map(
            static fn (array $of): KitChoice => new KitChoice($of[0], $of[1]),
            self::CHOICES[$this->value] ?? [],
        );
    }
}
