<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

use Crown\Solving\Answer;

/**
 * The answer with the simplest parts (3 : 2 : 1) that meet every requirement and move no share by more than so many
 * points, when there are some. What may not move, or only by whole drops, keeps its share and is no part.
 */
final readonly class SimpleParts
{
    /** Parts in all, and how many ingredients are counted out in them, so that it is still said in one breath. */
    private const MOST_PARTS = 12;

    private const MOST_PARTED = 5;

    /** @param  float  $within points by which a share may move at most */
    public function __construct(private Programme $programme, private float $within)
    {
    }

    /** The answer with the same in simple parts beside it, or as it is when there are none. */
    public function beside(Answer $answer): Answer
    {
        $moving = array_diff_key($answer->shares, $this->kept());
        if (count($moving) < 2 || count($moving) > self::MOST_PARTED) {
            return $answer;
        }
        for ($whole = count($moving); $whole <= self::MOST_PARTS; $whole++) {
            $parts = $this->nearest($answer->shares, $moving, $whole);
            if ($parts !== null) {
                return $answer->withSimple(
                    $parts,
                    [...$answer->shares, ...$this->shares($parts, array_sum($moving))],
                );
            }
        }

        return $answer;
    }

    /** @return array<string, true> ids of what is no part */
    private function kept(): array
    {
        $kept = [];
        foreach ($this->programme->candidates as $j => $candidate) {
            if ($candidate->step !== null || $this->programme->upper[$j] - $this->programme->lower[$j] < 1e-9) {
                $kept[$candidate->ingredient->id] = true;
            }
        }

        return $kept;
    }

    /**
     * @param  array<string, float>  $all shares by id
     * @param  array<string, float>  $moving those to be written as parts
     * @return array<string, int>|null the allowed parts of this whole that are nearest to the shares
     */
    private function nearest(array $all, array $moving, int $whole): ?array
    {
        $best = null;
        $least = INF;
        foreach ($this->compositions($whole, count($moving)) as $counts) {
            $parts = array_combine(array_keys($moving), $counts);
            $shares = $this->shares($parts, array_sum($moving));
            $off = 0.0;
            foreach ($shares as $id => $share) {
                $off = max($off, abs($share - $moving[$id]));
            }
            if ($off < $least && $off <= $this->within && $this->isAllowed([...$all, ...$shares])) {
                [$best, $least] = [$parts, $off];
            }
        }

        return $best;
    }

    /**
     * @param  array<string, int>  $parts
     * @return array<string, float> per cent
     */
    private function shares(array $parts, float $together): array
    {
        $whole = array_sum($parts);

        return array_map(static fn (int $part): float => ($together * $part) / $whole, $parts);
    }

    /** @param  array<string, float>  $shares by id */
    private function isAllowed(array $shares): bool
    {
        [$lower, $upper] = [$this->programme->lower, $this->programme->upper];
        foreach ($this->programme->candidates as $j => $candidate) {
            $share = $shares[$candidate->ingredient->id] ?? 0.0;
            if ($share < $lower[$j] - 1e-6 || $share > $upper[$j] + 1e-6) {
                return false;
            }
            $lower[$j] = $upper[$j] = $share;
        }

        return Simplex::least(
            $this->programme->zeros(),
            array_values($lower),
            array_values($upper),
            $this->programme->rows,
        )->feasible;
    }

    /** @return iterable<list<int>> ways to write a whole as so many parts of at least one */
    private function compositions(int $whole, int $count): iterable
    {
        if ($count === 1) {
            yield [$whole];

            return;
        }
        for ($first = $whole - $count + 1; $first >= 1; $first--) {
            foreach ($this->compositions($whole - $first, $count - 1) as $rest) {
                yield [$first, ...$rest];
            }
        }
    }
}
