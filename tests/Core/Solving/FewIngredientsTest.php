<?php

declare(strict_types=1);

namespace Tests\Core\Solving;

use Crown\Solving\Between;
use Crown\Solving\Candidate;
use Crown\Solving\Goal;
use Crown\Solving\Internal\Programme;
use Crown\Solving\Requirement;
use Crown\Solving\Requirement\EffectiveSolids;
use Crown\Solving\Requirement\FattyAcidShare;
use Crown\Solving\Requirement\Heaviness;
use Crown\Solving\Requirement\KeepsMonths;
use Crown\Solving\Requirement\Saturation;
use Crown\Solving\Solver;
use Crown\Solving\Supply;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\CoreTestCase;

/** "At most n ingredients" beside every choice of n there is. */
final class FewIngredientsTest extends CoreTestCase
{
    private const OILS = [
        'olive-oil',
        'jojoba-oil',
        'castor-oil',
        'mango-butter',
        'shea-butter',
        'cocoa-butter',
        'beeswax',
        'grapeseed-oil',
    ];

    public function test_it_is_as_good_as_the_best_of_all_choices_on_five_hundred_small_cases(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $possible = 0;
        for ($case = 0; $case < 500; $case++) {
            [$candidates, $requirements, $fewest] = self::drawn($random, linear: true);
            $answer = Solver::solve($candidates, $requirements, [Goal::Cheapest], $fewest);
            $best = self::bestOfAll($candidates, $requirements, $fewest);
            if ($best === null) {
                self::assertSame('impossible', $answer->status, "case $case");
                self::assertNotSame([], $answer->conflict, "case $case says why");

                continue;
            }
            $possible++;
            self::assertSame('optimal', $answer->status, "case $case");
            self::assertEqualsWithDelta($best, $answer->objective, 1e-6, "case $case");
            self::assertLessThanOrEqual($fewest, count($answer->shares), "case $case");
        }
        self::assertGreaterThan(100, $possible);
        self::assertLessThan(480, $possible);
    }

    public function test_what_has_to_be_in_it_may_fill_the_number(): void
    {
        $oil = static fn (string $id, float $least, float $price): Candidate => new Candidate(
            self::catalogue()->get($id),
            $least,
            supply: new Supply($price),
        );
        $answer = Solver::solve(
            [$oil('olive-oil', 10, 9), $oil('castor-oil', 10, 8), $oil('sunflower-oil', 0, 1)],
            [],
            [Goal::Cheapest],
            2,
        );

        self::assertSame('optimal', $answer->status);
        self::assertEqualsWithDelta(['olive-oil' => 10.0, 'castor-oil' => 90.0], $answer->shares, 1e-9);
    }

    public function test_the_number_is_no_part_of_a_contradiction_that_is_one_without_it(): void
    {
        $candidates = array_map(
            static fn (string $id): Candidate => new Candidate(self::catalogue()->get($id)),
            ['olive-oil', 'jojoba-oil', 'castor-oil'],
        );
        $solid = new EffectiveSolids(new Between(60.0), 25.0);

        $answer = Solver::solve($candidates, [$solid], [Goal::Nearest], 2);

        self::assertSame([$solid->words()], $answer->conflict);
    }

    public function test_taking_the_least_change_of_a_life_makes_it_possible(): void
    {
        $oil = static fn (string $id, float $least): Candidate => new Candidate(self::catalogue()->get($id), $least);
        $candidates = [$oil('olive-oil', 20), $oil('flaxseed-oil', 30), $oil('jojoba-oil', 0)];
        $asked = static fn (float $months): array => [new KeepsMonths(new Between($months))];

        $answer = Solver::solve($candidates, $asked(11.0), [Goal::Nearest]);

        self::assertSame('impossible', $answer->status);
        $to = $answer->relax[0]['to'];
        self::assertLessThan(11.0, $to);
        self::assertSame('optimal', Solver::solve($candidates, $asked($to - 1e-3), [Goal::Nearest])->status);
    }

