<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** What a head of hair or its scalp asks for. */
enum Need: string
{
    case DryLengths = 'dry-lengths';
    case DryScalp = 'dry-scalp';
    case Flaking = 'flaking';
    case Itch = 'itch';
    case OilyScalp = 'oily-scalp';
    case Breakage = 'breakage';
    case ThinEdges = 'thin-edges';
    case Shedding = 'shedding';
    case LengthRetention = 'length-retention';
    case Dullness = 'dullness';
    case Frizz = 'frizz';
    case Slip = 'slip';
    case OverProcessed = 'over-processed';
    case Sealing = 'sealing';
    case ProtectiveStyles = 'protective-styles';
    case FirstGrey = 'first-grey';
    case ChildGentle = 'child-gentle';

    /** In words, by value. */
    private const LABELS = [
        'dry-lengths' => 'dry lengths',
        'dry-scalp' => 'dry scalp',
        'flaking' => 'flaking',
        'itch' => 'itch',
        'oily-scalp' => 'oily scalp',
        'breakage' => 'breakage and split ends',
        'thin-edges' => 'thin edges',
        'shedding' => 'shedding',
        'length-retention' => 'keeping length',
        'dullness' => 'dullness',
        'frizz' => 'frizz',
        'slip' => 'slip for detangling',
        'over-processed' => 'over-processed hair',
        'sealing' => 'sealing in moisture',
        'protective-styles' => 'braids and protective styles',
        'first-grey' => 'first grey',
        'child-gentle' => 'a child\'s gentle care',
    ];

    public function label(): string
    {
        return self::LABELS[$this->value];
    }

    /** What is asked of any oil, so that it is said where nothing is known of it. */
    public const OFTEN_ASKED = [self::FirstGrey, self::Shedding, self::ThinEdges];

    /** Served where it lies on the scalp, rather than on the lengths. */
    public function isOfScalp(): bool
    {
        return in_array(
            $this,
            [self::DryScalp, self::Flaking, self::Itch, self::OilyScalp, self::Shedding, self::ThinEdges],
            true,
        );
    }
}
