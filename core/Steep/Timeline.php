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

    /** @var non-empty-list<Stay> the first as the way has it */
    private array $stays;

    public function __construct(private Charge $charge, Journal $journal, private Way $way)
    {
        $this->stays = [$journal->stays[0]->inWay($way), ...array_slice($journal->stays, 1)];
        $this->start = $this->stays[0]->from;
        $this->method = $this->last()->method;
    }

    /** Days from the start until it is strained. */
    public function standsDays(): int
    {
        return (int) $this->start->diff($this->strainDay())->format('%a');
    }

    /** Minutes for which the way by which it stands now is held; 0 for one that is not heated. */
    public function heldMinutes(): float
    {
        return $this->last()->heldMinutes();
    }

    /** °C at which it is held now. */
    public function heldAt(): float
    {
        return $this->last()->heldAt();
    }

    /**
     * From where it was moved with a length, counted from that day; heated, on the day after, and on the same day where
     * a fresh plant is in it, which must not stand. Moved without a length it still stands as long as was planned from
     * the start.
     */
    public function strainDay(): DateTimeImmutable
    {
        $last = $this->last();
        $first = $this->stays[0];
        $days = $last->days ?? $this->method->days();
        if ($this->method->isHeated() && $this->charge->hasFresh()) {
            return $last->from;
        }
        if (count($this->stays) === 1 || $last->days !== null || $this->method->isHeated()) {
            return $last->from->modify(sprintf('+%d days', $days));
        }
        $planned = $first->method->isHeated() ? $days : $first->days ?? $days;

        return max($last->from, $this->start->modify(sprintf('+%d days', $planned)));
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
        foreach ($this->stays as $i => $stay) {
            $begins = max($stay->from, $from);
            $ends = min($this->stays[$i + 1]->from ?? $to, $to);
            $celsius = $stay->heldAt();
            if ($stay->method->isHeated()) {
                // What is in the jar on the day of heating is heated; what comes later is not.
                if ($from <= $stay->from && $to >= $stay->from) {
                    $spans[] = new Span($stay->method, $stay->heldMinutes() / 1440, $celsius);
                }
            } elseif ($ends > $begins) {
                $spans[] = new Span($stay->method, (float) $begins->diff($ends)->format('%a'), $celsius);
            }
        }

        return $spans;
    }

    private function last(): Stay
    {
        return $this->stays[count($this->stays) - 1];
    }
}
