<?php

declare(strict_types=1);

namespace Crown\Head;

/** One way to answer a question, and the value it speaks for; null when it speaks for none. */
final readonly class Answer
{
    public function __construct(public string $id, public string $words, public ?string $speaksFor)
    {
    }
}
