<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

use Crown\Formula\Step;

/** A step as a sentence tells it. */
final readonly class ToldStep
{
    /**
     * @param  Step  $plain in English words
     * @param  Step  $written as it stands there
     * @param  int  $from characters of the sentence before it
     * @param  int  $to the character after its last
     */
    public function __construct(public Step $plain, public Step $written, public int $from, public int $to)
    {
    }
}
