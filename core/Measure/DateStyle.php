<?php

declare(strict_types=1);

namespace Crown\Measure;

/** How dates are written: 27 November 2026, November 27, 2026, or 2026-11-27. */
enum DateStyle: string
{
    case DayFirst = 'day-first';
    case MonthFirst = 'month-first';
    case Numbers = 'numbers';
}
