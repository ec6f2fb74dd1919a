<?php

declare(strict_types=1);

namespace Crown\Steep;

use DateTimeImmutable;

/** The days of a jar, as calendar dates. Method page: docs/methods/steeps.md. */
final readonly class Timeline
{
    /** Days before straining on which a jar that is shaken is left to settle. */
    private const SETTLES = 2;

    public DateTimeImmutable $start;

    /** By which it stands now. */
    public SteepMethod $method;

    public function __construct(private Charge $charge, private Journal $journal, private Way $way)
    {
        $this->start = $journal->stays[0]->from;
        $this->method = $journal->stays[count($journal->stays) - 1]->method;
    }

    public function standsDays(): int
    {
        return $this->way->standsDays($this->method);
    }

    public function strainDay(): DateTimeImmutable
    {
        return $this->start->modify(sprintf('+%d days', $this->standsDays()));
    }

    /** Two days before straining, so that it settles; the day of straining itself for heated steeps. */
    public function stopShaking(): DateTimeImmutable
    {
        return $this->method->isHeated()
            ? $this->strainDay()
            : $this->strainDay()->modify(sprintf('-%d days', self::SETTLES));
    }

    /** After settling once more: two days with fines or water in it, one otherwise. */
    public function readyDay(): DateTimeImmutable
    {
        return $this->strainDay()->modify(
            $this->charge->hasFines() || $this->charge->hasFresh() ? '+2 days' : '+1 day',
        );
    }

    /** Days from the start until it is ready. */
    public function daysUntilReady(): int
    {
        return (int) $this->start->diff($this->readyDay())->format('%a');
    }

    /** Whether it is shaken on a day: from the start until it is left to settle. */
    public function isShakenOn(DateTimeImmutable $day): bool
    {
        return $this->way->shakenDaily
            && ! $this->method->isHeated()
            && $day >= $this->start
            && $day < $this->stopShaking();
    }

    /**
     * Stretches of time from one day to another: which method held, and for how many days. A heated way counts its
     * minutes once.
     *
     * @return list<Span>
     */
    public function spans(DateTimeImmutable $from, DateTimeImmutable $to): array
    {
        $spans = [];
        foreach ($this->journal->stays as $i => $stay) {
            $begins = max($stay->from, $from);
            $ends = min($this->journal->stays[$i + 1]->from ?? $to, $to);
            $celsius = $this->way->heldAt($stay->method);
            if ($stay->method->isHeated()) {
                // What is in the jar on the day of heating is heated; what comes later is not.
                if ($from <= $stay->from && $to >= $stay->from) {
                    $spans[] = new Span($stay->method, $this->way->heldMinutes($stay->method) / 1440, $celsius);
                }
            } elseif ($ends > $begins) {
                $spans[] = new Span($stay->method, (float) $begins->diff($ends)->format('%a'), $celsius);
            }
        }

        return $spans;
    }
}
