<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Number;
use DateTimeImmutable;
use JsonSerializable;

/** What a jar needs next, on which day, and by how much it is late. Method page: docs/methods/steeps.md. */
final readonly class NextAct implements JsonSerializable
{
    /** Days without a shake from which it is said for how long. */
    private const MISSED = 2;

    private function __construct(
        public NextKind $kind,
        public DateTimeImmutable $on,
        private DateTimeImmutable $today,
        private string $sentence,
    ) {
    }

    /** @param  DateTimeImmutable  $today the studio's date */
    public static function of(SteepPlan $plan, Standing $standing, DateTimeImmutable $today): self
    {
        $days = $plan->timeline;
        $is = static fn (NextKind $kind, DateTimeImmutable $on, string $sentence): self => new self(
            $kind,
            $on,
            $today,
            $sentence,
        );
        if ($standing->state === JarState::Spoiled) {
            return $is(NextKind::Spoiled, $today, 'Spoiled: throw it away.');
        }
        if ($standing->state === JarState::Strained) {
            return self::afterStraining($is, $days->readyDay(), $today, $standing->putAway);
        }
        $settles = ! $days->method->isHeated() && $today >= $days->stopShaking();

        return match (true) {
            $today >= $days->strainDay() => $is(NextKind::Strain, $days->strainDay(), 'Strain it{late}.'),
            $settles && ! $standing->settling => $is(
                NextKind::StopShaking,
                $days->stopShaking(),
                'Leave it to settle: no more shaking{late}.',
            ),
            $settles => $is(NextKind::Settling, $days->strainDay(), 'Settling, untouched, until it is strained.'),
            $plan->way->shakenDaily && ! $days->method->isHeated() => self::shaking(
                $is,
                $standing->lastShaken(),
                $days->start,
                $today,
            ),
            default => $is(NextKind::Waiting, $days->strainDay(), 'Nothing until it is strained.'),
        };
    }

    /** Whether it asks for hands, when its day has come. */
    public function isForHands(): bool
    {
        return match ($this->kind) {
            NextKind::Shake, NextKind::StopShaking, NextKind::Strain, NextKind::Ready => true,
            default => false,
        };
    }

    public function isOverdue(): bool
    {
        return $this->on < $this->today;
    }

    /** Days by which it is late; 0 when it is not. */
    public function daysLate(): int
    {
        return $this->isOverdue() ? (int) $this->on->diff($this->today)->format('%a') : 0;
    }

    public function words(): string
    {
        $late = $this->daysLate();

        return str_replace(
            '{late}',
            $late === 0 ? '' : sprintf(', %d %s late', $late, $late === 1 ? 'day' : 'days'),
            $this->sentence,
        );
    }

    /** @return array{kind: string, on: string, overdue: bool, words: string} */
    public function jsonSerialize(): array
    {
        return [
            'kind' => $this->kind->value,
            'on' => $this->on->format('Y-m-d'),
            'overdue' => $this->isOverdue(),
            'words' => $this->words(),
        ];
    }

    /** @param  callable(NextKind, DateTimeImmutable, string): self  $is */
    private static function afterStraining(
        callable $is,
        DateTimeImmutable $ready,
        DateTimeImmutable $today,
        bool $putAway,
    ): self {
        return match (true) {
            $putAway => $is(NextKind::Done, $today, 'Strained and put away.'),
            $today >= $ready => $is(NextKind::Ready, $ready, 'Ready: put it away{late}.'),
            default => $is(NextKind::Ready, $ready, 'Clearing until it is ready.'),
        };
    }

    /** @param  callable(NextKind, DateTimeImmutable, string): self  $is */
    private static function shaking(
        callable $is,
        ?DateTimeImmutable $last,
        DateTimeImmutable $start,
        DateTimeImmutable $today,
    ): self {
        $since = $last ?? $start;
        $missed = (int) $since->diff($today)->format('%r%a') - 1;

        return match (true) {
            $last !== null && $last->format('Y-m-d') === $today->format('Y-m-d') => $is(
                NextKind::Waiting,
                $today->modify('+1 day'),
                'Shaken today.',
            ),
            $missed >= self::MISSED => $is(
                NextKind::Shake,
                $since->modify('+1 day'),
                sprintf('Shake it: not shaken for %s.', Number::counted($missed + 1, 'day')),
            ),
            default => $is(NextKind::Shake, $today, 'Shake it today.'),
        };
    }
}
