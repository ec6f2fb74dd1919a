<?php

declare(strict_types=1);

namespace Crown\Reading;

/** Who says what a line is. */
enum SettledBy: string
{
    /** Its own words. */
    case Text = 'text';
    /** The maker, of this text. */
    case Maker = 'maker';
    /** The studio: the name was settled before. */
    case Studio = 'studio';
}
