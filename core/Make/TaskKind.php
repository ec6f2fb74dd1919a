<?php

declare(strict_types=1);

namespace Crown\Make;

/** What kind of work a task at the counter is. A batch may have several of a kind: rounds of chilling and whipping. */
enum TaskKind: string
{
    case Clean = 'clean';
    /** Cut, chopped, washed, dried. */
    case Prepare = 'prepare';
    case Toast = 'toast';
    case Crush = 'crush';
    case Blend = 'blend';
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
    /** The sides of the bowl, back into the rest, at a moment of her own. */
    case Scrape = 'scrape';
    case Sift = 'sift';
    /** Into a container: poured, spooned or piped. */
    case Fill = 'fill';
    /** With the lid on, in the bottle that it stays in. */
    case Shake = 'shake';
    case Set = 'set';
    case Unmould = 'unmould';
    case Wrap = 'wrap';
    case Wipe = 'wipe';
    case Label = 'label';

    /** In the order of their usual turn; what is not among them may come anywhere. */
    private const TURNS = [
        self::Clean, self::Prepare, self::Toast, self::Crush, self::Blend, self::Steep, self::Melt,
        self::Hold, self::WarmWater, self::Combine, self::Strain, self::Cool, self::CoolDown, self::Chill, self::Whip,
        self::Sift, self::Fill, self::Shake, self::Set, self::Unmould, self::Wrap, self::Wipe, self::Label,
    ];

    /** Its usual turn; null for what may come anywhere. */
    public function turn(): ?int
    {
        $turn = array_search($this, self::TURNS, true);

        return $turn === false ? null : $turn;
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
