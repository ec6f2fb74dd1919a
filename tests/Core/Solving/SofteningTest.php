<?php

declare(strict_types=1);

namespace Tests\Core\Solving;

use Crown\Assessment\Eutectic;
use Crown\Catalogue\MixturePart;
use Crown\Solving\Between;
use Crown\Solving\Candidate;
use Crown\Solving\Goal;
use Crown\Solving\Internal\Programme;
use Crown\Solving\Requirement\EffectiveSolids;
use Crown\Solving\Solver;
use Crown\Solving\Supply;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\CoreTestCase;

/** Demands on solids where the fats of a blend soften each other. */
final class SofteningTest extends CoreTestCase
{
    private const FATS = ['cocoa-butter', 'illipe-butter', 'coconut-oil', 'babassu-oil', 'olive-oil', 'shea-butter'];

    public function test_what_a_blend_reaches_counts_that_its_fats_soften_each_other(): void
    {
        $candidates = [self::candidate('cocoa-butter'), self::candidate('coconut-oil')];
        $solids = new EffectiveSolids(new Between(10.0), 25.0);

        // (70 + 3) / 2 = 36.5, and half of that is left at equal parts.
        self::assertEqualsWithDelta(
            18.25,
            $solids->reached(new Programme($candidates, [$solids]), [50.0, 50.0]),
            1e-9,
        );
    }

    public function test_an_answer_is_as_firm_as_was_asked_for(): void
    {
        $candidates = [
            self::candidate('cocoa-butter', most: 40.0, price: 9),
            self::candidate('coconut-oil', least: 20.0, price: 2),
            self::candidate('beeswax', most: 15.0, price: 20),
            self::candidate('olive-oil', price: 1),
        ];
        $solids = new EffectiveSolids(new Between(20.0, 30.0), 25.0);
        $answer = Solver::solve($candidates, [$solids], [Goal::Cheapest]);

        self::assertNotSame('impossible', $answer->status);
        self::assertSame(20.0, round(self::reached($candidates, $solids, $answer->shares), 3));
    }

    public function test_no_answer_breaks_a_demand_on_solids_whatever_is_mixed(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $answered = $mixed = 0;
        for ($case = 0; $case < 200; $case++) {
            $candidates = array_map(
                static fn (string $id): Candidate => self::candidate(
                    $id,
                    $random->getInt(0, 3) === 0 ? 10.0 : 0.0,
                    (float) $random->getInt(30, 100),
                    $random->getInt(1, 30),
                ),
                self::FATS,
            );
            $least = (float) $random->getInt(0, 50);
            $solids = new EffectiveSolids(new Between($least, $least + 10.0), 20.0 + 5 * $random->getInt(0, 2));
            $answer = Solver::solve($candidates, [$solids], [Goal::Cheapest]);
            if ($answer->status === 'impossible') {
                continue;
            }
            $answered++;
            $reached = self::reached($candidates, $solids, $answer->shares);
            self::assertGreaterThanOrEqual($least - 0.011, $reached, "case $case");
            self::assertLessThanOrEqual($least + 10.011, $reached, "case $case");
            $mixed += self::parts($candidates, $answer->shares)->softens() ? 1 : 0;
        }
        self::assertGreaterThan(100, $answered);
        self::assertGreaterThan(20, $mixed);
    }

    private static function candidate(
        string $id,
        float $least = 0.0,
        float $most = 100.0,
        float $price = 1.0,
    ): Candidate {
        return new Candidate(self::catalogue()->get($id), $least, $most, supply: new Supply($price));
    }

    /**
     * @param  list<Candidate>  $candidates
     * @param  array<string, float>  $shares
     */
    private static function reached(array $candidates, EffectiveSolids $solids, array $shares): float
    {
        return $solids->reached(
            new Programme($candidates, [$solids]),
            array_map(static fn (Candidate $c): float => $shares[$c->ingredient->id] ?? 0.0, $candidates),
        );
    }

    /**
     * @param  list<Candidate>  $candidates
     * @param  array<string, float>  $shares
     */
    private static function parts(array $candidates, array $shares): Eutectic
    {
        return Eutectic::of(
            array_map(
                static fn (Candidate $c): MixturePart => new MixturePart(
                    $c->ingredient,
                    $shares[$c->ingredient->id] ?? 0.0,
                ),
                $candidates,
            ),
        );
    }
}
