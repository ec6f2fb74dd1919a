<?php

declare(strict_types=1);

namespace Tests\Core\Solving;

use Crown\Assessment\Reshare;
use Crown\Exchange\DemandFile;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Solving\Candidate;
use Crown\Solving\Design;
use Crown\Solving\Goal;
use Crown\Solving\Requirements;
use Crown\Solving\SolveError;
use Crown\Solving\Solver;
use Crown\Solving\Wish;
use Crown\Solving\Wished;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** A drop cannot be halved: shares of what is counted in drops are whole numbers of them. */
final class WholeDropsTest extends CoreTestCase
{
    private static function candidate(string $id, float $most, float $now, ?float $step = null): Candidate
    {
        return new Candidate(self::catalogue()->get($id), 0.0, $most, $now, step: $step);
    }

    /** @return iterable<string, array{float, float, float}> size of each drop, per cent, and the ceiling */
    public static function drops(): iterable
    {
        yield 'equal drops' => [0.03, 0.03, 1.0];
        yield 'unequal drops' => [0.031, 0.027, 1.0];
        yield 'a small bottle, where one drop is much' => [0.23, 0.19, 0.5];
        yield 'a ceiling under one drop' => [0.23, 0.19, 0.1];
        yield 'nothing has to fall' => [0.031, 0.027, 3.0];
    }

    #[DataProvider('drops')]
    public function test_nearest_whole_drops_against_every_number_of_them(
        float $rosemary,
        float $lavender,
        float $ceiling,
    ): void {
        $now = [round(0.9 / $rosemary) * $rosemary, round(0.6 / $lavender) * $lavender];
        $candidates = [
            self::candidate('olive-oil', 100.0, 100.0 - array_sum($now)),
            self::candidate('rosemary-eo', $now[0], $now[0], $rosemary),
            self::candidate('lavender-eo', $now[1], $now[1], $lavender),
        ];
        $answer = Solver::solve($candidates, [Requirements::written('load', null, $ceiling)], [Goal::Nearest]);
        $best = INF;
        for ($a = 0; $a * $rosemary <= $now[0] + 1e-9; $a++) {
            for ($b = 0; $b * $lavender <= $now[1] + 1e-9; $b++) {
                [$x, $y] = [$a * $rosemary, $b * $lavender];
                if ($x + $y <= $ceiling + 1e-9) {
                    $best = min($best, abs($now[0] - $x) + abs($now[1] - $y) + abs($now[0] + $now[1] - $x - $y));
                }
            }
        }

        self::assertSame('optimal', $answer->status);
        self::assertEqualsWithDelta($best, $answer->objective, 1e-6);
        foreach (['rosemary-eo' => $rosemary, 'lavender-eo' => $lavender] as $id => $step) {
            $drops = ($answer->shares[$id] ?? 0.0) / $step;
            self::assertEqualsWithDelta(round($drops), $drops, 1e-4);
        }
        self::assertLessThanOrEqual(
            $ceiling + 1e-6,
            ($answer->shares['rosemary-eo'] ?? 0.0) + ($answer->shares['lavender-eo'] ?? 0.0),
        );
    }

    public function test_whole_drops_and_few_ingredients_together(): void
    {
        $candidates = [
            self::candidate('olive-oil', 100.0, 60.0),
            self::candidate('jojoba-oil', 100.0, 39.0),
            self::candidate('rosemary-eo', 1.0, 1.0, 0.04),
        ];
        $answer = Solver::solve($candidates, [Requirements::written('load', 0.3, 0.5)], [Goal::Nearest], 2);

        self::assertCount(2, $answer->shares);
        self::assertEqualsWithDelta(0.48, $answer->shares['rosemary-eo'], 1e-6, '12 drops of 0.04');
        self::assertArrayHasKey('olive-oil', $answer->shares);
    }

    public function test_no_whole_number_fits_between_narrow_ends(): void
    {
        $answer = Solver::solve(
            [self::candidate('olive-oil', 100.0, 99.0), self::candidate('rosemary-eo', 1.0, 1.0, 0.3)],
            [Requirements::written('load', 0.4, 0.5)],
            [Goal::Nearest],
        );

        self::assertSame('impossible', $answer->status);
        self::assertNotSame([], $answer->conflict);
    }

