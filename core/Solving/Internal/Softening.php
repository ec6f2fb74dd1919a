<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

use Crown\Assessment\Eutectic;
use Crown\Catalogue\Name;
use Crown\Solving\Answer;
use Crown\Solving\Between;
use Crown\Solving\Candidate;
use Crown\Solving\Contradiction;
use Crown\Solving\Goal;
use Crown\Solving\Requirement;
use Crown\Solving\Requirement\EffectiveSolids;
use Crown\Words\Message;

/**
 * Demands on solids: how soft a fat is hangs on what it is blended with, which no linear programme can say. So each
 * answer is reckoned anew as it truly is, and asked for again by the slopes there, until it holds; where that does not
 * settle, a blend between a softer and a firmer one is taken, or one of two kinds of fat that soften each other is left
 * out. What it finds so is good, and not proven best.
 */
final readonly class Softening
{
    private const ROUNDS = 16;

    /** Rounds without an answer after which it is given up from there. */
    private const DEAD = 2;

    private const HALVINGS = 40;

    private const PAIRS = 200;

    /** Answers that settled among which the best is taken. */
    private const ENOUGH = 4;

    /** Rounds from one blend where there are many ingredients. */
    private const QUICK = 2;

    private const FEW = 12;

    /** How much firmer it is asked for by what each fat is alone, since blends are softer. */
    private const FIRMER = [1.4, 2.0, 4.0];

    /** Points of solids by which an answer may miss what was asked: a thousandth of what a curve is uncertain by. */
    private const MISS = 0.01;

    /**
     * @param  list<Candidate>  $candidates
     * @param  list<Requirement>  $requirements
     * @param  \Closure(list<Candidate>, list<Requirement>): Answer  $ask
     */
    public function __construct(
        private array $candidates,
        private array $requirements,
        private Goal $first,
        private \Closure $ask,
    ) {
    }

    /** The answer of the first round, or one whose solids are truly as they were asked for. */
    public function answer(): Answer
    {
        $answer = ($this->ask)($this->candidates, $this->requirements);
        if ($this->solids() === []) {
            return $answer;
        }
        if ($answer->status !== 'impossible' && $this->holds($answer)) {
            return $this->isProven() ? $answer : $answer->asFound();
        }
        $seen = [];
        $found = $this->fromEach($answer, $seen);

        return $this->best($found)?->asFound()
            ?? $this->between([...$this->pure(), ...$seen])?->asFound()
            ?? $this->apart($answer->status === 'impossible' ? $answer : $found[count($found) - 1] ?? $answer);
    }

    /**
     * What comes of one beginning after the other, until so many have settled.
     *
     * @param  list<list<float>>  $seen the blends that were seen on the way are added
     * @return list<Answer>
     */
    private function fromEach(Answer $first, array &$seen): array
    {
        // Among many ingredients the first that settles is taken, or one between those seen: more would take too long.
        $few = count($this->candidates) <= self::FEW;
        $enough = $few ? self::ENOUGH : 1;
        $found = [];
        $settled = 0;
        foreach ($this->starts($first) as $start) {
            $seen[] = $start;
            $answer = $this->rounds($start, $seen, $few ? self::ROUNDS : self::QUICK);
            if (! $few && $answer->status === 'impossible') {
                $answer = $this->between($seen) ?? $answer;
            }
            $found[] = $answer;
            $settled += $answer->status === 'impossible' ? 0 : 1;
            if ($settled === $enough) {
                break;
            }
        }

        return $found;
    }

    /**
     * Whether the best by what each fat is alone is the best there is, when it holds: blends are only softer, so
     * nothing was left out where it had to be firm; where it had to be soft, something may have been.
     */
    private function isProven(): bool
    {
        $hasFats = array_filter(
            $this->candidates,
            static fn (Candidate $c): bool => ! $c->ingredient->composition->solidFat->isLiquid(),
        );
        $hasMost = array_filter($this->solids(), static fn (EffectiveSolids $s): bool => $s->between->most !== null);

        return $hasFats === [] || $hasMost === [];
    }

    /** @param  list<Answer>  $answers */
    private function best(array $answers): ?Answer
    {
        $best = null;
        foreach ($answers as $answer) {
            if ($answer->status === 'impossible') {
                continue;
            }
            $isBetter = $best === null
                || ($this->first === Goal::Service
                    ? $answer->objective > $best->objective
                    : $answer->objective < $best->objective);
            $best = $isBetter ? $answer : $best;
        }

        return $best;
    }

    /**
     * Rounds from one blend on: each asks for what is best by the slopes at the blend half way between those before;
     * impossible where they do not settle.
     *
     * @param  list<float>  $x shares, per cent, in the candidates' order
     * @param  list<list<float>>  $seen what was answered on the way is added
     */
    private function rounds(array $x, array &$seen, int $most): Answer
    {
        $answer = null;
        $dead = 0;
        for ($round = 0; $round < $most && $dead < self::DEAD; $round++) {
            $near = array_map(
                fn (Requirement $r): Requirement => $r instanceof EffectiveSolids
                    ? $r->near($this->candidates, $x)
                    : $r,
                $this->requirements,
            );
            $answer = ($this->ask)($this->candidates, $near);
            if ($answer->status !== 'impossible' && $this->holds($answer)) {
                return $answer;
            }
            $dead += $answer->status === 'impossible' ? 1 : 0;
            $point = $this->point($answer);
            if (array_sum($point) <= 0.0) {
                return $answer;
            }
            $seen[] = $point;
            $x = self::mixed($x, $point, 0.5);
        }

        return $answer?->status === 'impossible'
            ? $answer
            : Answer::impossible(new Contradiction($this->conflict()));
    }

    /**
     * A blend between two of those that were seen, one of them too soft and one too firm: what else is asked holds for
     * all between them. Null where nothing of the kind was seen, or where shares are not free to move.
     *
     * @param  list<list<float>>  $seen
     */
    private function between(array $seen): ?Answer
    {
        foreach ($this->solids() as $solids) {
            $answer = $this->betweenBy($solids, $seen);
            if ($answer !== null) {
                return $answer;
            }
        }

        return null;
    }

    /**
     * A blend between two that miss one demand on either side; whether it meets the others is looked at.
     *
     * @param  list<list<float>>  $seen
     */
    private function betweenBy(EffectiveSolids $solids, array $seen): ?Answer
    {
        $soft = $firm = [];
        foreach ($seen as $x) {
            $reached = $this->reached($solids, $x);
            if ($reached < $solids->between->low()) {
                $soft[] = $x;
            } elseif ($reached > $solids->between->high()) {
                $firm[] = $x;
            } elseif (($answer = $this->exactly($x)) !== null) {
                return $answer;
            }
        }
        $tried = 0;
        foreach ($soft as $one) {
            foreach ($firm as $other) {
                $answer = ++$tried <= self::PAIRS ? $this->halved($solids, $one, $other) : null;
                if ($answer !== null) {
                    return $answer;
                }
            }
        }

        return null;
    }

    /**
     * @param  list<float>  $soft
     * @param  list<float>  $firm
     */
    private function halved(EffectiveSolids $solids, array $soft, array $firm): ?Answer
    {
        for ($step = 0; $step < self::HALVINGS; $step++) {
            $middle = self::mixed($soft, $firm, 0.5);
            $reached = $this->reached($solids, $middle);
            if ($reached < $solids->between->low()) {
                $soft = $middle;
            } elseif ($reached > $solids->between->high()) {
                $firm = $middle;
            } else {
                return $this->exactly($middle);
            }
        }

        return null;
    }

    /** @param  list<float>  $x */
    private function reached(EffectiveSolids $solids, array $x): float
    {
        return $solids->reached(new Programme($this->candidates, [$solids]), $x);
    }

    /** @return list<list<float>> each ingredient by itself, where that meets all but what is asked of the solids */
    private function pure(): array
    {
        $programme = new Programme($this->candidates, $this->others());
        $pure = [];
        foreach ($this->candidates as $j => $candidate) {
            $x = array_map(static fn (int $k): float => $k === $j ? 100.0 : 0.0, array_keys($this->candidates));
            if ($programme->allows($x)) {
                $pure[] = $x;
            }
        }

        return $pure;
    }

    /**
     * The answer that is one blend, when it meets all that is asked.
     *
     * @param  list<float>  $x
     */
    private function exactly(array $x): ?Answer
    {
        $answer = ($this->ask)(
            array_map(
                static fn (Candidate $c, float $share): Candidate => $c->exactly(max(0.0, min(100.0, $share))),
                $this->candidates,
                $x,
            ),
            $this->others(),
        );

        return $answer->status !== 'impossible' && $this->holds($answer) ? $answer : null;
    }

    /** @return list<EffectiveSolids> */
    private function solids(): array
    {
        return array_values(
            array_filter($this->requirements, static fn (Requirement $r): bool => $r instanceof EffectiveSolids),
        );
    }

    /** @return list<Requirement> with that much more asked of the solids */
    private function firmer(float $by): array
    {
        return array_map(
            static fn (Requirement $r): Requirement => $r instanceof EffectiveSolids
                ? $r->within(
                    new Between(
                        $r->between->least === null ? null : $r->between->least * $by,
                        $r->between->most === null ? null : $r->between->most * $by,
                    ),
                )
                : $r,
            $this->requirements,
        );
    }

    /** @return list<Requirement> all but those of solids */
    private function others(): array
    {
        return array_values(
            array_filter($this->requirements, static fn (Requirement $r): bool => ! $r instanceof EffectiveSolids),
        );
    }

    /**
     * @param  list<float>  $one
     * @param  list<float>  $other
     * @return list<float>
     */
    private static function mixed(array $one, array $other, float $part): array
    {
        return array_map(static fn (float $a, float $b): float => $a + ($b - $a) * $part, $one, $other);
    }

    /**
     * Blends to begin from, each asked for only when it is needed: the best by what each fat is alone; the best where
     * nothing is asked of the solids; the blend as it is now; and firmer ones.
     *
     * @return iterable<list<float>>
     */
    private function starts(Answer $answer): iterable
    {
        $ways = [
            fn (): array => $this->point($answer),
            fn (): array => $this->point(($this->ask)($this->candidates, $this->others())),
            fn (): array => array_map(static fn (Candidate $c): float => $c->now, $this->candidates),
            ...array_map(
                fn (float $by): \Closure => fn (): array => $this->point(
                    ($this->ask)($this->candidates, $this->firmer($by)),
                ),
                self::FIRMER,
            ),
        ];
        foreach ($ways as $way) {
            $x = $way();
            if (array_sum($x) > 0.0) {
                yield $x;
            }
        }
    }

    private function holds(Answer $answer): bool
    {
        foreach ($this->solids() as $solids) {
            if ($solids->between->missedBy($this->reached($solids, $this->point($answer))) > self::MISS) {
                return false;
            }
        }

        return true;
    }

    /** With one of the two kinds left out: the first of both ways that is possible. */
    private function apart(Answer $otherwise): Answer
    {
        foreach ([Eutectic::isLauric(...), Eutectic::isOfCocoaKind(...)] as $isOf) {
            $without = array_values(
                array_filter(
                    $this->candidates,
                    static fn (Candidate $c): bool => $c->least > 0.0 || ! $isOf($c->ingredient),
                ),
            );
            $answer = ($this->ask)($without, $this->requirements);
            if ($answer->status !== 'impossible' && $this->holds($answer)) {
                return $answer->asFound();
            }
        }

        return $otherwise;
    }

    /** @return list<string> what is asked of the solids, beside the fats that must be in it and soften each other */
    private function conflict(): array
    {
        $solids = $this->solids();
        $fats = array_filter(
            $this->candidates,
            static fn (Candidate $c): bool => ! $c->ingredient->composition->solidFat->isLiquid(),
        );

        return [
            ...array_map(static fn (Requirement $r): string => $r->words(), $solids),
            Message::said('solving.softening.together', [
                'fats' => implode(
                    ' and ',
                    array_map(static fn (Candidate $c): string => Name::inSentence($c->ingredient->name), $fats),
                ),
            ]),
        ];
    }

    /** @return list<float> shares in the candidates' order; of what is impossible those of the nearest that is not */
    private function point(Answer $answer): array
    {
        $shares = $answer->status === 'impossible' ? $answer->against->nearest : $answer->shares;

        return array_map(
            static fn (Candidate $c): float => $shares[$c->ingredient->id] ?? 0.0,
            $this->candidates,
        );
    }
}
