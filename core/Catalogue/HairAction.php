<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** What an ingredient does to the fibre. */
enum HairAction: string
{
    /** Goes into the fibre and lessens what washing takes out. */
    case Penetrating = 'penetrating';
    case PartlyPenetrating = 'partly-penetrating';
    /** Stays on the fibre and slows the loss of water. */
    case Sealing = 'sealing';
    /** Settles on the fibre and eases combing. */
    case Conditioning = 'conditioning';
    case None = 'none';

    /** How far apart two actions are, 0 (the same) to 1. */
    public function distance(self $other): float
    {
        if ($this === $other) {
            return 0.0;
        }
        $near = [
            self::PartlyPenetrating->value => true,
            self::Penetrating->value => true,
            self::Sealing->value => true,
        ];

        return isset($near[$this->value], $near[$other->value])
            && ($this === self::PartlyPenetrating || $other === self::PartlyPenetrating)
            ? 0.5
            : 1.0;
    }
}
