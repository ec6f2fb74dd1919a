<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** What a sentence of a text is. */
enum Role
{
    case Title;
    case Heading;
    /** How much it makes, or what it is filled into. */
    case Size;
    /** It says something and nothing of it goes in. */
    case Remark;
    /** It tells of another making, of what is left out, or of shopping. */
    case Elsewhere;
    /** What goes in, what is done, or both. */
    case Content;
    /** What is done with what was made. */
    case Use;
}
