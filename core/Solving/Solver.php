<?php

declare(strict_types=1);

namespace Crown\Solving;

use Closure;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Need;
use Crown\Measure\Property;
use Crown\Solving\Internal\Row;
use Crown\Solving\Internal\Simplex;
use Crown\Solving\Internal\Solution;

/**
 * Finds the shares that do best under all demands, or says which demands contradict each other and what would give way
 * least. Linear where it is linear; at most n ingredients and whole drops by branching; needs by chords under their
 * square roots. Deterministic. Method page: docs/methods/solver.md.
 */
final class Solver
{
    /**
     * Shares between which the square root of a need is replaced by its chords: under the curve, so never
     * over-promised.
     */
    private const CHORDS = [[0.0, 0.25], [0.25, 1.0], [1.0, 4.0], [4.0, 16.0], [16.0, 40.0], [40.0, 100.0]];

    /**
     * Nodes of the search for few ingredients and whole steps, after which the best so far is said to be found, not
     * proven.
     */
    private const MOST_NODES = 400;

    /**
     * What comes in anew counts so much as a change: of two ways as near, the one with what is in it already is taken.
     */
    private const NEWCOMER = 1.1;

    /** Parts in all, and how many ingredients are counted out in them, so that it is still said in one breath. */
    private const MOST_PARTS = 12;

    private const MOST_PARTED = 5;

    /** Below this share a line is nothing, per cent. */
    private const NOTHING = 1e-5;

    /** @var list<float> */
    private array $lower = [];

    /** @var list<float> */
    private array $upper = [];

    /** @var list<Row> */
    private array $rows = [];

    /** @var list<string> words of each row; "" for those of the frame */
    private array $words = [];

    /** @var array<int, int> demand by row */
    private array $demandOf = [];

    /**
     * @var array<int, array<int, list<array{int, float}>>> segments by need's place and candidate: variable and slope
     */
    private array $segments = [];

    /** @var array<int, array{int, int}> more and less than now, by candidate */
    private array $changes = [];

    private int $nodes = 0;

    /**
     * @param  list<Candidate>  $candidates
     * @param  list<Demand>  $demands
     * @param  list<Goal>  $goals the first counts most; the next decide between equals
     * @param  int  $fewest most ingredients there may be; 0 for any number
     * @param  float  $batchGrams for stock; 0 when stock does not matter
     * @param  list<string>  $serves needs (values of Need) whose points are the goal "service"
     */
    private function __construct(
        private readonly array $candidates,
        private readonly array $demands,
        private readonly array $goals,
        private readonly int $fewest,
        private readonly float $batchGrams,
        private readonly array $serves,
    ) {
    }

    /**
     * @param  list<Candidate>  $candidates
     * @param  list<Demand>  $demands
     * @param  list<Goal>  $goals
     * @param  list<string>  $serves
     * @param  float  $parts points by which a share may move at most so that all become simple parts; 0 when they need
     *     not
     *
     * @throws SolveError
     */
    public static function solve(
        array $candidates,
        array $demands,
        array $goals,
        int $fewest = 0,
        float $batchGrams = 0.0,
        array $serves = [],
        float $parts = 0.0,
    ): Answer {
        if ($candidates === []) {
            throw SolveError::field('ingredients', 'at least one ingredient');
        }
        if (count($candidates) > 120 || count($demands) > 60) {
            throw SolveError::field('ingredients', 'at most 120 ingredients and 60 demands');
        }
        if ($fewest < 0) {
            throw SolveError::field('most_ingredients', '0 (any number) or more');
        }
        foreach ($candidates as $candidate) {
            if (in_array(Goal::Cheapest, $goals, true) && $candidate->price < 0.0) {
                throw SolveError::field(
                    $candidate->ingredient->id,
                    'a price for every ingredient, when the cheapest is wanted',
                );
            }
        }
        $solver = new self(
            $candidates,
            $demands,
            $goals === [] ? [Goal::Nearest] : $goals,
            $fewest,
            $batchGrams,
            $serves,
        );
        $solver->frame();
        $answer = $solver->answer();

        return $parts > 0.0 && $answer->status !== 'impossible' ? $solver->inParts($answer, $parts) : $answer;
    }

