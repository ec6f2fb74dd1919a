<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Catalogue\Internal\NatureOfName;
use Crown\Words\Message;

/**
 * What a thing is of which nothing else is known: what its name says, or what the maker says of it. Method page:
 * docs/methods/unknown.md.
 */
enum Nature: string
{
    case Oil = 'oil';
    case Fat = 'fat';
    case Dry = 'dry';
    case Watery = 'watery';
    case Scent = 'scent';

    /** Where an entry by this nature alone stands in a catalogue. */
    private const PREFIX = 'some.';

    /** The id under which a line may name it, settled by the maker. */
    public function id(): string
    {
        return self::PREFIX.$this->value;
    }

    /** The nature that an id stands for; null where it stands for something else. */
    public static function ofId(string $id): ?self
    {
        return str_starts_with($id, self::PREFIX) ? self::tryFrom(substr($id, strlen(self::PREFIX))) : null;
    }

    /** What a name says that a thing is; null when it says nothing of it. */
    public static function ofName(string $name): ?self
    {
        return NatureOfName::of($name);
    }

    /** Whether a name is that of a fruit, or of another thing that is wet when it is named alone. */
    public static function isFruit(string $name): bool
    {
        return NatureOfName::isFruit($name);
    }

    /** In a sentence: "It is an oil". */
    public function words(): string
    {
        return match ($this) {
            self::Oil => Message::said('catalogue.nature.oil'),
            self::Fat => Message::said('catalogue.nature.butter-wax'),
            self::Dry => Message::said('catalogue.nature.something-dry'),
            self::Watery => Message::said('catalogue.nature.something-watery'),
            self::Scent => Message::said('catalogue.nature.essential-oil-scent'),
        };
    }

    public function kind(): IngredientKind
    {
        return match ($this) {
            self::Oil => IngredientKind::CarrierOil,
            self::Fat => IngredientKind::Butter,
            self::Dry => IngredientKind::Powder,
            self::Watery => IngredientKind::Water,
            self::Scent => IngredientKind::EssentialOil,
        };
    }
}
