<?php

declare(strict_types=1);

namespace Crown\Formula;

/**
 * A finding that the maker has decided to live with, and why. It holds for what was said, word for word: once the
 * finding says something else (a higher share, another line), it is open again. Method page: docs/methods/accepting.md.
 */
final readonly class Acceptance
{
    /** Characters. */
    public const LONGEST_REASON = 500;

    public const LONGEST_MESSAGE = 2_000;

    /** @throws FormulaError without a reason */
    public function __construct(public string $code, public string $message, public string $reason)
    {
        if (trim($reason) === '') {
            throw FormulaError::field('reason', 'your reason, in a few words');
        }
    }
}