    private function answer(): Answer
    {
        $best = $this->search($this->objective($this->goals[0]), $this->upper, $this->rows);
        if (! $best->feasible) {
            return new Answer('impossible', [], 0.0, [], $this->conflict(), $this->relaxed());
        }
        $status = $this->nodes >= self::MOST_NODES ? 'found' : 'optimal';
        $first = $best->cost;
        // The next goals choose among those that are as good by the goals before.
        $rows = $this->rows;
        $upper = $this->upper;
        foreach (array_slice($this->goals, 1) as $k => $goal) {
            $held = $this->objective($this->goals[$k]);
            $rows[] = new Row($held, -INF, $best->cost + max(1e-6, abs($best->cost) * 1e-6));
            $next = $this->search($this->objective($goal), $upper, $rows);
            if (! $next->feasible) {
                break;
            }
            $best = $next;
        }
        $shares = [];
        foreach ($this->candidates as $j => $candidate) {
            if ($best->x[$j] > self::NOTHING) {
                $shares[$candidate->ingredient->id] = $best->x[$j];
            }
        }

        return new Answer($status, $shares, $this->sign($this->goals[0]) * $first, $this->binding($best));
    }

    /** The variables, and one row for each demand. */
    private function frame(): void
    {
        foreach ($this->candidates as $candidate) {
            $this->lower[] = $candidate->least;
            $stock = $this->batchGrams > 0.0 && is_finite($candidate->stock)
                    ? (100 * $candidate->stock) / $this->batchGrams
                    : 100.0;
            $this->upper[] = max(0.0, min($candidate->most, $stock));
        }
        $this->row(new Row(array_fill(0, count($this->candidates), 1.0), 100.0, 100.0), '', -1);
        foreach ($this->demands as $k => $demand) {
            foreach ($this->rowsOf($demand) as $row) {
                $this->row($row, $demand->words(), $k);
            }
        }
        if (in_array(Goal::Nearest, $this->goals, true)) {
            foreach ($this->candidates as $j => $candidate) {
                $more = $this->variable(0.0, 100.0);
                $less = $this->variable(0.0, 100.0);
                $this->changes[$j] = [$more, $less];
                $this->row(new Row([$j => 1.0, $more => -1.0, $less => 1.0], $candidate->now, $candidate->now), '', -1);
            }
        }
        if (in_array(Goal::Service, $this->goals, true)) {
            foreach ($this->serves as $need) {
                $this->segmentsFor(new Demand('need', of: $need));
            }
        }
    }

    private function variable(float $lower, float $upper): int
    {
        $this->lower[] = $lower;
        $this->upper[] = $upper;

        return count($this->lower) - 1;
    }

    private function row(Row $row, string $words, int $demand): void
    {
        $this->rows[] = $row;
        $this->words[] = $words;
        $this->demandOf[count($this->rows) - 1] = $demand;
    }

    /**
     * @param  Closure(Candidate): float  $of
     * @return array<int, float> by candidate, without those that are nothing
     */
    private function each(Closure $of): array
    {
        $coefficients = [];
        foreach ($this->candidates as $j => $candidate) {
            $value = $of($candidate);
            if ($value !== 0.0) {
                $coefficients[$j] = $value;
            }
        }

        return $coefficients;
    }

