<?php

declare(strict_types=1);

namespace Crown\Solving;

use Crown\Catalogue\Name;
use Crown\Catalogue\Need;
use Crown\Solving\Internal\BranchAndBound;
use Crown\Solving\Internal\Conflict;
use Crown\Solving\Internal\Objective;
use Crown\Solving\Internal\Programme;
use Crown\Solving\Internal\Row;
use Crown\Solving\Internal\SimpleParts;
use Crown\Solving\Internal\Softening;
use Crown\Solving\Internal\Solution;
use Crown\Words\Message;

/**
 * Finds the shares that do best under all requirements, or says which of them contradict each other and what would give
 * way least. Linear where it is linear; at most n ingredients and whole drops by branching; needs by chords under their
 * square roots. Deterministic. Method page: docs/methods/solver.md.
 */
final readonly class Solver
{
    public const MOST_CANDIDATES = 120;

    public const MOST_REQUIREMENTS = 60;

    private Programme $programme;

    private BranchAndBound $search;

    /** @var list<list<float>> costs by goal */
    private array $costs;

    /**
     * @param  list<Candidate>  $candidates
     * @param  list<Requirement>  $requirements
     * @param  non-empty-list<Goal>  $goals
     * @param  list<Need>  $serves
     */
    private function __construct(
        private array $candidates,
        private array $requirements,
        private array $goals,
        private ?int $fewest,
        private ?float $batchGrams,
        private array $serves,
        private ?float $parts,
    ) {
        $this->programme = new Programme($candidates, $requirements, $batchGrams);
        $this->costs = Objective::of($goals, $this->programme, $serves);
        $this->search = BranchAndBound::of($candidates, $fewest);
    }

    /**
     * @param  list<Candidate>  $candidates
     * @param  list<Requirement>  $requirements
     * @param  list<Goal>  $goals the first counts most; the next decide between equals; none for the nearest
     * @param  int|null  $fewest most ingredients there may be; null for any number
     * @param  float|null  $batchGrams of the batch whose stock counts; null when stock does not matter
     * @param  list<Need>  $serves whose points are the goal "service"
     * @param  float|null  $parts points by which a share may move at most so that all become simple parts; null when
     *     they need not
     *
     * @throws SolveError about "ingredients", "most_ingredients" or "demands"
     */
    public static function solve(
        array $candidates,
        array $requirements,
        array $goals,
        ?int $fewest = null,
        ?float $batchGrams = null,
        array $serves = [],
        ?float $parts = null,
    ): Answer {
        self::check($candidates, $requirements, $goals, $fewest);
        $solver = new self(
            $candidates,
            $requirements,
            $goals === [] ? [Goal::Nearest] : $goals,
            $fewest,
            $batchGrams,
            $serves,
            $parts,
        );

        return (new Softening($candidates, $requirements, $solver->goals[0], $solver->asked(...)))->answer();
    }

    /**
     * The same question of other candidates, or with other requirements.
     *
     * @param  list<Candidate>  $candidates
     * @param  list<Requirement>  $requirements
     */
    private function asked(array $candidates, array $requirements): Answer
    {
        $solver = $candidates === $this->candidates && $requirements === $this->requirements
            ? $this
            : new self(
                $candidates,
                $requirements,
                $this->goals,
                $this->fewest,
                $this->batchGrams,
                $this->serves,
                $this->parts,
            );
        $answer = $solver->answer();

        return $this->parts === null || $answer->status === 'impossible'
            ? $answer
            : (new SimpleParts($solver->programme, $this->parts))->beside($answer);
    }

    /**
     * @param  list<Candidate>  $candidates
     * @param  list<Requirement>  $requirements
     * @param  list<Goal>  $goals
     *
     * @throws SolveError
     */
    private static function check(array $candidates, array $requirements, array $goals, ?int $fewest): void
    {
        if ($candidates === []) {
            throw SolveError::field('ingredients', new Message('solving.solver.least-one-ingredient'));
        }
        if (count($candidates) > self::MOST_CANDIDATES || count($requirements) > self::MOST_REQUIREMENTS) {
            throw SolveError::field(
                'ingredients',
                new Message('solving.solver.most-ingredients-demands', [
                    'ingredients' => self::MOST_CANDIDATES,
                    'demands' => self::MOST_REQUIREMENTS,
                ]),
            );
        }
        if ($fewest !== null && $fewest < 1) {
            throw SolveError::field('most_ingredients', new Message('solving.solver.more-nothing-any-number'));
        }
        foreach ($candidates as $j => $candidate) {
            if (in_array(Goal::Cheapest, $goals, true) && $candidate->supply->price === null) {
                throw SolveError::field(
                    "ingredients.$j.price",
                    new Message('solving.solver.price-every-ingredient-when'),
                );
            }
        }
    }

    private function answer(): Answer
    {
        $best = $this->best($this->costs[0], $this->programme->rows);
        if (! $best->feasible) {
            return Answer::impossible(
                (new Conflict($this->programme, $this->search, $this->fewest))->contradiction(),
            );
        }
        $status = $this->search->wasCutShort() ? 'found' : 'optimal';
        $figure = Objective::figure($this->goals[0], $best->cost);
        $best = $this->amongEquals($best);
        $shares = [];
        foreach ($this->candidates as $j => $candidate) {
            if ($best->x[$j] > BranchAndBound::NOTHING) {
                $shares[$candidate->ingredient->id] = $best->x[$j];
            }
        }

        return new Answer($status, $shares, $figure, $this->binding($best));
    }

    /** The next goals choose among those that are as good by the goals before. */
    private function amongEquals(Solution $best): Solution
    {
        $rows = $this->programme->rows;
        foreach (array_slice($this->costs, 1) as $k => $cost) {
            $rows[] = new Row($this->costs[$k], -INF, $best->cost + max(1e-6, abs($best->cost) * 1e-6));
            $next = $this->best($cost, $rows);
            if (! $next->feasible) {
                break;
            }
            $best = $next;
        }

        return $best;
    }

    /**
     * @param  list<float>  $cost
     * @param  list<Row>  $rows
     */
    private function best(array $cost, array $rows): Solution
    {
        return $this->search->least($cost, $this->programme->lower, $this->programme->upper, $rows);
    }

    /** @return list<string> the requirements and bounds that stop it from being better, in words */
    private function binding(Solution $best): array
    {
        $found = [];
        foreach ($this->programme->rows as $i => $row) {
            $requirement = $this->programme->requirementOf[$i];
            if ($requirement !== null && $row->isTight($best->x) && abs($best->prices[$i] ?? 0.0) > 1e-9) {
                $words = $this->programme->requirements[$requirement]->words();
                $found[$words] = $words;
            }
        }
        foreach ($this->candidates as $j => $candidate) {
            $words = $this->bindingBound($candidate, $this->programme->upper[$j], $best->x[$j]);
            if ($words !== null) {
                $found[$words] = $words;
            }
        }

        return array_values($found);
    }

    private function bindingBound(Candidate $candidate, float $most, float $share): ?string
    {
        if ($candidate->least === $candidate->most) {
            return null;
        }
        $says = static fn (string $which, float $bound): string => sprintf(
            '%s %s %g %%',
            Name::inSentence($candidate->ingredient->name),
            $which,
            round($bound, 2),
        );

        return match (true) {
            $candidate->least > 0.0 && abs($share - $candidate->least) < 1e-5 => $says('at least', $candidate->least),
            $most < 100.0 && $most > 0.0 && abs($share - $most) < 1e-5 => $says('at most', $most),
            default => null,
        };
    }
}
