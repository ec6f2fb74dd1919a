<?php

declare(strict_types=1);

namespace Crown\Head;

enum Scalp: string
{
    case Calm = 'calm';
    case Dry = 'dry';
    case Oily = 'oily';
    case Flaking = 'flaking';
    case Itchy = 'itchy';
    /** Sores, pain, sudden or patchy loss, a spreading rash: a clinician before any formula. */
    case Alarming = 'alarming';
}