    /** @return list<Row> */
    private function rowsOf(Demand $demand): array
    {
        $fact = static fn (Candidate $c, Property $p): float => $c->ingredient->facts->best($p, 0.0);

        return match ($demand->kind) {
            'solids' => [
                new Row(
                    $this->each(
                        static fn (Candidate $c): float => ($c->ingredient->solidFat->at($demand->at)
                            * $c->ingredient->solidFat->structure
                            * $c->firmness)
                            / 100,
                    ),
                    $demand->least,
                    $demand->most,
                ),
            ],
            // A mean over those that have a weight: sum of share x (weight - end) against nothing.
            'weight' => $this->mean(
                static fn (Candidate $c): float => $c->ingredient->facts->has(Property::Weight)
                    ? $fact($c, Property::Weight)
                    : NAN,
                $demand,
            ),
            'saturated' => [
                new Row(
                    $this->each(static fn (Candidate $c): float => $c->ingredient->fattyAcids->saturated() / 100),
                    $demand->least,
                    $demand->most,
                ),
            ],
            'monounsaturated' => [
                new Row(
                    $this->each(static fn (Candidate $c): float => $c->ingredient->fattyAcids->monounsaturated() / 100),
                    $demand->least,
                    $demand->most,
                ),
            ],
            'polyunsaturated' => [
                new Row(
                    $this->each(static fn (Candidate $c): float => $c->ingredient->fattyAcids->polyunsaturated() / 100),
                    $demand->least,
                    $demand->most,
                ),
            ],
            'life' => $this->life($demand),
            'cost' => [
                new Row(
                    $this->each(static fn (Candidate $c): float => max(0.0, $c->price)),
                    $demand->least,
                    $demand->most,
                ),
            ],
            'load' => [
                new Row(
                    $this->each(
                        static fn (Candidate $c): float => $c->ingredient->kind === IngredientKind::EssentialOil
                            ? 1.0
                            : 0.0,
                    ),
                    $demand->least,
                    $demand->most,
                ),
            ],
            'dermal' => $this->dermal(),
            'constituent' => [
                new Row(
                    $this->each(
                        static fn (Candidate $c): float => $c->ingredient->kind->isPlant()
                        || ! isset($c->ingredient->constituents[$demand->of])
                            ? 0.0
                            : $c->ingredient->constituents[$demand->of]->band->high / 100,
                    ),
                    $demand->least,
                    $demand->most,
                ),
            ],
            'need' => [new Row($this->points($demand), $demand->least, $demand->most)],
            default => [
                new Row(
                    $this->each(
                        static fn (Candidate $c): float => in_array($c->ingredient->id, explode('+', $demand->of), true)
                            ? 1.0
                            : 0.0,
                    ),
                    $demand->least,
                    $demand->most,
                ),
            ],
        };
    }

    /**
     * @param  Closure(Candidate): float  $of NAN for what has none and does not count
     * @return list<Row>
     */
    private function mean(Closure $of, Demand $demand): array
    {
        $against = static fn (float $end): Closure => static function (Candidate $c) use ($of, $end): float {
            $value = $of($c);

            return is_nan($value) ? 0.0 : $value - $end;
        };
        $rows = [];
        if (is_finite($demand->least)) {
            $rows[] = new Row($this->each($against($demand->least)), 0.0, INF);
        }
        if (is_finite($demand->most)) {
            $rows[] = new Row($this->each($against($demand->most)), -INF, 0.0);
        }

        return $rows;
    }

    /**
     * The blend's life is the harmonic mean of its parts: sum of share x (1/life - 1/wanted) at most nothing. What is
     * weaker than wanted stays under the 5 % from which it counts as the weakest line.
     *
     * @return list<Row>
     */
    private function life(Demand $demand): array
    {
        if (! is_finite($demand->least)) {
            return [];
        }
        $life = static fn (Candidate $c): float => $c->ingredient->facts->has(Property::LifeMonths)
        && in_array(
            $c->ingredient->kind,
            [
                IngredientKind::CarrierOil,
                IngredientKind::LiquidWaxEster,
                IngredientKind::Butter,
                IngredientKind::Wax,
                IngredientKind::ReadySteep,
                IngredientKind::EssentialOil,
                IngredientKind::OilActive,
                IngredientKind::Emulsifier,
                IngredientKind::Conditioning,
                IngredientKind::Antioxidant,
            ],
            true,
        )
            ? $c->ingredient->facts->best(Property::LifeMonths, 0.0)
            : 0.0;
        $rows = [
            new Row(
                $this->each(
                    static fn (Candidate $c): float => $life($c) > 0.0
                        ? 1 / $life($c) - 1 / max(0.01, $demand->least)
                        : 0.0,
                ),
                -INF,
                0.0,
            ),
        ];
        foreach ($this->candidates as $j => $candidate) {
            if ($life($candidate) > 0.0 && $life($candidate) < $demand->least) {
                $rows[] = new Row([$j => 1.0], -INF, 4.999);
            }
        }

        return $rows;
    }

