<?php

declare(strict_types=1);

namespace Crown\Learning;

use Crown\Words\Message;

/** How firm a batch turned out beside what was said of it. */
enum TextureFound: string
{
    case MuchSofter = 'much-softer';
    case Softer = 'softer';
    case AsSaid = 'as-said';
    case Firmer = 'firmer';
    case MuchFirmer = 'much-firmer';

    /**
     * Found effective solids over predicted ones. A judgement: a finger tells about a seventh from as said, a third
     * from that.
     */
    public function ratio(): float
    {
        return match ($this) {
            self::MuchSofter => 0.65,
            self::Softer => 0.85,
            self::AsSaid => 1.0,
            self::Firmer => 1.0 / 0.85,
            self::MuchFirmer => 1.0 / 0.65,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::MuchSofter => Message::said('learning.texture-found.much-softer-than-said'),
            self::Softer => Message::said('learning.texture-found.softer-than-said'),
            self::AsSaid => Message::said('learning.texture-found.as-said'),
            self::Firmer => Message::said('learning.texture-found.firmer-than-said'),
            self::MuchFirmer => Message::said('learning.texture-found.much-firmer-than-said'),
        };
    }
}