    public function test_the_least_change_is_enough_with_so_few_ingredients(): void
    {
        $random = new Randomizer(new Mt19937(85));
        $changed = $found = 0;
        for ($case = 0; $case < 300; $case++) {
            [$candidates, $requirements, $fewest] = self::drawn($random);
            $answer = Solver::solve($candidates, $requirements, [Goal::Nearest], $fewest);
            if ($answer->status !== 'impossible' || $answer->relax === []) {
                continue;
            }
            $changed++;
            $to = array_column($answer->relax, 'to', 'demand');
            $given = array_map(
                static function (Requirement $r) use ($to): Requirement {
                    $reached = $to[$r->words()] ?? null;
                    if ($reached === null) {
                        return $r;
                    }
                    $wider = new Between(
                        min($r->between->low(), $reached - 0.01),
                        max($r->between->high(), $reached + 0.01),
                    );

                    return $r instanceof EffectiveSolids ? new EffectiveSolids($wider, 25.0) : new Heaviness($wider);
                },
                $requirements,
            );
            $nearest = array_map(
                static fn (Candidate $c): float => $answer->against->nearest[$c->ingredient->id],
                $candidates,
            );
            self::assertTrue((new Programme($candidates, $given))->allows($nearest), "case $case");
            $there = array_filter($nearest, static fn (float $x): bool => $x > 1e-6);
            self::assertLessThanOrEqual($fewest, count($there), "case $case");
            $again = Solver::solve($candidates, $given, [Goal::Nearest], $fewest);
            $found += $again->status === 'impossible' ? 0 : 1;
        }
        self::assertGreaterThan(50, $changed);
        // How soft a fat becomes cannot be searched through: a few of the changes are enough and not found again.
        self::assertGreaterThan(0.85, $found / $changed);
    }

    /** @return array{list<Candidate>, list<Requirement>, int} */
    private static function drawn(Randomizer $random, bool $linear = false): array
    {
        $ids = self::OILS;
        $count = $random->getInt(4, 6);
        $candidates = [];
        for ($n = 0; $n < $count; $n++) {
            $at = $random->getInt(0, count($ids) - 1);
            $id = array_splice($ids, $at, 1)[0];
            $candidates[] = new Candidate(
                self::catalogue()->get($id),
                $random->getInt(0, 5) === 0 ? 10.0 : 0.0,
                (float) [100, 100, 60, 45][$random->getInt(0, 3)],
                supply: new Supply($random->getInt(1, 40)),
            );
        }
        $least = (float) $random->getInt(0, 50);
        $between = new Between($least, $least + $random->getInt(5, 20));
        $heavy = $random->getInt(15, 35) / 10;

        return [
            $candidates,
            [
                $linear ? new FattyAcidShare($between, Saturation::Saturated) : new EffectiveSolids($between, 25.0),
                new Heaviness(new Between($heavy, $heavy + 0.8)),
            ],
            $random->getInt(2, 3),
        ];
    }

    /**
     * @param  list<Candidate>  $candidates
     * @param  list<Requirement>  $requirements
     * @return float|null the least cost over every choice of so many; null when none is possible
     */
    private static function bestOfAll(array $candidates, array $requirements, int $fewest): ?float
    {
        $best = null;
        for ($set = 1; $set < 2 ** count($candidates); $set++) {
            if (substr_count(decbin($set), '1') > $fewest) {
                continue;
            }
            $chosen = [];
            foreach ($candidates as $j => $candidate) {
                if (($set >> $j) & 1) {
                    $chosen[] = $candidate;
                } elseif ($candidate->least > 0.0) {
                    continue 2;
                }
            }
            $answer = Solver::solve($chosen, $requirements, [Goal::Cheapest]);
            if ($answer->status !== 'impossible') {
                $best = min($best ?? INF, $answer->objective);
            }
        }

        return $best;
    }
}