    /** @return list<Row> */
    private function dermal(): array
    {
        $rows = [];
        foreach ($this->candidates as $j => $candidate) {
            if (
                $candidate->ingredient->kind === IngredientKind::EssentialOil
                && $candidate->ingredient->facts->has(Property::DermalMax)
            ) {
                $rows[] = new Row([$j => 1.0], -INF, $candidate->ingredient->facts->best(Property::DermalMax, 100.0));
            }
        }

        return $rows;
    }

    /**
     * Points of a need as a sum over chords.
     *
     * @return array<int, float>
     */
    private function points(Demand $demand): array
    {
        $coefficients = [];
        foreach ($this->segmentsFor($demand) as $segments) {
            foreach ($segments as [$variable, $slope]) {
                $coefficients[$variable] = $slope;
            }
        }

        return $coefficients;
    }

    /** @return array<int, list<array{int, float}>> */
    private function segmentsFor(Demand $demand): array
    {
        $place = array_search($demand->need(), Need::cases(), true);
        if (isset($this->segments[(int) $place])) {
            return $this->segments[(int) $place];
        }
        $all = [];
        foreach ($this->candidates as $j => $candidate) {
            $evidence = $candidate->ingredient->evidenceFor($demand->need());
            if ($evidence === [] || $evidence[0]->strength() <= 0.0) {
                continue;
            }
            $link = [$j => 1.0];
            foreach (self::CHORDS as [$start, $end]) {
                $slope = (100 * $evidence[0]->strength() * (sqrt($end / 100) - sqrt($start / 100)))
                    / max(1e-9, $end - $start);
                $variable = $this->variable(0.0, $end - $start);
                $link[$variable] = -1.0;
                $all[$j][] = [$variable, $slope];
            }
            // The chords together are no more than the share.
            $this->row(new Row($link, 0.0, INF), '', -1);
        }

        return $this->segments[(int) $place] = $all;
    }

    /** @return list<float> what is made least */
    private function objective(Goal $goal): array
    {
        $cost = array_fill(0, count($this->lower), 0.0);
        foreach ($this->candidates as $j => $candidate) {
            $life = $candidate->ingredient->facts->best(Property::LifeMonths, 0.0);
            match ($goal) {
                Goal::Cheapest => ($cost[$j] = $candidate->price),
                Goal::Lasting => ($cost[$j] = $life > 0.0 ? 1 / $life : 0.0),
                Goal::Lightest => ($cost[$j] = $candidate->ingredient->facts->best(Property::Weight, 0.0) / 100),
                Goal::Nearest => ([$cost[$this->changes[$j][0]], $cost[$this->changes[$j][1]]] = [
                    $candidate->now > 0.0 ? 1.0 : self::NEWCOMER,
                    1.0,
                ]),
                Goal::Service => null,
            };
        }
        if ($goal === Goal::Service) {
            foreach ($this->serves as $need) {
                foreach ($this->points(new Demand('need', of: $need)) as $variable => $slope) {
                    $cost[$variable] -= $slope;
                }
            }
        }

        return array_values($cost);
    }

    private function sign(Goal $goal): float
    {
        return $goal === Goal::Service ? -1.0 : 1.0;
    }

