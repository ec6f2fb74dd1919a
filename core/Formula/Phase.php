<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Part;
use Crown\Words\Message;

/** When a line goes in. */
enum Phase: string
{
    case Melt = 'melt';
    case Warm = 'warm';
    case CoolDown = 'cool-down';
    case WhipIn = 'whip-in';
    case Water = 'water';

    /** Per cent solid in a warm room, °C, from which a fat does not pour. */
    private const SET = 10.0;

    private const ROOM = 25.0;

    /**
     * The temperature at which lines of this phase go in, °C: a melt is held at 75, warm oils join it, cool-down waits
     * for 40.
     */
    public function celsius(): float
    {
        return match ($this) {
            self::Melt => 75.0,
            self::Warm => 65.0,
            self::Water => 70.0,
            self::CoolDown => 40.0,
            self::WhipIn => 22.0,
        };
    }

    /** Its turn at the counter: what is melted comes first, what is whipped in last. */
    public function turn(): int
    {
        return match ($this) {
            self::Melt => 1,
            self::Water => 2,
            self::Warm => 3,
            self::CoolDown => 4,
            self::WhipIn => 5,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Melt => Message::said('formula.phase.melt'),
            self::Warm => Message::said('formula.phase.warm-oils'),
            self::CoolDown => Message::said('formula.phase.cool-down'),
            self::WhipIn => Message::said('formula.phase.whip'),
            self::Water => Message::said('formula.phase.water'),
        };
    }

    /** The phase an ingredient goes in with unless the maker says otherwise. */
    public static function usualFor(Ingredient $ingredient): self
    {
        $delicate = array_filter(
            $ingredient->blend,
            static fn (Part $p): bool => self::usualFor($p->ingredient) === self::CoolDown,
        );
        if ($delicate !== []) {
            return self::CoolDown;
        }

        // An oil that was steeped in butter is set, and is melted as butter is.
        $set = $ingredient->kind === IngredientKind::ReadySteep
            && $ingredient->composition->solidFat->at(self::ROOM) >= self::SET;
        if ($set) {
            return self::Melt;
        }

        return match ($ingredient->kind) {
            IngredientKind::Butter,
            IngredientKind::Wax,
            IngredientKind::Emulsifier,
            IngredientKind::Conditioning => self::Melt,
            IngredientKind::EssentialOil,
            IngredientKind::OilActive,
            IngredientKind::Preservative,
            IngredientKind::Antioxidant,
            IngredientKind::WaterActive => self::CoolDown,
            IngredientKind::Starch => self::WhipIn,
            IngredientKind::Water, IngredientKind::Gel, IngredientKind::Humectant => self::Water,
            default => self::Warm,
        };
    }
}
