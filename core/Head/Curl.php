<?php

declare(strict_types=1);

namespace Crown\Head;

/** How the hair falls when nothing is done to it. */
enum Curl: string
{
    case NotKnown = 'not-known';
    case Straight = 'straight';
    case Wavy = 'wavy';
    case Curly = 'curly';
    case Coily = 'coily';
}