    /**
     * The best point that is whole where it must be: no more ingredients than allowed, and whole steps (drops). The
     * linear programme bounds from below. Branches on the largest share that is not yet decided, kept first; then on
     * the first broken step, down first.
     *
     * @param  list<float>  $cost
     * @param  list<float>  $upper
     * @param  list<Row>  $rows
     *
     * @throws SolveError when it cannot tell within its nodes
     */
    private function search(array $cost, array $upper, array $rows): Solution
    {
        $root = Simplex::least($cost, $this->lower, $upper, $rows);
        if (! $root->feasible || ($this->fewest === 0 && $this->broken($root) === null)) {
            return $root;
        }
        $best = new Solution(false, $root->x, INF, [], 0);
        // What has to be in it is in it for good: it leaves so many fewer to choose.
        $stack = [
            [
                $this->lower,
                $upper,
                array_keys(
                    array_filter(
                        array_slice($this->lower, 0, count($this->candidates)),
                        static fn (float $least): bool => $least > 0.0,
                    ),
                ),
                $root,
            ],
        ];
        $this->nodes = 0;
        while ($stack !== [] && $this->nodes < self::MOST_NODES) {
            [$least, $most, $kept, $solution] = array_pop($stack);
            $this->nodes++;
            if (! $solution->feasible || $solution->cost >= $best->cost - 1e-9) {
                continue;
            }
            $in = $this->inside($solution);
            if ($this->fewest > 0 && count($in) > $this->fewest) {
                array_push($stack, ...$this->fewer($least, $most, $kept, $solution, $in, $cost, $rows));

                continue;
            }
            $j = $this->broken($solution);
            if ($j === null) {
                $best = $solution;

                continue;
            }
            $step = $this->candidates[$j]->step;
            $whole = floor($solution->x[$j] / $step) * $step;
            foreach ([[$whole + $step, $most[$j]], [$least[$j], $whole]] as [$from, $to]) {
                if ($from <= $to + 1e-9) {
                    [$low, $high] = [$least, $most];
                    [$low[$j], $high[$j]] = [min($from, $to), $to];
                    $stack[] = [
                        array_values($low),
                        array_values($high),
                        $kept,
                        Simplex::least($cost, array_values($low), array_values($high), $rows),
                    ];
                }
            }
        }
        if (! $best->feasible && $stack !== []) {
            throw SolveError::field(
                'demands',
                'wider ends, more ingredients, or fewer lines in drops: the search was cut short before it found a '
                    .'blend or could prove that there is none',
            );
        }

        return $best;
    }

    /**
     * The two ways on where there are too many ingredients: without the largest undecided one, and with it for good.
     *
     * @param  list<float>  $least
     * @param  list<float>  $most
     * @param  list<int>  $kept
     * @param  list<int>  $in
     * @param  list<float>  $cost
     * @param  list<Row>  $rows
     * @return list<array{list<float>, list<float>, list<int>, Solution}>
     */
    private function fewer(
        array $least,
        array $most,
        array $kept,
        Solution $solution,
        array $in,
        array $cost,
        array $rows,
    ): array {
        $undecided = array_values(array_diff($in, $kept));
        usort($undecided, static fn (int $a, int $b): int => [$solution->x[$b], $a] <=> [$solution->x[$a], $b]);
        if ($undecided === [] || count($kept) >= $this->fewest) {
            return [];
        }
        $j = $undecided[0];
        $ways = [];
        if ($least[$j] <= 0.0) {
            $without = $most;
            $without[$j] = 0.0;
            $ways[] = [
                $least,
                array_values($without),
                $kept,
                Simplex::least($cost, $least, array_values($without), $rows),
            ];
        }
        $chosen = [...$kept, $j];
        $with = $most;
        if (count($chosen) === $this->fewest) {
            foreach (array_keys($this->candidates) as $other) {
                if (! in_array($other, $chosen, true)) {
                    $with[$other] = min($with[$other], $least[$other]);
                }
            }
        }
        $ways[] = [
            $least,
            array_values($with),
            $chosen,
            $with === $most ? $solution : Simplex::least($cost, $least, array_values($with), $rows),
        ];

        return $ways;
    }

    /** The first candidate whose share is not a whole number of its steps; null when there is none. */
    private function broken(Solution $solution): ?int
    {
        foreach ($this->candidates as $j => $candidate) {
            if (
                $candidate->step > 0.0
                && abs($solution->x[$j] / $candidate->step - round($solution->x[$j] / $candidate->step)) > 1e-6
            ) {
                return $j;
            }
        }

        return null;
    }

    /** @return list<int> candidates with a share */
    private function inside(Solution $solution): array
    {
        return array_values(
            array_filter(array_keys($this->candidates), static fn (int $j): bool => $solution->x[$j] > self::NOTHING),
        );
    }

    /** @return list<string> */
    private function binding(Solution $best): array
    {
        $found = [];
        foreach ($this->rows as $i => $row) {
            $value = $row->value($best->x);
            $tight = abs($value - $row->least) < 1e-5 * (1 + abs($value))
                || abs($value - $row->most) < 1e-5 * (1 + abs($value));
            if ($this->words[$i] !== '' && $tight && abs($best->prices[$i] ?? 0.0) > 1e-9) {
                $found[$this->words[$i]] = $this->words[$i];
            }
        }
        foreach ($this->candidates as $j => $candidate) {
            $name = mb_strtolower($candidate->ingredient->name);
            if ($candidate->least === $candidate->most) {
                continue;
            }
            if ($candidate->least > 0.0 && abs($best->x[$j] - $candidate->least) < 1e-5) {
                $found[$name.'<'] = sprintf('%s at least %g %%', $name, round($candidate->least, 2));
            } elseif (
                $this->upper[$j] < 100.0
                && $this->upper[$j] > 0.0
                && abs($best->x[$j] - $this->upper[$j]) < 1e-5
            ) {
                $found[$name.'>'] = sprintf('%s at most %g %%', $name, round($this->upper[$j], 2));
            }
        }

        return array_values($found);
    }

