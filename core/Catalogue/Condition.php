<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Words\Message;

/** Conditions and medicines with which some ingredients call for the clinician's word first. */
enum Condition: string
{
    case Epilepsy = 'epilepsy';
    case Asthma = 'asthma';
    case BloodPressure = 'blood-pressure';
    case Bleeding = 'bleeding';
    case Hormones = 'hormones';
    case Thyroid = 'thyroid';
    case Liver = 'liver';
    case G6pd = 'g6pd';
    case Medicines = 'medicines';

    public function label(): string
    {
        return match ($this) {
            self::Epilepsy => Message::said('catalogue.condition.epilepsy'),
            self::Asthma => Message::said('catalogue.condition.asthma'),
            self::BloodPressure => Message::said('catalogue.condition.heart-blood-pressure'),
            self::Bleeding => Message::said('catalogue.condition.blood-thinners-bleeding'),
            self::Hormones => Message::said('catalogue.condition.hormone-sensitive-illness'),
            self::Thyroid => Message::said('catalogue.condition.thyroid-illness'),
            self::Liver => Message::said('catalogue.condition.liver-illness'),
            self::G6pd => Message::said('catalogue.condition.g-pd-deficiency'),
            self::Medicines => Message::said('catalogue.condition.regular-medicines'),
        };
    }
}
