<?php

declare(strict_types=1);

namespace Tests\Core\Solving;

use Crown\Catalogue\Need;
use Crown\Exchange\DemandFile;
use Crown\Head\Fit;
use Crown\Head\Profile;
use Crown\Problem;
use Crown\Solving\Answer;
use Crown\Solving\Between;
use Crown\Solving\Candidate;
use Crown\Solving\Goal;
use Crown\Solving\Internal\Programme;
use Crown\Solving\Requirement;
use Crown\Solving\Requirement\EffectiveSolids;
use Crown\Solving\Requirements;
use Crown\Solving\Solver;
use Crown\Solving\Supply;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

final class SolverTest extends CoreTestCase
{
    /**
     * @param  array<string, float>  $now share by id
     * @param  array<string, float>  $prices by id
     * @return list<Candidate>
     */
    private static function candidates(array $now, array $prices = []): array
    {
        return array_map(
            static fn (string $id, float $share): Candidate => new Candidate(
                self::catalogue()->get($id),
                0.0,
                100.0,
                $share,
                new Supply($prices[$id] ?? 1.0),
            ),
            array_keys($now),
            $now,
        );
    }

    /** @param  array<string, float>  $shares */
    private static function solids(array $shares, float $celsius): float
    {
        $candidates = self::candidates($shares);
        $solids = new EffectiveSolids(new Between(), $celsius);

        return $solids->reached(new Programme($candidates, [$solids]), array_values($shares));
    }

    public function test_cheapest_against_every_blend_in_steps_of_one_per_cent(): void
    {
        $ids = ['shea-butter', 'cocoa-butter', 'jojoba-oil'];
        $prices = ['shea-butter' => 0.9, 'cocoa-butter' => 1.7, 'jojoba-oil' => 2.6];
        $answer = Solver::solve(
            self::candidates(array_fill_keys($ids, 0.0), $prices),
            [Requirements::written('solids', 18, 30), Requirements::written('weight', 2.2, 3.4)],
            [Goal::Cheapest],
        );
        $best = INF;
        for ($a = 0; $a <= 100; $a++) {
            for ($b = 0; $a + $b <= 100; $b++) {
                $shares = ['shea-butter' => $a, 'cocoa-butter' => $b, 'jojoba-oil' => 100 - $a - $b];
                $weight = (4 * $a + 4.3 * $b + 2.5 * (100 - $a - $b)) / 100;
                $solids = self::solids($shares, 25);
                if ($solids >= 18 && $solids <= 30 && $weight >= 2.2 && $weight <= 3.4) {
                    $best = min($best, 0.9 * $a + 1.7 * $b + 2.6 * (100 - $a - $b));
                }
            }
        }
        self::assertSame('found', $answer->status, 'how soft it becomes is no sum: good, and not proven best');
        self::assertLessThanOrEqual($best * 1.01, $answer->objective);
        self::assertGreaterThanOrEqual($best - 3.0, $answer->objective, 'no better than a step of the grid allows');
        self::assertNotSame([], $answer->binding);
    }

    public function test_nearest_changes_nothing_when_all_is_met(): void
    {
        $answer = Solver::solve(
            self::candidates(['olive-oil' => 60.0, 'castor-oil' => 40.0, 'jojoba-oil' => 0.0]),
            [Requirements::written('weight', 3, 5)],
            [Goal::Nearest],
        );
        self::assertEqualsWithDelta(0.0, $answer->objective, 1e-6);
        self::assertEqualsWithDelta(60.0, $answer->shares['olive-oil'], 1e-6);
    }