    /**
     * A smallest set of demands that contradict each other: each is left out in turn, and stays out when the rest are
     * still impossible. Bounds of ingredients belong to the frame; if they alone are impossible, that is said.
     *
     * @return list<string>
     */
    private function conflict(): array
    {
        $zero = array_fill(0, count($this->lower), 0.0);
        $possible = function (array $demands) use ($zero): bool {
            $rows = array_values(
                array_filter(
                    $this->rows,
                    fn (int $i): bool => $this->demandOf[$i] < 0 || isset($demands[$this->demandOf[$i]]),
                    ARRAY_FILTER_USE_KEY,
                ),
            );

            return $this->search(array_values($zero), $this->upper, $rows)->feasible;
        };
        $left = array_fill_keys(array_keys($this->demands), true);
        if (! $possible([])) {
            $least = array_sum(array_slice($this->lower, 0, count($this->candidates)));
            $most = array_sum(array_slice($this->upper, 0, count($this->candidates)));

            return [
                $least > 100.0
                    ? sprintf('the least shares come to %g %%, more than the whole', round($least, 2))
                    : ($most < 100.0
                        ? sprintf('the most shares come to %g %%, less than the whole', round($most, 2))
                        : 'the shares and the number of ingredients allowed'),
            ];
        }
        foreach (array_keys($this->demands) as $k) {
            $without = $left;
            unset($without[$k]);
            if (! $possible($without)) {
                $left = $without;
            }
        }
        $words = array_map(fn (int $k): string => $this->demands[$k]->words(), array_keys($left));

        return $this->fewest > 0 && $this->demands !== []
            ? [...$words, sprintf('at most %d ingredients', $this->fewest)]
            : $words;
    }

    /**
     * The least change that would make it possible: every demand may give way, each against its own size; the sum of
     * what gives is made least.
     *
     * @return list<array{demand: string, by: float, to: float}>
     */
    private function relaxed(): array
    {
        $lower = $this->lower;
        $upper = $this->upper;
        $cost = array_fill(0, count($lower), 0.0);
        $rows = [];
        $gives = [];
        foreach ($this->rows as $i => $row) {
            if ($this->demandOf[$i] < 0) {
                $rows[] = $row;

                continue;
            }
            $size = max(
                1e-3,
                is_finite($row->least) ? abs($row->least) : 0.0,
                is_finite($row->most) ? abs($row->most) : 0.0,
                array_sum(array_map(abs(...), $row->coefficients)) / max(1, count($row->coefficients)),
            );
            $coefficients = $row->coefficients;
            foreach ([[is_finite($row->least), 1.0], [is_finite($row->most), -1.0]] as [$has, $sign]) {
                if ($has) {
                    $lower[] = 0.0;
                    $upper[] = 1e6;
                    $cost[] = 1 / $size;
                    $coefficients[count($lower) - 1] = $sign;
                    $gives[] = [$i, count($lower) - 1];
                }
            }
            $rows[] = new Row($coefficients, $row->least, $row->most);
        }
        $solution = Simplex::least(array_values($cost), array_values($lower), array_values($upper), $rows);
        if (! $solution->feasible) {
            return [];
        }
        $found = [];
        foreach ($gives as [$i, $variable]) {
            if ($solution->x[$variable] > 1e-6) {
                $demand = $this->demands[$this->demandOf[$i]];
                $reached = $this->reached($demand, $solution);
                // A row may be turned against its demand, as that of life is: the end that the demand itself names
                // counts.
                $ends = array_filter([$demand->least, $demand->most], is_finite(...));
                $gap = $ends === []
                        ? $solution->x[$variable]
                        : min(array_map(static fn (float $end): float => abs($reached - $end), $ends));
                $found[$demand->words()] = [
                    'demand' => $demand->words(),
                    'by' => round($gap, 4),
                    'to' => round($reached, 4),
                ];
            }
        }

        return array_values($found);
    }

