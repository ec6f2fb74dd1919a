<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Catalogue\Need;

/** The state of a scalp, or of one zone of it. */
enum Scalp: string
{
    case NotKnown = 'not-known';
    case Calm = 'calm';
    case Dry = 'dry';
    case Oily = 'oily';
    case Flaking = 'flaking';
    case Itchy = 'itchy';
    /** Thinner than it was, slowly. */
    case Thinning = 'thinning';
    /** Sores, pain, a bare patch, a spreading rash: a clinician before any formula. */
    case Alarming = 'alarming';

    /** How much it asks to be looked at: a head's scalp is as its worst zone. */
    public function concern(): int
    {
        return match ($this) {
            self::NotKnown => 0,
            self::Calm => 1,
            self::Oily => 2,
            self::Dry => 3,
            self::Thinning => 4,
            self::Flaking => 5,
            self::Itchy => 6,
            self::Alarming => 7,
        };
    }

    /** @return list<Need> what this state asks for by itself */
    public function needs(): array
    {
        return match ($this) {
            self::Dry => [Need::DryScalp],
            self::Oily => [Need::OilyScalp],
            self::Flaking => [Need::Flaking],
            self::Itchy => [Need::Itch],
            self::Thinning => [Need::ThinEdges],
            default => [],
        };
    }

    /** Whether somebody who may treat it sees it before any formula does; so it is with every Sign. */
    public function needsClinician(): bool
    {
        return $this === self::Alarming;
    }
}
