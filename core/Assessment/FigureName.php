<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Measure\Band;

/**
 * What a figure of a finding is. By its name a decision of the maker's knows it again (FindingKey); what it is called
 * on screen and in which unit it stands is told here alone, and may be worded anew.
 */
enum FigureName: string
{
    case Share = 'share';
    case ShareNow = 'share-now';
    case ShareBefore = 'share-before';
    case ShareOfWhole = 'share-of-whole';
    case ShareOfBase = 'share-of-base';
    case SumOfShares = 'sum-of-shares';
    case Range = 'range';
    case Limit = 'limit';
    case EssentialOils = 'essential-oils';
    case Ceiling = 'ceiling';
    case Constituent = 'constituent';
    case DermalMaximum = 'dermal-maximum';
    case PhototoxicMaximum = 'phototoxic-maximum';
    case PartOfPhototoxicMaximum = 'part-of-phototoxic-maximum';
    case LeastAge = 'least-age';
    case Water = 'water';
    case Alcohol = 'alcohol';
    case Emulsifier = 'emulsifier';
    case Life = 'life';
    case SolidsAt10 = 'solids-at-10';
    case SolidsAt12 = 'solids-at-12';
    case SolidsAt25 = 'solids-at-25';
    case SolidsAt32 = 'solids-at-32';
    case SolidsAt40 = 'solids-at-40';
    case SolidsLost = 'solids-lost';
    case GrainyButters = 'grainy-butters';
    case BloomingButters = 'blooming-butters';
    case WeightIndex = 'weight-index';
    case WeightTarget = 'weight-target';
    case WarmthOfPhase = 'warmth-of-phase';
    case HighestAddition = 'highest-addition';
    case Volume = 'volume';
    case BowlNeeded = 'bowl-needed';
    case LargestBowl = 'largest-bowl';
    case Grams = 'grams';
    case Uncertain = 'uncertain';
    case StepOfScale = 'step-of-scale';
    case TimesAsMuch = 'times-as-much';
    case HighestPh = 'highest-ph';
    case PoursFrom = 'pours-from';

    /** Where its name alone does not say it. */
    private const WORDS = [
        'share-of-whole' => 'share of the finished mass',
        'share-of-base' => 'on the base',
        'sum-of-shares' => 'shares',
        'constituent' => 'of it, at worst',
        'part-of-phototoxic-maximum' => 'of what sunlight allows',
        'solids-at-10' => 'effective solids at 10 °C',
        'solids-at-12' => 'effective solids at 12 °C',
        'solids-at-25' => 'effective solids at 25 °C',
        'solids-at-32' => 'effective solids at 32 °C',
        'solids-at-40' => 'effective solids at 40 °C',
        'grainy-butters' => 'what turns grainy',
        'blooming-butters' => 'butters that can bloom',
        'weight-target' => 'what suits the hair',
        'warmth-of-phase' => 'when it is added',
        'highest-addition' => 'add it at most at',
        'highest-ph' => 'works up to pH',
        'step-of-scale' => 'smallest step of the scale',
    ];

    /** This figure of a finding. */
    public function is(Band $band): FindingFigure
    {
        return new FindingFigure($this, $band);
    }

    /** The same where no doubt is in it. */
    public function exactly(float $value): FindingFigure
    {
        return $this->is(Band::exact($value));
    }

    /** The maker's words for it. */
    public function label(): string
    {
        return self::WORDS[$this->value] ?? str_replace('-', ' ', $this->value);
    }

    /** "" where it is a bare number. */
    public function unit(): string
    {
        return match ($this) {
            self::Grams, self::StepOfScale => 'g',
            self::Volume, self::BowlNeeded, self::LargestBowl => 'ml',
            self::WarmthOfPhase, self::HighestAddition, self::PoursFrom => '°C',
            self::Life => 'months',
            self::LeastAge => 'years',
            self::WeightIndex, self::WeightTarget, self::TimesAsMuch, self::HighestPh => '',
            default => '%',
        };
    }
}
