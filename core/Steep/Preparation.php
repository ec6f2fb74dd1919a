<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Band;

/** What was done to a plant before it went under oil. */
enum Preparation: string
{
    case None = 'none';
    case Chopped = 'chopped';
    case Crushed = 'crushed';
    case Blended = 'blended';
    case Toasted = 'toasted';
    case ToastedCrushed = 'toasted-crushed';
    /** A fresh plant that lay in the shade until it was limp, and is weighed as it is then. */
    case Wilted = 'wilted';
    /** A powder in a closed bag: it stays out of the oil, and gives up less. */
    case Bagged = 'bagged';

    /** Source: estimate of ours, of leaves that lay for a night in a dry room. */
    private const WILTED = [0.2, 0.33, 0.45];

    /** What is done to a form where nobody says: a method may blend it, and a fresh plant is chopped. */
    public static function usual(string $form, SteepMethod $method): self
    {
        return match (true) {
            $method === SteepMethod::BlendHeat => self::Blended,
            $form === 'fresh' => self::Chopped,
            default => self::None,
        };
    }

    /** How much faster it draws than the same form untouched. */
    public function speed(): float
    {
        return match ($this) {
            self::None, self::Chopped, self::Wilted => 1.0,
            self::Crushed, self::Toasted, self::ToastedCrushed => 2.0,
            self::Blended => 4.0,
            self::Bagged => 0.5,
        };
    }

    /** Share of a fresh plant's water that it gives up: blended 0.8, chopped or crushed 0.35, whole 0.1. */
    public function release(): float
    {
        return match ($this) {
            self::Blended => 0.8,
            self::Chopped, self::Crushed, self::ToastedCrushed, self::Wilted => 0.35,
            default => 0.1,
        };
    }

    /** Share of its fresh mass that a plant has lost before it is weighed: a third of it in the shade. */
    public function lostBefore(): Band
    {
        return $this === self::Wilted ? Band::of(...self::WILTED) : Band::exact(0.0);
    }

    /** The fines are in the oil. */
    public function leavesFines(string $form): bool
    {
        return $this === self::Blended || ($form === 'powder' && $this !== self::Bagged);
    }
}
