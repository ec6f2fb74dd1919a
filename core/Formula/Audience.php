<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Catalogue\Advice;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Measure\Property;
use Crown\Words\Message;

/** Who it is for and where it stays, which sets the ceiling for essential oils. Method page: docs/methods/load.md. */
enum Audience: string
{
    case AdultLeaveOn = 'adult-leave-on';
    case AdultRinseOff = 'adult-rinse-off';
    case Face = 'face';
    /** Hair and body: left on much of the skin. */
    case Body = 'body';
    case Pregnancy = 'pregnancy';
    case Child6To12 = 'child-6-12';
    case Child2To6 = 'child-2-6';
    case Infant = 'infant';

    /** Highest total of essential oils, per cent of the finished mass, worst case. */
    public function essentialOilCeiling(): float
    {
        return match ($this) {
            self::AdultLeaveOn, self::Body => 2.0,
            self::AdultRinseOff => 3.0,
            self::Face, self::Pregnancy, self::Child6To12 => 1.0,
            self::Child2To6 => 0.5,
            self::Infant => 0.0,
        };
    }

    /** The youngest it is meant for, years. */
    public function youngestYears(): float
    {
        return match ($this) {
            self::Child6To12 => 6.0,
            self::Child2To6 => 2.0,
            self::Infant => 0.0,
            default => 18.0,
        };
    }

    public function isChild(): bool
    {
        return $this->youngestYears() < 18.0;
    }

    /** Why an ingredient is not for them at all, in words; null when it may be. */
    public function excludes(Ingredient $ingredient): ?string
    {
        $age = $ingredient->facts->best(Property::MinimumAge, 0.0);

        return match (true) {
            $this === self::Infant && $ingredient->kind === IngredientKind::EssentialOil => Message::said(
                'formula.audience.no-infant',
            ),
            $age > $this->youngestYears() => Message::said('formula.audience.too-young', [
                'age' => sprintf('%g', $age),
            ]),
            $this === self::Pregnancy && $ingredient->precautions->pregnancy === Advice::Avoid => Message::said(
                'formula.audience.not-pregnant',
            ),
            default => null,
        };
    }

    public function isRinsedOff(): bool
    {
        return $this === self::AdultRinseOff;
    }

    public function label(): string
    {
        return match ($this) {
            self::AdultLeaveOn => Message::said('formula.audience.adult-left-on'),
            self::AdultRinseOff => Message::said('formula.audience.adult-rinsed-off'),
            self::Face => Message::said('formula.audience.hairline-face'),
            self::Body => Message::said('formula.audience.hair-body'),
            self::Pregnancy => Message::said('formula.audience.pregnancy-nursing'),
            self::Child6To12 => Message::said('formula.audience.child'),
            self::Child2To6 => Message::said('formula.audience.child-2'),
            self::Infant => Message::said('formula.audience.under'),
        };
    }
}
