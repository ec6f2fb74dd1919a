<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Words\Message;
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
        private Message $message,
    ) {
    }

    /** @param  DateTimeImmutable  $today the studio's date */
    public static function of(SteepPlan $plan, Standing $standing, DateTimeImmutable $today): self
    {
        $days = $plan->timeline;
        $is = static fn (NextKind $kind, DateTimeImmutable $on, Message $message): self => new self(
            $kind,
            $on,
            $today,
            $message,
        );
        if ($standing->state === JarState::Spoiled) {
            return $is(NextKind::Spoiled, $today, new Message('steep.next.spoiled'));
        }
        if ($standing->state === JarState::Strained) {
            return self::afterStraining($is, $days->readyDay(), $today, $standing->putAway);
        }
        $settles = ! $days->method->isHeated() && $today >= $days->stopShaking();

        return match (true) {
            $today >= $days->strainDay() => $is(
                NextKind::Strain,
                $days->strainDay(),
                new Message('steep.next.strain', ['late' => self::late($days->strainDay(), $today)]),
            ),
            $settles && ! $standing->settling => $is(
                NextKind::StopShaking,
                $days->stopShaking(),
                new Message('steep.next.stop-shaking', ['late' => self::late($days->stopShaking(), $today)]),
            ),
            $settles => $is(NextKind::Settling, $days->strainDay(), new Message('steep.next.settling')),
            $plan->way->shakenDaily && ! $days->method->isHeated() => self::shaking(
                $is,
                $standing->lastShaken(),
                $days->start,
                $today,
            ),
            default => $is(NextKind::Waiting, $days->strainDay(), new Message('steep.next.waiting')),
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
        return self::late($this->on, $this->today);
    }

    private static function late(DateTimeImmutable $on, DateTimeImmutable $today): int
    {
        return $on < $today ? (int) $on->diff($today)->format('%a') : 0;
    }

    public function words(): string
    {
        return $this->message->words();
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

    /** @param  callable(NextKind, DateTimeImmutable, Message): self  $is */
    private static function afterStraining(
        callable $is,
        DateTimeImmutable $ready,
        DateTimeImmutable $today,
        bool $putAway,
    ): self {
        return match (true) {
            $putAway => $is(NextKind::Done, $today, new Message('steep.next.done')),
            $today >= $ready => $is(
                NextKind::Ready,
                $ready,
                new Message('steep.next.ready', ['late' => self::late($ready, $today)]),
            ),
            default => $is(NextKind::Ready, $ready, new Message('steep.next.clearing')),
        };
    }

    /** @param  callable(NextKind, DateTimeImmutable, Message): self  $is */
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
                new Message('steep.next.shaken'),
            ),
            $missed >= self::MISSED => $is(
                NextKind::Shake,
                $since->modify('+1 day'),
                new Message('steep.next.missed', ['days' => $missed + 1]),
            ),
            default => $is(NextKind::Shake, $today, new Message('steep.next.shake')),
        };
    }
}
