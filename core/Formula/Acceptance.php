<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Words\Message;

/**
 * A finding that the maker has decided to live with, and why. It holds for what was said: once the finding says
 * something else (a higher share, another line), it is open again. Method page: docs/methods/accepting.md.
 */
final readonly class Acceptance
{
    /** Characters. */
    public const LONGEST_REASON = 500;

    public const LONGEST_SENTENCE = 2_000;

    /**
     * @param  string|null  $sentence by which it was known before findings had keys; null since
     *
     * @throws FormulaError about "reason" without one
     */
    public function __construct(public FindingKey $key, public string $reason, public ?string $sentence = null)
    {
        if (trim($reason) === '') {
            throw FormulaError::field('reason', new Message('formula.acceptance.your-reason-few-words'));
        }
    }
}