    public function test_few_ingredients_against_every_pair(): void
    {
        $prices = [
            'olive-oil' => 1.0,
            'castor-oil' => 1.4,
            'jojoba-oil' => 3.0,
            'grapeseed-oil' => 0.8,
            'avocado-oil' => 1.9,
        ];
        $ids = array_keys($prices);
        $demands = [
            Requirements::written('weight', 2.9, 3.1),
            Requirements::written('polyunsaturated', null, 30),
            Requirements::written('life', 15, null),
        ];
        $pairs = INF;
        foreach ($ids as $i => $a) {
            foreach (array_slice($ids, $i) as $b) {
                $one = Solver::solve(
                    self::candidates(array_intersect_key(array_fill_keys($ids, 0.0), [$a => 1, $b => 1]), $prices),
                    $demands,
                    [Goal::Cheapest],
                );
                $pairs = $one->status === 'optimal' ? min($pairs, $one->objective) : $pairs;
            }
        }
        $answer = Solver::solve(self::candidates(array_fill_keys($ids, 0.0), $prices), $demands, [Goal::Cheapest], 2);
        self::assertSame('optimal', $answer->status);
        self::assertLessThanOrEqual(2, count($answer->shares));
        self::assertEqualsWithDelta($pairs, $answer->objective, 1e-5);
    }

    public function test_contradictions_are_smallest_and_say_what_gives_way_least(): void
    {
        $now = array_fill_keys(['shea-butter', 'cocoa-butter', 'jojoba-oil', 'squalane'], 0.0);
        $demands = [
            Requirements::written('solids', 40, null, at: 30),
            Requirements::written('life', 12, null),
            Requirements::written('weight', null, 1.5),
            Requirements::written('polyunsaturated', null, 30),
        ];
        $answer = Solver::solve(self::candidates($now), $demands, [Goal::Nearest]);
        self::assertSame('impossible', $answer->status);
        self::assertSame(
            ['effective solids at 30 °C at least 40 %', 'weight on the hair at most 1.5'],
            $answer->conflict,
        );
        // Each of the two alone can be met: the set is smallest.
        foreach ([0, 2] as $k) {
            self::assertSame('optimal', Solver::solve(self::candidates($now), [$demands[$k]], [Goal::Nearest])->status);
        }
        self::assertNotSame([], $answer->relax);
        $to = $answer->relax[0]['to'];
        $given = array_map(
            static fn (Requirement $d): Requirement => $d->words() !== $answer->relax[0]['demand']
                ? $d
                : Requirements::written(
                    $d->kind(),
                    $d->between->least === null ? null : $to - 0.001,
                    $d->between->most === null ? null : $to + 0.001,
                    $d->of(),
                    $d->jsonSerialize()['at'],
                ),
            $demands,
        );
        self::assertSame(
            'optimal',
            Solver::solve(self::candidates($now), $given, [Goal::Nearest])->status,
            'as much as it says is enough',
        );
    }

    public function test_what_must_give_way_is_a_figure_also_for_a_life_that_cannot_be(): void
    {
        $answer = DemandFile::solve(
            [
                'ingredients' => [
                    ['id' => 'olive-oil', 'now' => 50, 'min' => 50],
                    ['id' => 'flaxseed-oil', 'now' => 50, 'min' => 50],
                ],
                'demands' => [['kind' => 'life', 'min' => 30]],
            ],
            self::catalogue(),
        );
        self::assertSame('impossible', $answer->status);
        self::assertNotFalse(json_encode($answer));
        self::assertEqualsWithDelta(30 - $answer->relax[0]['to'], $answer->relax[0]['by'], 1e-3);
    }

    public function test_bounds_that_cannot_make_a_whole_are_said(): void
    {
        $answer = Solver::solve(
            [
                new Candidate(self::catalogue()->get('olive-oil'), 0, 40),
                new Candidate(self::catalogue()->get('castor-oil'), 0, 30),
            ],
            [],
            [Goal::Nearest],
        );
        self::assertSame('impossible', $answer->status);
        self::assertStringContainsString('70 %', $answer->conflict[0]);
    }

    public function test_needs_are_never_over_promised(): void
    {
        $answer = Solver::solve(
            self::candidates(
                array_fill_keys(['shea-butter', 'mango-butter', 'jojoba-oil', 'castor-oil', 'squalane'], 0.0),
            ),
            [Requirements::written('weight', 2, 3.4)],
            [Goal::Service],
            serves: [Need::Sealing],
        );
        $lines = array_map(static fn (float $s): string => sprintf('%.4f %%', $s), $answer->shares);
        $points = Fit::of(new Profile('x'), self::assess(self::formula($lines))->subject)->points(Need::Sealing) * 100;
        self::assertGreaterThanOrEqual($answer->objective - 0.1, $points, 'chords lie under the curve');
        self::assertLessThanOrEqual($answer->objective * 1.12 + 1, $points, 'and not far under it');
    }

