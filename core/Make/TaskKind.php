<?php

declare(strict_types=1);

namespace Crown\Make;

/** What kind of work a task at the counter is. A batch may have several of a kind: rounds of chilling and whipping. */
enum TaskKind: string
{
    case Clean = 'clean';
    /** Toasted, chopped, ground. */
    case Prepare = 'prepare';
    case Steep = 'steep';
    case Melt = 'melt';
    case Hold = 'hold';
    case WarmWater = 'warm-water';
    case Combine = 'combine';
    case Strain = 'strain';
    case Cool = 'cool';
    /** What bears little heat goes in. */
    case CoolDown = 'cool-down';
    /** Something goes in, at a moment of her own. */
    case Add = 'add';
    case Wait = 'wait';
    case Chill = 'chill';
    case Whip = 'whip';
    case Sift = 'sift';
    case Fill = 'fill';
    case Set = 'set';
    case Unmould = 'unmould';
    case Label = 'label';

    private const TURNS = [
        'clean' => 0,
        'prepare' => 1,
        'steep' => 2,
        'melt' => 3,
        'hold' => 4,
        'warm-water' => 5,
        'combine' => 6,
        'strain' => 7,
        'cool' => 8,
        'cool-down' => 9,
        'chill' => 10,
        'whip' => 11,
        'sift' => 12,
        'fill' => 13,
        'set' => 14,
        'unmould' => 15,
        'label' => 16,
    ];

    /** Its usual turn; null for what may come anywhere. */
    public function turn(): ?int
    {
        return self::TURNS[$this->value] ?? null;
    }

    /** Whether something waits while it is done, so that it is done when a clock or a probe says so. */
    public function isWaiting(): bool
    {
        return match ($this) {
            self::Steep, self::Hold, self::Cool, self::Wait, self::Chill, self::Set => true,
            default => false,
        };
    }
}
