<?php

declare(strict_types=1);

namespace Crown\Steep;

/** Where a jar stood, what was taken out of it, and what was weighed. Nothing of it is edited away. */
final readonly class Journal
{
    /**
     * @param  list<Stay>  $stays at least one, in the order of their days; the first day is the start
     * @param  list<Draw>  $draws
     * @param  list<Weighing>  $weighings of the bowl, before and after heating
     *
     * @throws SteepError about "method"
     */
    public function __construct(public array $stays, public array $draws = [], public array $weighings = [])
    {
        if ($stays === []) {
            throw SteepError::field('method', implode(', ', array_column(SteepMethod::cases(), 'value')));
        }
    }

    public function drawnGrams(): float
    {
        return array_sum(array_map(static fn (Draw $d): float => $d->grams, $this->draws));
    }

    /** Whether the bowl was heated and weighed again, and lost nothing more. */
    public function showsNoMoreLoss(): bool
    {
        $last = $this->weighings[count($this->weighings) - 1] ?? null;

        return count($this->weighings) > 1 && $last?->lossGrams() === 0.0;
    }

    /** Grams of water driven off, as the bowl was weighed. */
    public function waterLostGrams(): float
    {
        return array_sum(array_map(static fn (Weighing $w): float => $w->lossGrams(), $this->weighings));
    }
}