    /** The figure a demand reaches at a point, in its own unit. */
    private function reached(Demand $demand, Solution $solution): float
    {
        $sum = $weights = $ages = 0.0;
        foreach ($this->candidates as $j => $candidate) {
            $share = $solution->x[$j];
            if ($demand->kind === 'weight' && $candidate->ingredient->facts->has(Property::Weight)) {
                $sum += $share * $candidate->ingredient->facts->best(Property::Weight, 0.0);
                $weights += $share;
            }
            $life = $candidate->ingredient->facts->best(Property::LifeMonths, 0.0);
            if ($demand->kind === 'life' && $life > 0.0) {
                $ages += $share / $life;
                $weights += $share;
            }
        }
        if ($demand->kind === 'weight') {
            return $weights > 0.0 ? $sum / $weights : 0.0;
        }
        if ($demand->kind === 'life') {
            return $ages > 0.0 ? $weights / $ages : 0.0;
        }
        foreach ($this->rows as $i => $row) {
            if ($this->demandOf[$i] >= 0 && $this->demands[$this->demandOf[$i]] === $demand) {
                return $row->value($solution->x);
            }
        }

        return 0.0;
    }

    /**
     * The answer with the simplest parts (3 : 2 : 1, at most twelve in all) that meet every demand and move no share by
     * more than so many points, when there are some. What may not move, or only by whole drops, keeps its share and is
     * no part.
     */
    private function inParts(Answer $answer, float $within): Answer
    {
        $kept = [];
        foreach ($this->candidates as $j => $candidate) {
            if ($candidate->step > 0.0 || $this->upper[$j] - $this->lower[$j] < 1e-9) {
                $kept[$candidate->ingredient->id] = true;
            }
        }
        $moving = array_diff_key($answer->shares, $kept);
        $all = array_sum($moving);
        if (count($moving) < 2 || count($moving) > self::MOST_PARTED) {
            return $answer;
        }
        for ($whole = count($moving); $whole <= self::MOST_PARTS; $whole++) {
            $best = null;
            foreach ($this->compositions($whole, count($moving)) as $parts) {
                $parts = array_combine(array_keys($moving), $parts);
                $shares = array_map(static fn (int $p): float => ($all * $p) / $whole, $parts);
                $off = max(
                    0.0,
                    ...array_values(
                        array_map(
                            static fn (float $share, float $exact): float => abs($share - $exact),
                            $shares,
                            $moving,
                        ),
                    ),
                );
                if (
                    ($best === null || $off < $best[0])
                    && $off <= $within
                    && $this->allowed([...$answer->shares, ...$shares])
                ) {
                    $best = [$off, $parts, $shares];
                }
            }
            if ($best !== null) {
                $simple = new Answer(
                    $answer->status,
                    [...$answer->shares, ...$best[2]],
                    $answer->objective,
                    $answer->binding,
                    parts: $best[1],
                );

                return new Answer(
                    $answer->status,
                    $answer->shares,
                    $answer->objective,
                    $answer->binding,
                    simple: $simple,
                );
            }
        }

        return $answer;
    }

    /** @param  array<string, float>  $shares */
    private function allowed(array $shares): bool
    {
        $fixed = [];
        foreach ($this->candidates as $j => $candidate) {
            $share = $shares[$candidate->ingredient->id] ?? 0.0;
            if ($share < $this->lower[$j] - 1e-6 || $share > $this->upper[$j] + 1e-6) {
                return false;
            }
            $fixed[$j] = $share;
        }
        $lower = $this->lower;
        $upper = $this->upper;
        foreach ($fixed as $j => $share) {
            $lower[$j] = $upper[$j] = $share;
        }

        return Simplex::least(
            array_values(array_fill(0, count($lower), 0.0)),
            array_values($lower),
            array_values($upper),
            $this->rows,
        )->feasible;
    }

    /**
     * @return iterable<list<int>> ways to write a whole as so many parts of at least one
     */
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
