<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Words\Message;

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
            self::Burns => Message::said('catalogue.caution-kind.can-sting-irritate-not'),
            self::Alkaloids => Message::said('catalogue.caution-kind.not-on-broken-skin'),
            self::Sunlight => Message::said('catalogue.caution-kind.keep-skin-was-on'),
            self::Stains => Message::said('catalogue.caution-kind.colours-light-hair-skin'),
            self::AskFirst => Message::said('catalogue.caution-kind.not-with-blood-thinners'),
            default => null,
        };
    }
}
