<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Formula\Formula;

/** What the maker of a formula has decided about a finding of it. */
final readonly class Decision
{
    /** More than any severity's rank. */
    private const AFTER_ALL_OPEN = 10;

    /**
     * @param  bool  $acceptable whether a reason of the maker's can outweigh it
     * @param  string|null  $reason the maker's reason for living with it; null when it is open
     * @param  int|null  $by place among the formula's acceptances of the one that is of it; null when it is open
     */
    public function __construct(public bool $acceptable, public ?string $reason = null, public ?int $by = null)
    {
    }

    public static function of(Finding $finding, Formula $formula): self
    {
        $decision = new self(Acceptability::allows($finding, $formula));
        foreach ($decision->acceptable ? $formula->accepted : [] as $n => $acceptance) {
            if ($finding->isOf($acceptance)) {
                $decision = new self(true, $acceptance->reason, $n);
            }
        }

        return $decision;
    }

    public function isOpen(): bool
    {
        return $this->reason === null;
    }

    /** Where it stands: worst first, before all else that a clinician is asked, and what was accepted last. */
    public function rank(Finding $of): int
    {
        return match (true) {
            $of->code === 'head.clinician' => -1,
            $this->isOpen() => $of->severity->rank(),
            default => self::AFTER_ALL_OPEN + $of->severity->rank(),
        };
    }
}
