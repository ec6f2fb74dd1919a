<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Words\Message;

/** What a thing is put in for, where that is not a need of the hair: what takes its place has to do the same. */
enum Job: string
{
    /** What all else is dissolved or stirred in. */
    case Base = 'base';
    case Emulsifies = 'emulsifies';
    case Solubilises = 'solubilises';
    case Hardens = 'hardens';
    case ThickensWater = 'thickens-water';
    case LowersPh = 'lowers-ph';
    case RaisesPh = 'raises-ph';
    case BindsMetals = 'binds-metals';
    case DrawsWater = 'draws-water';
    /** Clings to the fibre by its charge. */
    case Conditions = 'conditions';
    case Protein = 'protein';
    case AbsorbsOil = 'absorbs-oil';
    /** A dry, powdery touch. */
    case Silkens = 'silkens';
    case Scrubs = 'scrubs';
    case Covers = 'covers';
    /** Runs thin and dry over the fibre, as silicones do. */
    case Spreads = 'spreads';
    case Cools = 'cools';
    case Calms = 'calms';
    case LoosensFlakes = 'loosens-flakes';
    case Washes = 'washes';
    /** Rich in tannins. */
    case Astringent = 'astringent';
    /** Gives a slippery water: mucilage. */
    case Slippery = 'slippery';
    case KitchenMask = 'kitchen-mask';

    public function label(): string
    {
        return match ($this) {
            self::Base => Message::said('catalogue.job.what-rest-stirred-into'),
            self::LowersPh => Message::said('catalogue.job.makes-acid'),
            self::RaisesPh => Message::said('catalogue.job.makes-alkaline'),
            self::KitchenMask => Message::said('catalogue.job.mask-from-kitchen'),
            self::Slippery => Message::said('catalogue.job.makes-water-slippery'),
            self::Silkens => Message::said('catalogue.job.dry-silky-touch'),
            self::Spreads => Message::said('catalogue.job.spreads-thin-dry-as'),
            default => str_replace('-', ' ', $this->value),
        };
    }
}
