<?php

declare(strict_types=1);

namespace Crown\Solving\Requirement;

use Crown\Solving\Between;
use Crown\Solving\Candidate;

/** One ingredient, or several together, per cent of the whole. */
final readonly class ShareOf extends Sum
{
    /**
     * @param  list<string>  $ids of ingredients
     * @param  string|null  $called what they are called where their ids are not to be shown; null for the ids
     */
    public function __construct(Between $between, private array $ids, private ?string $called = null)
    {
        parent::__construct($between);
    }

    public function kind(): string
    {
        return 'share';
    }

    public function of(): string
    {
        return implode('+', $this->ids);
    }

    protected function perPercent(Candidate $candidate): float
    {
        return in_array($candidate->ingredient->id, $this->ids, true) ? 1.0 : 0.0;
    }

    public function words(): string
    {
        return sprintf(
            '%s %s %%',
            $this->called ?? implode(' and ', $this->ids),
            $this->between->words(),
        );
    }
}
