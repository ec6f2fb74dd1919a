<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Assessment;
use Crown\Assessment\Finding;
use Crown\Assessment\Preservative;
use Crown\Assessment\WaterCap;
use Crown\Assessment\WaterPlan;
use Crown\Formula\Audience;
use Tests\Core\CoreTestCase;

final class WaterPlanTest extends CoreTestCase
{
    /** @param  array<string, string>  $lines */
    private static function plan(array $lines, bool $wet = false): WaterPlan
    {
        return new WaterPlan(self::assess(self::formula($lines, wetUse: $wet))->subject, self::catalogue());
    }

    /** @return array<string, mixed> */
    private static function choice(WaterPlan $plan, string $id): array
    {
        return array_column($plan->choices(), null, 'id')[$id];
    }

    public function test_each_line_says_how_much_water_it_brings(): void
    {
        $plan = self::plan(['olive-oil' => '75 g', 'aloe-gel' => '15 g', 'water' => '10 g'])->jsonSerialize();

        self::assertSame('D', $plan['class']);
        self::assertSame(['l2', 'l3'], array_column($plan['bearers'], 'line'));
        self::assertEqualsWithDelta(
            $plan['percent']->best,
            $plan['bearers'][0]['percent']->best + $plan['bearers'][1]['percent']->best,
            1e-9,
        );
        self::assertEqualsWithDelta(10.0, $plan['bearers'][1]['percent']->best, 1e-9);
    }

    public function test_the_dose_counts_itself(): void
    {
        $choice = self::choice(
            self::plan(['olive-oil' => '20 g', 'emulsifying-wax' => '6 g', 'water' => '74 g']),
            'phenoxyethanol-ehg',
        );

        self::assertTrue($choice['fits']);
        self::assertSame(0.9, $choice['dose_percent']);
        self::assertEqualsWithDelta(0.908, $choice['grams'], 0.0005, '100 x 0.9 / 99.1');
        self::assertEqualsWithDelta(0.9, $choice['grams_on_base'], 1e-9);
        // A preservative that is already in it does not count as base.
        self::assertEqualsWithDelta(
            0.908,
            self::choice(
                self::plan([
                    'olive-oil' => '20 g',
                    'emulsifying-wax' => '6 g',
                    'water' => '74 g',
                    'phenoxyethanol-ehg' => '5 g',
                ]),
                'phenoxyethanol-ehg',
            )['grams'],
            0.0005,
        );
    }

    public function test_in_oil_only_what_dissolves_in_oil_fits(): void
    {
        $plan = self::plan(['olive-oil' => '100 g'], true);

        self::assertTrue(self::choice($plan, 'caprylyl-glycol-phenoxyethanol')['fits']);
        self::assertSame(
            ['does not cover bacteria, yeast and mould alike', 'does not dissolve in oil'],
            self::choice($plan, 'potassium-sorbate')['against'],
        );
        self::assertTrue($plan->choices()[0]['fits'], 'what fits comes first');
        self::assertStringContainsString('spatula', $plan->next()[0]);
    }

    public function test_in_water_what_goes_into_the_oil_only_does_not_fit(): void
    {
        $lines = ['olive-oil' => '20 g', 'emulsifying-wax' => '6 g', 'water' => '74 g'];

        self::assertSame(
            [
                'does not cover bacteria, yeast and mould alike',
                'goes into the oil only, and it is the water that spoils',
            ],
            self::choice(self::plan($lines), 'caprylyl-glycol')['against'],
        );
        $assessment = self::assess(self::formula($lines + ['caprylyl-glycol' => '0.5 %']));
        self::assertSame(7 / 30.44, $assessment->subject->life->months->best);
        self::assertNotContains(
            'preservative.unsuitable',
            self::codes(self::cured($assessment, 'preservative.unsuitable')),
        );
    }

    public function test_what_disperses_fits_oil_and_water_alike(): void
    {
        $lines = ['olive-oil' => '20 g', 'emulsifying-wax' => '6 g', 'water' => '74 g'];

        self::assertTrue(self::choice(self::plan($lines), 'caprylyl-glycol-phenoxyethanol')['fits']);
    }

    public function test_law_allows_more_of_a_benzoate_in_what_is_rinsed_off(): void
    {
        $lines = ['olive-oil' => '20 g', 'btms-50' => '6 g', 'water' => '73 g', 'sodium-benzoate' => '2 g'];
        $doses = static fn (Audience $for): array => array_filter(
            self::assess(self::formula($lines, audience: $for))->findings,
            static fn (Finding $f): bool => $f->code === 'preservative.dose',
        );

        self::assertNotSame([], $doses(Audience::AdultLeaveOn), '2 % of the salt is far over 0.5 % of the acid');
        self::assertSame([], $doses(Audience::AdultRinseOff), '2.5 % of the acid is 2.95 % of the salt');
        $range = Preservative::range(self::catalogue()->get('sodium-benzoate'), true);
        self::assertEqualsWithDelta(2.5 / 0.847, $range?->high, 1e-9);
    }

    public function test_nothing_preserves_water_that_separates(): void
    {
        $plan = self::plan(['olive-oil' => '90 g', 'water' => '10 g']);

        self::assertSame([], array_filter(array_column($plan->choices(), 'fits')));
        self::assertStringContainsString('freeze it in portions', $plan->next()[2]);
    }

    public function test_no_dose_is_over_the_law(): void
    {
        foreach (self::plan(['water' => '100 g'])->choices() as $choice) {
            self::assertTrue(
                $choice['law_percent'] === null || $choice['dose_percent'] <= $choice['law_percent'] + 0.0005,
                $choice['id'],
            );
        }
    }

    public function test_partial_preservatives_make_a_whole_where_both_work(): void
    {
        $lotion = static fn (array $more): Assessment => self::assess(
            self::formula(['olive-oil' => '20 g', 'emulsifying-wax' => '6 g', 'water' => '73 g', ...$more]),
            0.01,
        );
        $whole = $lotion(['phenoxyethanol' => '0.8 g', 'potassium-sorbate' => '0.3 g']);
        self::assertNotContains('preservative.missing', self::codes($whole));
        self::assertNotContains('preservative.unsuitable', self::codes($whole));
        self::assertSame(WaterCap::TRACES_MONTHS, $whole->subject->life->months->best);

        $yeast = $lotion(['potassium-sorbate' => '0.3 g', 'sodium-benzoate' => '0.4 g']);
        self::assertContains('preservative.missing', self::codes($yeast), 'neither holds bacteria');
        $little = $lotion(['phenoxyethanol' => '0.1 g', 'potassium-sorbate' => '0.3 g']);
        self::assertEqualsWithDelta(7 / 30.44, $little->subject->life->months->best, 1e-9, 'one is under its range');
    }
}
