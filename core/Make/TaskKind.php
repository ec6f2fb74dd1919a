<?php

declare(strict_types=1);

namespace Crown\Make;

/** What kind of work a task at the counter is. A batch has each at most once. */
enum TaskKind: string
{
    case Clean = 'clean';
    case Melt = 'melt';
    case WarmWater = 'warm-water';
    case Combine = 'combine';
    case CoolDown = 'cool-down';
    case Whip = 'whip';
    case Sift = 'sift';
    case Fill = 'fill';
    case Label = 'label';
}
