<?php

declare(strict_types=1);

namespace Crown\Formula;

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
            self::ScalpOil => 'Scalp oil',
            self::HairOil => 'Hair oil',
            self::SealingOil => 'Sealing oil',
            self::HotOil => 'Hot-oil treatment',
            self::Balm => 'Pomade or balm',
            self::WhippedButter => 'Whipped butter',
            self::StirredButter => 'Stirred butter',
            self::ConditionerBar => 'Conditioner bar',
            self::RinseOutBalm => 'Rinse-out balm',
            self::Emulsion => 'Emulsion',
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
