<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** What a text calls a thing. */
final readonly class Named
{
    /**
     * @param  string  $text the name as it is looked up: its state in English words, what says only how it was bought
     *     left out
     * @param  float  $cost 0 for a name that is known by the letter
     * @param  int  $from the first of its tokens
     * @param  int  $to the token after its last
     */
    public function __construct(public string $text, public float $cost, public int $from, public int $to)
    {
    }
}
