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
}
