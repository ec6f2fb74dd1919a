<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

use Crown\Assessment\Eutectic;
use Crown\Catalogue\MixturePart;
use Crown\Catalogue\Name;
use Crown\Solving\Answer;
use Crown\Solving\Candidate;
use Crown\Solving\Contradiction;
use Crown\Solving\Requirement;
use Crown\Solving\Requirement\EffectiveSolids;

/**
 * Demands on solids where fats of the cocoa kind and lauric fats may meet: how much they soften each other hangs on
 * their shares, which no linear programme can say. So each answer is reckoned anew as it truly is, and asked for again
 * with that factor, until it holds; where it does not settle, one of the two kinds is left out, and the sums are exact.
 */
final readonly class Softening
{
    private const ROUNDS = 16;

    /** Points of solids by which an answer may miss what was asked. */
    private const MISS = 1e-4;

    /**
     * @param  list<Candidate>  $candidates
     * @param  list<Requirement>  $requirements
     * @param  \Closure(list<Candidate>, list<Requirement>): Answer  $ask
     */
    public function __construct(private array $candidates, private array $requirements, private \Closure $ask)
    {
    }

    /** The answer of the first round, or of one whose solids are truly as they were asked for. */
    public function answer(): Answer
    {
        $answer = ($this->ask)($this->candidates, $this->requirements);
        if ($answer->status === 'impossible' || $this->holds($answer)) {
            return $answer;
        }
        $factors = array_map(static fn (): float => 1.0, $this->requirements);
        for ($round = 0; $round < self::ROUNDS && $answer->status !== 'impossible'; $round++) {
            $factors = $this->halfway($factors, $answer);
            $answer = ($this->ask)($this->candidates, $this->softened($factors));
            if ($answer->status !== 'impossible' && $this->holds($answer)) {
                return $answer->asFound();
            }
        }

        return $this->apart();
    }

    private function holds(Answer $answer): bool
    {
        foreach ($this->requirements as $requirement) {
            if ($requirement instanceof EffectiveSolids) {
                $programme = new Programme($this->candidates, [$requirement]);
                $true = $requirement->reached($programme, $this->point($answer));
                if (
                    $true < $requirement->between->low() - self::MISS
                    || $true > $requirement->between->high() + self::MISS
                ) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * Half of the way to the factors that an answer truly has: the whole of it would swing to and fro.
     *
     * @param  list<float>  $factors by requirement
     * @return list<float>
     */
    private function halfway(array $factors, Answer $answer): array
    {
        $parts = [];
        foreach ($this->candidates as $candidate) {
            $parts[] = new MixturePart(
                $candidate->ingredient,
                $answer->shares[$candidate->ingredient->id] ?? 0.0,
            );
        }

        return array_map(
            static fn (Requirement $r, float $was): float => $r instanceof EffectiveSolids
                ? ($was + $r->factorOf($parts)) / 2
                : $was,
            $this->requirements,
            $factors,
        );
    }

    /**
     * @param  list<float>  $factors by requirement
     * @return list<Requirement>
     */
    private function softened(array $factors): array
    {
        return array_map(
            static fn (Requirement $r, float $by): Requirement => $r instanceof EffectiveSolids
                ? $r->softened($by)
                : $r,
            $this->requirements,
            $factors,
        );
    }

    /** With one of the two kinds left out: the first of both ways that is possible. */
    private function apart(): Answer
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

        return Answer::impossible(new Contradiction($this->conflict()));
    }

    /** @return list<string> what is asked of the solids, beside the fats that must be in it and soften each other */
    private function conflict(): array
    {
        $solids = array_filter($this->requirements, static fn (Requirement $r): bool => $r instanceof EffectiveSolids);
        $fats = array_filter($this->candidates, static fn (Candidate $c): bool => Eutectic::concerns($c->ingredient));

        return [
            ...array_values(array_map(static fn (Requirement $r): string => $r->words(), $solids)),
            sprintf(
                '%s soften each other',
                implode(
                    ' and ',
                    array_map(static fn (Candidate $c): string => Name::inSentence($c->ingredient->name), $fats),
                ),
            ),
        ];
    }

    /** @return list<float> shares in the candidates' order */
    private function point(Answer $answer): array
    {
        return array_map(
            static fn (Candidate $c): float => $answer->shares[$c->ingredient->id] ?? 0.0,
            $this->candidates,
        );
    }
}
