<?php

declare(strict_types=1);

namespace Crown\Catalogue;

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
            self::Epilepsy => 'epilepsy',
            self::Asthma => 'asthma',
            self::BloodPressure => 'heart or blood pressure',
            self::Bleeding => 'blood thinners or bleeding',
            self::Hormones => 'hormone-sensitive illness',
            self::Thyroid => 'thyroid illness',
            self::Liver => 'liver illness',
            self::G6pd => 'G6PD deficiency',
            self::Medicines => 'regular medicines',
        };
    }
}
