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

    /** Findings that no reason outweighs, as far as they are stops. */
    private const NEVER = ['head.allergy', 'head.clinician', 'lot.withdrawn'];

    private const WATER = ['water.', 'preservative.'];

    /** @throws FormulaError without a reason */
    public function __construct(public string $code, public string $message, public string $reason)
    {
        if (trim($reason) === '') {
            throw FormulaError::field('reason', 'your reason, in a few words');
        }
    }

    public function isOf(Finding $finding): bool
    {
        return $this->code === $finding->code && $this->message === $finding->message;
    }

    /**
     * Never a stop for a child, in pregnancy, for an allergy, for an oil that went bad, or for unpreserved water meant
     * for sale.
     */
    public static function mayBe(Finding $finding, Formula $formula): bool
    {
        return $finding->severity !== Severity::Stop
            || ! (
                $formula->audience->isChild()
                || $formula->audience === Audience::Pregnancy
                || self::isAbout($finding, self::NEVER)
                || ($formula->forSale && self::isAbout($finding, self::WATER))
            );
    }

    /** @param  list<string>  $starts of codes */
    private static function isAbout(Finding $finding, array $starts): bool
    {
        foreach ($starts as $start) {
            if (str_starts_with($finding->code, $start)) {
                return true;
            }
        }

        return false;
    }
}
