<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\IngredientKind;
use Crown\Words\Message;

/**
 * What holds a product together: products held by the same matter err in the same way, so they are corrected together.
 */
enum TextureFamily: string
{
    case Wax = 'wax';
    case Conditioner = 'conditioner';
    case Butter = 'butter';
    case Oil = 'oil';

    /** Per cent of the whole from which wax or conditioning agent rules the texture, and from which butter does. */
    private const RULES = 2.0;

    private const BUTTER_RULES = 10.0;

    public static function of(Composition $composition): self
    {
        $percent = static fn (IngredientKind $kind): float => array_sum(
            array_map(static fn ($p): float => $p->percent(), $composition->ofKind($kind)),
        );

        return match (true) {
            $percent(IngredientKind::Conditioning) >= self::RULES => self::Conditioner,
            $percent(IngredientKind::Wax) >= self::RULES => self::Wax,
            $percent(IngredientKind::Butter) >= self::BUTTER_RULES => self::Butter,
            default => self::Oil,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Wax => Message::said('assessment.texture-family.held-by-wax'),
            self::Conditioner => Message::said('assessment.texture-family.held-by-conditioning-agent'),
            self::Butter => Message::said('assessment.texture-family.held-by-butter'),
            self::Oil => Message::said('assessment.texture-family.oils'),
        };
    }
}
