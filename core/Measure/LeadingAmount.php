<?php

declare(strict_types=1);

namespace Crown\Measure;

/** An amount found at the start of a text, and the text after it. */
final readonly class LeadingAmount
{
    public function __construct(public Amount $amount, public string $rest)
    {
    }
}