    public function test_made_safe_for_a_child_it_is_still_counted_in_drops(): void
    {
        $formula = self::formula([
            'olive-oil' => '1/2 cup',
            'jojoba-oil' => '20 g',
            'geranium-eo' => '30 drops',
            'lavender-eo' => '30 drops',
        ]);
        $subject = self::assess($formula)->subject;
        $design = new Design($subject, self::catalogue(), [new Wished(Wish::SafeFor, 'child-6-12')]);
        $written = $design->formula($design->answer($design->requirements()));
        $amounts = array_combine(
            array_map(static fn (Line $l): string => $l->ingredient, $written->lines),
            array_map(static fn (Line $l): string => $l->amount->text, $written->lines),
        );

        self::assertSame('20 g', $amounts['jojoba-oil'], 'what does not move stays as it was written');
        self::assertMatchesRegularExpression('/^\d+ drops?$/', $amounts['lavender-eo'] ?? $amounts['geranium-eo']);
        $load = static fn (Formula $f): float => self::assess(
            $f->withAudience(Audience::Child6To12),
        )->subject->load->percent()->best;
        self::assertLessThanOrEqual(1.0 + 0.02, $load($written));
        self::assertGreaterThan(0.9, $load($written), 'no more was taken than had to be');
    }

    public function test_an_edge_of_the_jar_moves_drops_by_whole_ones(): void
    {
        $formula = self::formula(['olive-oil' => '100 g', 'rosemary-eo' => '20 drops']);
        $amount = static fn (float $points): string => Reshare::between($formula, self::context(), 'l2', 'l1', $points)
            ->lines[1]->amount->text;

        // 20 drops of about 0.03 g are 0.6 %.
        self::assertMatchesRegularExpression('/^1\d drops$/', $amount(0.2));
        self::assertSame('1 drop', $amount(5.0), 'a line is not lost by a hand that slipped');
    }

    public function test_steps_in_a_demand_file(): void
    {
        $file = [
            'ingredients' => [
                ['id' => 'olive-oil', 'now' => 99],
                ['id' => 'rosemary-eo', 'max' => 1, 'now' => 1, 'step' => 0.04],
            ],
            'demands' => [['kind' => 'load', 'max' => 0.5]],
            'goal' => 'nearest',
        ];
        self::assertEqualsWithDelta(0.48, DemandFile::solve($file, self::catalogue())->shares['rosemary-eo'], 1e-6);

        $this->expectException(SolveError::class);
        $file['ingredients'][1]['step'] = -1;
        DemandFile::solve($file, self::catalogue());
    }

    public function test_a_range_of_drops_that_need_not_fall_stays_as_it_is(): void
    {
        // 12.5 drops are no whole number of them: nothing is asked of the scent, so nothing is impossible.
        $formula = self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g', 'lavender-eo' => '10-15 drops']);
        $design = new Design(self::assess($formula)->subject, self::catalogue(), [new Wished(Wish::Softer)]);
        $answer = $design->answer($design->requirements());

        self::assertSame('found', $answer->status);
        self::assertContains(
            '10-15 drops',
            array_map(static fn (Line $l): string => $l->amount->text, $design->formula($answer)->lines),
        );
    }

    public function test_a_recipe_in_parts_stays_one(): void
    {
        $formula = self::formula(['shea-butter' => '3 parts', 'olive-oil' => '2 parts', 'beeswax' => '1 part']);
        $subject = self::assess($formula)->subject;
        $design = new Design($subject, self::catalogue(), [new Wished(Wish::Softer)]);
        $answer = $design->answer($design->requirements());
        $then = self::assess($design->formula($answer))->subject->composition;

        self::assertNull($then->sharesPercent);
        foreach ($then->counted() as $portion) {
            self::assertEqualsWithDelta($answer->shares[$portion->ingredient->id], $portion->percent(), 0.1);
        }
        $moved = Reshare::between($formula, self::context(), 'l2', 'l1', 10.0);
        self::assertSame(
            ['3.6 parts', '1.4 parts', '1 part'],
            array_map(static fn (Line $l): string => $l->amount->text, $moved->lines),
        );
    }

    public function test_a_search_cut_short_says_so_and_claims_no_proof(): void
    {
        // Whole steps that never add up to so narrow an end: too many ways to try them all.
        $candidates = [self::candidate('olive-oil', 100.0, 90.0)];
        $steps = [
            'rosemary-eo' => 0.0203,
            'lavender-eo' => 0.0206,
            'peppermint-eo' => 0.0209,
            'tea-tree-eo' => 0.0212,
            'geranium-eo' => 0.0215,
            'spearmint-eo' => 0.0218,
        ];
        foreach ($steps as $id => $step) {
            $candidates[] = self::candidate($id, 2.0, 1.0, $step);
        }

        $this->expectException(SolveError::class);
        $this->expectExceptionMessage('cut short');
        Solver::solve($candidates, [Requirements::written('load', 3.0000001201, 3.0000001202)], [Goal::Nearest]);
    }
}