    public function test_of_two_ways_as_near_the_one_without_a_newcomer_is_taken(): void
    {
        // Watermelon seed oil is as liquid as jojoba and comes first: by the changes alone either would do.
        $answer = Solver::solve(
            self::candidates(['watermelon-seed-oil' => 0.0, 'cocoa-butter' => 20.0, 'jojoba-oil' => 80.0]),
            [Requirements::written('solids', null, 8.0)],
            [Goal::Nearest],
        );
        self::assertSame(['cocoa-butter', 'jojoba-oil'], array_keys($answer->shares));
    }

    /** Two that have to be in it leave two to choose: as good as the best of all pairs, each solved by itself. */
    public function test_what_has_to_be_in_it_counts_among_few_ingredients(): void
    {
        $free = [
            'shea-butter',
            'cocoa-butter',
            'mango-butter',
            'sal-butter',
            'olive-oil',
            'jojoba-oil',
            'castor-oil',
            'coconut-oil',
            'argan-oil',
            'avocado-oil',
        ];
        $fixed = [
            new Candidate(self::catalogue()->get('arrowroot'), 2.0, 2.0, 2.0),
            new Candidate(self::catalogue()->get('vitamin-e'), 1.0, 1.0, 1.0),
        ];
        $demands = [Requirements::written('solids', 12.0, 20.0), Requirements::written('weight', null, 3.5)];
        $solve = static fn (array $ids, ?int $most): Answer => Solver::solve(
            [
                ...array_map(static fn (string $id): Candidate => new Candidate(self::catalogue()->get($id)), $ids),
                ...$fixed,
            ],
            $demands,
            [Goal::Service],
            $most,
            serves: [Need::Sealing, Need::Slip],
        );
        $best = 0.0;
        foreach ($free as $i => $one) {
            foreach (array_slice($free, $i + 1) as $other) {
                $pair = $solve([$one, $other], null);
                $best = max($best, $pair->status === 'impossible' ? 0.0 : $pair->objective);
            }
        }

        $answer = $solve($free, 4);
        self::assertSame('found', $answer->status);
        self::assertCount(4, $answer->shares);
        self::assertEqualsWithDelta($best, $answer->objective, 0.02 * $best);
        self::assertSame('impossible', $solve($free, 2)->status);
    }

    public function test_simple_parts_meet_every_demand(): void
    {
        $answer = Solver::solve(
            self::candidates(['olive-oil' => 48.0, 'castor-oil' => 17.0, 'jojoba-oil' => 35.0]),
            [Requirements::written('weight', 2.5, 3.6)],
            [Goal::Nearest],
            parts: 12.0,
        );
        self::assertSame(['olive-oil' => 2, 'castor-oil' => 1, 'jojoba-oil' => 2], $answer->simple?->parts);
        self::assertEqualsWithDelta(
            ['olive-oil' => 40.0, 'castor-oil' => 20.0, 'jojoba-oil' => 40.0],
            $answer->simple->shares,
            1e-9,
        );
        self::assertEqualsWithDelta(
            ['olive-oil' => 48.0, 'castor-oil' => 17.0, 'jojoba-oil' => 35.0],
            $answer->shares,
            1e-9,
            'the exact answer stays beside it',
        );
    }

