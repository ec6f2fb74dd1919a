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

    public function label(): string
    {
        return match ($this) {
            self::DryLengths => 'dry lengths',
            self::DryScalp => 'dry scalp',
            self::Flaking => 'flaking',
            self::Itch => 'itch',
            self::OilyScalp => 'oily scalp',
            self::Breakage => 'breakage and split ends',
            self::ThinEdges => 'thin edges',
            self::Shedding => 'shedding',
            self::LengthRetention => 'keeping length',
            self::Dullness => 'dullness',
            self::Frizz => 'frizz',
            self::Slip => 'slip for detangling',
            self::OverProcessed => 'over-processed hair',
            self::Sealing => 'sealing in moisture',
            self::ProtectiveStyles => 'braids and protective styles',
            self::FirstGrey => 'first grey',
            self::ChildGentle => 'a child\'s gentle care',
        };
    }

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
