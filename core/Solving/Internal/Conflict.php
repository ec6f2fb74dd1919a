<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

use Crown\Solving\Contradiction;
use Crown\Solving\Requirement;
use Crown\Solving\SolveError;
use Crown\Words\Message;

/** Why nothing meets all requirements: a smallest set that contradicts itself, and what would give way least. */
final readonly class Conflict
{
    public function __construct(private Programme $programme, private BranchAndBound $search, private ?int $fewest)
    {
    }

    /**
     * Each requirement is left out in turn, and stays out when the rest are still impossible. Bounds of ingredients
     * belong to the frame; if they alone are impossible, that is said.
     *
     * @return list<string> in words
     */
    private function words(): array
    {
        $left = array_fill_keys(array_keys($this->programme->requirements), true);
        if (! $this->isPossible([])) {
            return [$this->impossibleFrame()];
        }
        // Where the requirements contradict each other with any number of ingredients, the number is no part of it.
        $anyNumber = BranchAndBound::of($this->programme->candidates, null);
        $byNumber = $this->fewest !== null && $this->isPossible($left, $anyNumber);
        $search = $byNumber ? $this->search : $anyNumber;
        foreach (array_keys($left) as $k) {
            $without = $left;
            unset($without[$k]);
            if (! $this->isPossible($without, $search)) {
                $left = $without;
            }
        }
        $words = array_map(
            fn (int $k): string => $this->programme->requirements[$k]->words(),
            array_keys($left),
        );

        return $byNumber && $this->programme->requirements !== []
            ? [...$words, Message::said('solving.conflict.most-ingredients', ['fewest' => $this->fewest])]
            : $words;
    }

    /**
     * The least change that would make it possible: every requirement may give way, each against its own size; the sum
     * of what gives is made least. The number of ingredients and the whole drops do not give way.
     */
    public function contradiction(): Contradiction
    {
        [$lower, $upper, $cost] = [$this->programme->lower, $this->programme->upper, $this->programme->zeros()];
        $rows = $gives = [];
        foreach ($this->programme->rows as $i => $row) {
            $of = $this->programme->requirementOf[$i];
            if ($of === null) {
                $rows[] = $row;

                continue;
            }
            $coefficients = $row->coefficients;
            foreach ($row->waysToGive() as $sign) {
                $lower[] = 0.0;
                $upper[] = 1e6;
                $cost[] = 1 / $row->size();
                $coefficients[count($lower) - 1] = $sign;
                $gives[count($lower) - 1] = $this->programme->requirements[$of];
            }
            $rows[] = new Row($coefficients, $row->least, $row->most);
        }
        try {
            // With as few ingredients, and as whole drops, as it has to be afterwards.
            $solution = $this->search->least($cost, $lower, $upper, $rows);
        } catch (SolveError) {
            // It cannot be told in time: a change that might not be enough is no help.
            return new Contradiction($this->words());
        }
        $found = $nearest = [];
        foreach ($solution->feasible ? $this->programme->candidates : [] as $j => $candidate) {
            $nearest[$candidate->ingredient->id] = $solution->x[$j];
        }
        foreach ($solution->feasible ? $gives : [] as $variable => $requirement) {
            // What is not a sum may be missed where its row is kept.
            $given = max(
                $solution->x[$variable],
                $requirement->between->missedBy($requirement->reached($this->programme, $solution->x)),
            );
            if ($given > 1e-6) {
                $found[$requirement->words()] = $this->given($requirement, $solution, $given);
            }
        }

        return new Contradiction($this->words(), array_values($found), $nearest);
    }

    /** @return array{demand: string, by: float, to: float} */
    private function given(Requirement $requirement, Solution $solution, float $given): array
    {
        $reached = $requirement->reached($this->programme, $solution->x);

        return [
            'demand' => $requirement->words(),
            // A row may be turned against its requirement, as that of life is: the end that is asked for counts.
            'by' => round($requirement->between->gap($reached) ?? $given, 4),
            'to' => round($reached, 4),
        ];
    }

    /** @param  array<int, true>  $requirements */
    private function isPossible(array $requirements, ?BranchAndBound $search = null): bool
    {
        $rows = array_filter(
            $this->programme->rows,
            function (int $i) use ($requirements): bool {
                $of = $this->programme->requirementOf[$i];

                return $of === null || isset($requirements[$of]);
            },
            ARRAY_FILTER_USE_KEY,
        );

        return ($search ?? $this->search)->least(
            $this->programme->zeros(),
            $this->programme->lower,
            $this->programme->upper,
            array_values($rows),
        )->feasible;
    }

    private function impossibleFrame(): string
    {
        $count = count($this->programme->candidates);
        $least = array_sum(array_slice($this->programme->lower, 0, $count));
        $most = array_sum(array_slice($this->programme->upper, 0, $count));

        return match (true) {
            $least > 100.0 => Message::said('solving.conflict.least-shares-come-more', [
                'least' => sprintf('%g', round($least, 2)),
            ]),
            $most < 100.0 => Message::said('solving.conflict.most-shares-come-less', [
                'most' => sprintf('%g', round($most, 2)),
            ]),
            default => Message::said('solving.conflict.shares-number-ingredients-allowed'),
        };
    }
}
