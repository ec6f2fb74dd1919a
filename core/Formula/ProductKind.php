<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Words\Message;

/** What is being made. */
enum ProductKind: string
{
    case ScalpOil = 'scalp-oil';
    case HairOil = 'hair-oil';
    case SealingOil = 'sealing-oil';
    case HotOil = 'hot-oil';
    case Balm = 'balm';
    case WhippedButter = 'whipped-butter';
    case StirredButter = 'stirred-butter';
    case ConditionerBar = 'conditioner-bar';
    case RinseOutBalm = 'rinse-out-balm';
    case Emulsion = 'emulsion';

    public function label(): string
    {
        return match ($this) {
            self::ScalpOil => Message::said('formula.product-kind.scalp-oil'),
            self::HairOil => Message::said('formula.product-kind.hair-oil'),
            self::SealingOil => Message::said('formula.product-kind.sealing-oil'),
            self::HotOil => Message::said('formula.product-kind.hot-oil-treatment'),
            self::Balm => Message::said('formula.product-kind.pomade-balm'),
            self::WhippedButter => Message::said('formula.product-kind.whipped-butter'),
            self::StirredButter => Message::said('formula.product-kind.stirred-butter'),
            self::ConditionerBar => Message::said('formula.product-kind.conditioner-bar'),
            self::RinseOutBalm => Message::said('formula.product-kind.rinse-out-balm'),
            self::Emulsion => Message::said('formula.product-kind.emulsion'),
        };
    }

    /** Meant to keep its shape in the jar at room temperature. */
    public function isSolid(): bool
    {
        return match ($this) {
            self::Balm, self::WhippedButter, self::StirredButter, self::ConditionerBar, self::RinseOutBalm => true,
            default => false,
        };
    }

    /** Grams that one head of middling length takes at a time. Source: estimate of ours; the routine weighs her own. */
    public function usualUse(): float
    {
        return match ($this) {
            self::ScalpOil, self::HairOil, self::SealingOil, self::Balm => 6.0,
            self::HotOil => 25.0,
            self::WhippedButter, self::StirredButter => 12.0,
            self::ConditionerBar => 4.0,
            self::RinseOutBalm, self::Emulsion => 20.0,
        };
    }

    public function goesOnScalp(): bool
    {
        return $this === self::ScalpOil || $this === self::HotOil;
    }

    public function isRinsed(): bool
    {
        return $this === self::ConditionerBar || $this === self::RinseOutBalm || $this === self::HotOil;
    }
}
