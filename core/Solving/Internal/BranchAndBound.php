<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

use Crown\Solving\Candidate;
use Crown\Solving\SolveError;
use Crown\Words\Message;

/**
 * The best point that is whole where it must be: no more ingredients than allowed, and whole steps (drops). The linear
 * programme bounds from below. Branches on the largest share that is not yet decided, kept first; then on the first
 * broken step, down first.
 */
final class BranchAndBound
{
    /** Below this share a line is nothing, per cent. */
    public const NOTHING = 1e-5;

    /** After so many branches the best so far is said to be found, not proven. */
    private const MOST_BRANCHES = 2_000;

    private int $branches = 0;

    /**
     * @param  list<float|null>  $steps of each variable: it is a whole number of them; null for any value
     * @param  int|null  $fewest most variables that may be more than nothing; null for any number
     */
    public function __construct(private readonly array $steps, private readonly ?int $fewest)
    {
    }

    /** @param  list<Candidate>  $candidates */
    public static function of(array $candidates, ?int $fewest): self
    {
        return new self(array_map(static fn (Candidate $c): ?float => $c->step, $candidates), $fewest);
    }

    /** Whether the last search was ended before it could prove that nothing is better. */
    public function wasCutShort(): bool
    {
        return $this->branches >= self::MOST_BRANCHES;
    }

    /**
     * @param  list<float>  $cost
     * @param  list<float>  $lower
     * @param  list<float>  $upper
     * @param  list<Row>  $rows
     *
     * @throws SolveError about "demands" when it cannot tell within its branches
     */
    public function least(array $cost, array $lower, array $upper, array $rows): Solution
    {
        $root = Simplex::least($cost, $lower, $upper, $rows);
        if (! $root->feasible || ($this->fewest === null && $this->broken($root) === null)) {
            return $root;
        }
        $best = new Solution(false, $root->x, INF, [], 0);
        // What has to be in it is in it for good: it leaves so many fewer to choose.
        $hasToBe = array_filter(
            array_keys($this->steps),
            static fn (int $j): bool => $lower[$j] > 0.0,
        );
        $open = [new Branch($lower, $upper, array_values($hasToBe), $root)];
        $this->branches = 0;
        while ($open !== [] && ! $this->wasCutShort()) {
            $branch = array_pop($open);
            $this->branches++;
            if (! $branch->solution->feasible || $branch->solution->cost >= $best->cost - 1e-9) {
                continue;
            }
            $ways = $this->ways($branch, $cost, $rows);
            if ($ways === null) {
                $best = $branch->solution;
            } else {
                array_push($open, ...$ways);
            }
        }
        if (! $best->feasible && $open !== []) {
            throw SolveError::field(
                'demands',
                new Message('solving.branch-and-bound.wider-ends-more-ingredients'),
            );
        }

        return $best;
    }

    /**
     * @param  list<float>  $cost
     * @param  list<Row>  $rows
     * @return list<Branch>|null the parts to search on; null when the branch's point is whole as it is
     */
    private function ways(Branch $branch, array $cost, array $rows): ?array
    {
        $inside = $this->inside($branch->solution);
        if ($this->fewest !== null && count($inside) > $this->fewest) {
            return $this->fewer($branch, $inside, $cost, $rows);
        }
        $j = $this->broken($branch->solution);

        return $j === null ? null : $this->whole($branch, $j, $cost, $rows);
    }

    /**
     * Where a share is no whole number of its steps: the steps above, and those below, which are looked into first.
     *
     * @param  list<float>  $cost
     * @param  list<Row>  $rows
     * @return list<Branch>
     */
    private function whole(Branch $branch, int $j, array $cost, array $rows): array
    {
        $step = $this->steps[$j] ?? 1.0;
        $below = floor($branch->solution->x[$j] / $step) * $step;
        $ways = [];
        foreach ([[$below + $step, $branch->upper[$j]], [$branch->lower[$j], $below]] as [$from, $to]) {
            if ($from <= $to + 1e-9) {
                [$lower, $upper] = [$branch->lower, $branch->upper];
                [$lower[$j], $upper[$j]] = [min($from, $to), $to];
                [$lower, $upper] = [array_values($lower), array_values($upper)];
                $ways[] = new Branch($lower, $upper, $branch->kept, Simplex::least($cost, $lower, $upper, $rows));
            }
        }

        return $ways;
    }

    /**
     * Where there are too many ingredients: without the largest undecided one, and with it for good, which is looked
     * into first.
     *
     * @param  list<int>  $inside
     * @param  list<float>  $cost
     * @param  list<Row>  $rows
     * @return list<Branch>
     */
    private function fewer(Branch $branch, array $inside, array $cost, array $rows): array
    {
        $undecided = array_values(array_diff($inside, $branch->kept));
        $x = $branch->solution->x;
        usort($undecided, static fn (int $a, int $b): int => [$x[$b], $a] <=> [$x[$a], $b]);
        if ($undecided === []) {
            return [];
        }
        if (count($branch->kept) >= $this->fewest) {
            // So many are in it for good already: it can only be one of these alone.
            $alone = $this->only($branch->kept, $branch);

            return [
                new Branch($branch->lower, $alone, $branch->kept, Simplex::least($cost, $branch->lower, $alone, $rows)),
            ];
        }
        $j = $undecided[0];
        $ways = [];
        if ($branch->lower[$j] <= 0.0) {
            $without = $branch->upper;
            $without[$j] = 0.0;
            $without = array_values($without);
            $solution = Simplex::least($cost, $branch->lower, $without, $rows);
            $ways[] = new Branch($branch->lower, $without, $branch->kept, $solution);
        }
        $chosen = [...$branch->kept, $j];
        $with = count($chosen) === $this->fewest ? $this->only($chosen, $branch) : $branch->upper;
        $ways[] = new Branch(
            $branch->lower,
            $with,
            $chosen,
            $with === $branch->upper ? $branch->solution : Simplex::least($cost, $branch->lower, $with, $rows),
        );

        return $ways;
    }

    /**
     * @param  list<int>  $chosen
     * @return list<float> upper bounds that leave nothing but the chosen, and what has to be in it
     */
    private function only(array $chosen, Branch $branch): array
    {
        $upper = $branch->upper;
        foreach (array_diff(array_keys($this->steps), $chosen) as $j) {
            $upper[$j] = min($upper[$j], $branch->lower[$j]);
        }

        return array_values($upper);
    }

    /** The first candidate whose share is not a whole number of its steps; null when there is none. */
    private function broken(Solution $solution): ?int
    {
        foreach ($this->steps as $j => $step) {
            if ($step !== null && ! self::isWhole($solution->x[$j] / $step)) {
                return $j;
            }
        }

        return null;
    }

    /** To a millionth of a step. */
    private static function isWhole(float $steps): bool
    {
        return abs($steps - round($steps)) <= 1e-6;
    }

    /** @return list<int> candidates with a share */
    private function inside(Solution $solution): array
    {
        return array_values(
            array_filter(array_keys($this->steps), static fn (int $j): bool => $solution->x[$j] > self::NOTHING),
        );
    }
}
