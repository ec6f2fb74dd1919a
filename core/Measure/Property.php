<?php

declare(strict_types=1);

namespace Crown\Measure;

/** The numeric facts that a substance or one of its forms may carry. The value is the key in the catalogue files. */
enum Property: string
{
    /** g/ml at 20 °C (for solids: of the melted fat brought to 20 °C, by volume of the settled solid). */
    case Density20 = 'density_20c';
    /** g/ml at 60 °C, melted. */
    case Density60 = 'density_60c';
    /** g/ml as it lies in a spoon: powders, pellets, dried herbs. */
    case BulkDensity = 'bulk_density';
    /** Grams of one piece: a leaf, a bud, a clove. */
    case PieceGrams = 'piece_grams';
    /** Millilitres of one drop of this liquid. */
    case DropMillilitres = 'drop_ml';
    /** °C. */
    case Melting = 'melting_c';
    /** g of iodine taken up by 100 g. */
    case IodineValue = 'iodine_value';
    /** Months unopened at 20 °C in the dark. */
    case LifeMonths = 'life_months';
    /** Months after opening at 20 °C in the dark. */
    case OpenedMonths = 'opened_months';
    /** Fraction of the mass that is water, 0 to 1. */
    case Moisture = 'moisture';
    /** Fraction of the mass that is ethanol, 0 to 1. */
    case Ethanol = 'ethanol';
    /** Grams of oil kept per gram of plant after draining. */
    case Retention = 'retention';
    /** Grams of oil kept per gram of plant after pressing. */
    case RetentionPressed = 'retention_pressed';
    /** Fraction of a fresh plant's water that it gives up into the oil: whole 0.1, chopped 0.35, blended 0.8. */
    case Release = 'release';
    /** What a second draw of the same charge gives, as a fraction of the first. */
    case Reuse = 'reuse';
    /** 1 (light) to 5 (rich) on the hair. */
    case Weight = 'weight';
    /** Per cent of the finished product on skin. */
    case DermalMax = 'dermal_max';
    /** Per cent of a leave-on product above which light on the skin is a danger. */
    case PhototoxicMax = 'phototoxic_max';
    /** Years. */
    case MinimumAge = 'minimum_age_years';
    /** °C above which it should not be added. */
    case MaximumAddition = 'maximum_addition_c';
    /** Per cent of the finished product: usual use. */
    case Use = 'use';
    /** Per cent of a solid bar or a balm that is rinsed out: there some are used in far larger shares. */
    case UseInBar = 'use_in_bar';
    /** pH range in which it works; of what is no preservative, the pH that it has or brings. */
    case Ph = 'ph';
    /** Money for a kilogram, in whatever the maker pays with. */
    case Price = 'price_per_kg';

    /** In words, by value. */
    private const LABELS = [
        'density_20c' => 'density at 20 °C',
        'density_60c' => 'density at 60 °C',
        'bulk_density' => 'bulk density',
        'piece_grams' => 'mass of one piece',
        'drop_ml' => 'drop volume',
        'melting_c' => 'melting range',
        'iodine_value' => 'iodine value',
        'life_months' => 'life unopened',
        'opened_months' => 'life once opened',
        'moisture' => 'moisture',
        'ethanol' => 'alcohol',
        'retention' => 'oil kept when drained',
        'retention_pressed' => 'oil kept when pressed',
        'release' => 'water given up',
        'reuse' => 'second draw against the first',
        'weight' => 'weight on the hair',
        'dermal_max' => 'dermal maximum',
        'phototoxic_max' => 'phototoxic maximum',
        'minimum_age_years' => 'minimum age',
        'maximum_addition_c' => 'highest addition temperature',
        'use' => 'range of use',
        'use_in_bar' => 'range of use in a solid bar',
        'ph' => 'pH range',
        'price_per_kg' => 'price of a kilogram',
    ];

    public function label(): string
    {
        return self::LABELS[$this->value];
    }

    /** As it is shown after a figure; "" for a plain number. */
    public function unit(): string
    {
        return match ($this) {
            self::Density20, self::Density60, self::BulkDensity => 'g/ml',
            self::PieceGrams => 'g',
            self::DropMillilitres => 'ml',
            self::Melting, self::MaximumAddition => '°C',
            self::LifeMonths, self::OpenedMonths => 'months',
            self::Retention, self::RetentionPressed => 'g/g',
            self::Weight => 'of 5',
            self::DermalMax, self::PhototoxicMax, self::Use, self::UseInBar => '%',
            self::MinimumAge => 'years',
            self::IodineValue => 'g/100 g',
            self::Moisture, self::Ethanol, self::Release, self::Reuse, self::Ph, self::Price => '',
        };
    }
}