    public function test_what_may_not_move_is_no_part_and_parts_move_no_further_than_allowed(): void
    {
        $now = ['shea-butter' => 47.0, 'olive-oil' => 34.0, 'castor-oil' => 17.0];
        $candidates = [
            ...self::candidates($now),
            new Candidate(self::catalogue()->get('vitamin-e'), 1.5, 1.5, 1.5),
            new Candidate(self::catalogue()->get('lavender-eo'), 0.0, 1.0, 0.5, step: 0.1),
        ];
        $solve = static fn (float $within): Answer => Solver::solve($candidates, [], [Goal::Nearest], parts: $within);

        // 98 % in 3 : 2 : 1 are 49, 32.67 and 16.33: none moves by more than 2 points.
        $simple = $solve(2.0)->simple;
        self::assertSame(['shea-butter' => 3, 'olive-oil' => 2, 'castor-oil' => 1], $simple?->parts);
        self::assertEqualsWithDelta(
            [
                'shea-butter' => 49.0,
                'olive-oil' => 98 / 3,
                'castor-oil' => 98 / 6,
                'vitamin-e' => 1.5,
                'lavender-eo' => 0.5,
            ],
            $simple->shares,
            1e-6,
        );
        self::assertNull($solve(0.5)->simple, '1 : 1 within half a point there is none');
        self::assertNull($solve(0.0)->simple);
    }

    public function test_stock_and_locks_bound_the_shares(): void
    {
        $answer = Solver::solve(
            [
                new Candidate(self::catalogue()->get('baobab-oil'), 0, 100, 0, new Supply(0.1, 30.0)),
                new Candidate(self::catalogue()->get('olive-oil'), 25, 25, 25, new Supply(1.0)),
                new Candidate(self::catalogue()->get('jojoba-oil'), 0, 100, 0, new Supply(3.0)),
            ],
            [],
            [Goal::Cheapest],
            null,
            200.0,
        );
        self::assertEqualsWithDelta(15.0, $answer->shares['baobab-oil'], 1e-6, '30 g of 200');
        self::assertEqualsWithDelta(25.0, $answer->shares['olive-oil'], 1e-6);
        self::assertContains('baobab oil at most 15 %', $answer->binding);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> what is asked, and the field that is wrong */
    public static function nonsense(): iterable
    {
        $good = ['ingredients' => [['id' => 'olive-oil']], 'demands' => []];
        yield 'no ingredients' => [['ingredients' => []], 'ingredients'];
        yield 'an unknown one' => [['ingredients' => [['id' => 'unicorn']]], 'ingredients.0.id'];
        yield 'a share of 120' => [['ingredients' => [['id' => 'olive-oil', 'max' => 120]]], 'ingredients.0.max'];
        yield 'a demand of no kind' => [['demands' => [['kind' => 'beauty']]] + $good, 'demands.0.kind'];
        yield 'ends the wrong way round' => [
            ['demands' => [['kind' => 'weight', 'min' => 4, 'max' => 2]]] + $good,
            'demands.0.min',
        ];
        yield 'a need that is none' => [['demands' => [['kind' => 'need', 'of' => 'riches']]] + $good, 'demands.0.of'];
        yield 'a goal that is none' => [['goal' => 'fame'] + $good, 'goal'];
        yield 'cheapest without prices' => [['goal' => 'cheapest'] + $good, 'ingredients.0.price'];
        yield 'a text for a number' => [['demands' => [['kind' => 'weight', 'min' => 'two']]] + $good, 'demands.0.min'];
    }

    /** @param  array<string, mixed>  $file */
    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused_by_field(array $file, string $path): void
    {
        try {
            DemandFile::solve($file, self::catalogue());
            self::fail('It was solved.');
        } catch (Problem $problem) {
            self::assertSame($path, $problem->path);
        }
    }

    public function test_a_demand_file_is_solved_and_written(): void
    {
        $answer = DemandFile::solve(
            [
                'ingredients' => [['id' => 'sweet-almond-oil', 'now' => 100], ['id' => 'olive-oil']],
                'without' => ['tree nut'],
                'goal' => ['nearest', 'lasting'],
            ],
            self::catalogue(),
        );
        self::assertEqualsWithDelta(['olive-oil' => 100.0], $answer->shares, 1e-6);
        self::assertSame(
            ['status', 'shares', 'objective', 'binding', 'conflict', 'relax', 'parts'],
            array_keys($answer->jsonSerialize()),
        );
        self::assertInstanceOf(Answer::class, $answer);
    }
}
