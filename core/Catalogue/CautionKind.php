<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** What a caution of an ingredient is about. */
enum CautionKind: string
{
    case Poison = 'poison';
    case Burns = 'burns';
    case Alkaloids = 'alkaloids';
    case Sunlight = 'sunlight';
    case Children = 'children';
    case AskFirst = 'ask-first';
    case Allergy = 'allergy';
    case Eyes = 'eyes';
    case Breath = 'breath';
    case Stains = 'stains';
    case Oxidises = 'oxidises';
    /** Grows microbes where it is used otherwise than it is meant. */
    case Spoils = 'spoils';
    case Law = 'law';
    /** How it is worked with; it warns of no harm. */
    case Handling = 'handling';

    /** Whether it warns of harm to someone. */
    public function warns(): bool
    {
        return $this !== self::Handling && $this !== self::Law;
    }

    /** Whether it must be decided, not only known. */
    public function isGrave(): bool
    {
        return in_array($this, [self::Poison, self::Burns, self::Alkaloids, self::Sunlight], true);
    }

    /** The few words that a label has room for; null where the label says it by other ways: ages, allergens, dates. */
    public function onLabel(): ?string
    {
        return match ($this) {
            self::Burns => 'Can sting or irritate: not on sore skin; wash it off if it burns.',
            self::Alkaloids => 'Not on broken skin, and not for long.',
            self::Sunlight => 'Keep skin that it was on out of the sun for a day.',
            self::Stains => 'Colours light hair, skin and cloth.',
            self::AskFirst => 'Not with blood thinners or an allergy to aspirin.',
            default => null,
        };
    }
}
