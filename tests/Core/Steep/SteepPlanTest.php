<?php

declare(strict_types=1);

namespace Tests\Core\Steep;

use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Assessment\Keeping;
use Crown\Assessment\Severity;
use Crown\Assessment\Store;
use Crown\Catalogue\Correction;
use Crown\Catalogue\IngredientKind;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Measure\Band;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Measure\WrittenAmount;
use Crown\Steep\Charge;
use Crown\Steep\Journal;
use Crown\Steep\MethodTable;
use Crown\Steep\Stay;
use Crown\Steep\SteepAdvice;
use Crown\Steep\SteepError;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepYield;
use Crown\Steep\Weighing;
use DateTimeImmutable;
use Tests\Core\CoreTestCase;

final class SteepPlanTest extends CoreTestCase
{
    private static function plan(
        string $plant = 'calendula',
        string $form = 'dried',
        float $grams = 40,
        float $oil = 365,
        SteepMethod $method = SteepMethod::ColdDark,
        bool $shaken = true,
        float $jar = 0,
        float $wide = 0,
        string $in = 'olive-oil',
    ): SteepPlan {
        return self::onePlant(
            self::catalogue()->get($plant),
            $form,
            $grams,
            self::catalogue()->get($in),
            $oil,
            $method,
            new DateTimeImmutable('2027-03-10'),
            $shaken,
            false,
            $jar,
            $wide,
        );
    }

    public function test_dates_are_calendar_dates_across_the_change_of_clocks(): void
    {
        $zone = date_default_timezone_get();
        date_default_timezone_set('Europe/Berlin');
        try {
            $plan = self::plan();
            self::assertSame('2027-04-07', $plan->timeline->strainDay()->format('Y-m-d'));
            self::assertSame('2027-04-05', $plan->timeline->stopShaking()->format('Y-m-d'));
            self::assertSame('2027-04-08', $plan->timeline->readyDay()->format('Y-m-d'));
        } finally {
            date_default_timezone_set($zone);
        }
    }

    public function test_extraction_is_ninety_per_cent_at_four_weeks(): void
    {
        // 1 - exp(-0.082 x 28) = 0.8993; never shaken, k falls to 0.8 of it: 0.8406.
        self::assertEqualsWithDelta(94.9, self::plan()->extraction->atStraining()->best, 0.1);
        self::assertEqualsWithDelta(84.1, self::plan(shaken: false)->extraction->atStraining()->best, 0.1);
    }

    public function test_yield_is_less_what_the_plant_keeps(): void
    {
        $yield = self::plan()->recovery->yieldGrams();
        self::assertEqualsWithDelta([365 - 80, 365 - 64, 365 - 48], [$yield->low, $yield->best, $yield->high], 1e-9);
        self::assertSame(0.0, self::plan(grams: 400, oil: 100)->recovery->yieldGrams()->low);
    }

    public function test_age_spent(): void
    {
        self::assertEqualsWithDelta(28.0, self::plan()->ageing->spentDays()->best, 1e-9);
        // An hour at 70 °C is 2^5 hours: 1.33 days. Five weeks at 25 °C in the sun: 35 x sqrt 2 x 2.
        self::assertEqualsWithDelta(
            32 / 24,
            self::plan(method: SteepMethod::WaterBath)->ageing->spentDays()->best,
            1e-9,
        );
        self::assertEqualsWithDelta(
            35 * M_SQRT2 * 2,
            self::plan(method: SteepMethod::SunnySill)->ageing->spentDays()->best,
            1e-6,
        );
    }

    public function test_cover_and_headspace(): void
    {
        // By hand: 40 g / 0.11 = 363.6 ml of herb; oil 365/0.914 + 40/1.2 = 432.7 ml; 63.62 cm2: 1.09 cm over it, 4.2
        // cm of air in 700 ml.
        $plan = self::plan(jar: 700, wide: 9);
        self::assertEqualsWithDelta(1.09, $plan->geometry->oilAbovePlantCm()->best, 0.01);
        self::assertEqualsWithDelta(4.2, $plan->geometry->headspaceCm()->best, 0.01);
        self::assertContains('steep.cover', array_map(static fn ($a): string => $a->code, SteepAdvice::on($plan, [])));
        self::assertSame(Severity::Stop, SteepAdvice::on(self::plan(jar: 300, wide: 9), [])[0]->severity);
    }

    public function test_fresh_plants_bring_water_until_it_is_weighed_out(): void
    {
        $plan = self::plan('rosemary', 'fresh', 50, 150, SteepMethod::WaterBath);
        // 50 g x 0.68 x 0.35 = 11.9 g.
        self::assertEqualsWithDelta(11.9, $plan->water->inGrams()->best, 1e-9);

        $wet = new SteepYield($plan, 130);
        // At worst 50 g x 0.72 x 0.8 = 28.8 g: that decides.
        self::assertEqualsWithDelta(28.8 / 130, $wet->water()->high, 1e-9);
        self::assertEqualsWithDelta(11.9 / 130, $wet->water()->best, 1e-9);
        self::assertFalse($wet->isDry());
        self::assertFalse((new SteepYield($plan, 130, 12))->isDry(), 'the best case shows nothing');
        self::assertTrue((new SteepYield($plan, 130, 28.8))->isDry(), 'the weighing test shows it dry');
        self::assertSame(0.0, self::plan()->water->inGrams()->high, 'a dried herb brings none');
        self::assertSame(Severity::Stop, SteepAdvice::on(self::plan('rosemary', 'fresh', 50, 150), [])[0]->severity);
    }

    /** @param  list<Weighing>  $weighings */
    private static function bowl(string $form, array $weighings): SteepPlan
    {
        $plan = self::plan('rosemary', $form, 50, 150, SteepMethod::WaterBath);

        return new SteepPlan($plan->charge, new Journal($plan->journal->stays, [], $weighings));
    }

    public function test_a_second_weighing_without_loss_shows_it_dry_whatever_came_in(): void
    {
        $once = [new Weighing(420, 410)];

        self::assertFalse(self::bowl('fresh', $once)->water->isDry());
        self::assertFalse(self::bowl('fresh', [...$once, new Weighing(410, 409)])->water->isDry());
        self::assertFalse(self::bowl('fresh', [new Weighing(410, 410)])->water->isDry(), 'heated once is not twice');
        $dry = self::bowl('fresh', [...$once, new Weighing(410, 410)]);
        self::assertTrue($dry->water->isDry());
        self::assertTrue((new SteepYield($dry, 130))->isDry());
    }

    public function test_no_more_can_be_lost_than_there_was(): void
    {
        // 50 g x 0.72 of water, and what a scale misses in one weighing.
        self::assertEqualsWithDelta(38.0, self::bowl('fresh', [new Weighing(420, 410)])->water->mostLossGrams(), 1e-9);
        // Of a dried herb at most 14 %.
        self::assertEqualsWithDelta(
            11.0,
            self::bowl('dried', [new Weighing(420, 419), new Weighing(420, 420)])->water->mostLossGrams(),
            1e-9,
        );
    }

    public function test_what_water_came_into_has_no_date_until_it_is_had_and_then_that_of_its_water(): void
    {
        $on = new DateTimeImmutable('2026-12-01');
        $fresh = self::plan('rosemary', 'fresh', 50, 150, SteepMethod::WaterBath);
        self::assertNull($fresh->bestBefore());
        self::assertNotNull(self::plan()->bestBefore());

        $wet = new SteepYield($fresh, 130);
        self::assertSame(['2026-12-08', Store::Fridge], [$wet->bestBefore($on)->format('Y-m-d'), $wet->store()]);
        // 28.8 g less 28 g is 0.6 % of 130 g: traces.
        $traces = new SteepYield($fresh, 130, 28.0);
        self::assertSame(['2027-03-02', Store::Cool], [$traces->bestBefore($on)->format('Y-m-d'), $traces->store()]);
        $dry = new SteepYield($fresh, 130, 28.8);
        self::assertSame(Store::Anywhere, $dry->store());
        self::assertGreaterThanOrEqual('2027-11', $dry->bestBefore($on)->format('Y-m'));
        // And the same oil in a formula says the same.
        $lot = $wet->ingredient('lot-1', 'Fresh rosemary in oil');
        $formula = self::formula(['olive-oil' => '1 g']);
        $assessment = Assessor::standard()->assess(
            $formula->withLines([new Line('l1', 'lot-1', 'x', new WrittenAmount('100 g'), '', Phase::Warm)]),
            new Context(self::catalogue()->with($lot), new Kitchen()),
        );
        $keeping = Keeping::of($assessment->subject, $on);
        self::assertSame(
            ['2026-12-08', '7 days', Store::Fridge],
            [$keeping->bestBefore->format('Y-m-d'), $keeping->opened, $keeping->store],
        );
    }

    public function test_whether_the_plant_is_covered_is_said_by_how_high_the_oil_stands(): void
    {
        $codes = static fn (SteepPlan $plan): array => array_map(
            static fn (SteepAdvice $a): string => $a->code,
            SteepAdvice::on($plan, []),
        );
        // 120 ml of cloves in 300 ml of oil, in a narrow jar: well covered, though little oil for its mass.
        $covered = self::plan('clove-bud', 'dried', 60, 280, jar: 700, wide: 7);
        self::assertGreaterThan(2.5, $covered->geometry->oilAbovePlantCm()?->best);
        self::assertNotContains('steep.cover', $codes($covered));
        self::assertNotContains('steep.ratio', $codes($covered));
        $filled = self::plan('clove-bud', 'dried', 60, 180);
        self::assertNotContains('steep.ratio', $codes($filled), 'bulk density tells it');
        self::assertContains('steep.ratio', $codes(self::plan('clove-bud', 'dried', 60, 60)), 'it stands dry');
    }

    public function test_a_cure_never_fills_the_jar_past_its_air(): void
    {
        $cover = static function (SteepPlan $plan): string {
            foreach (SteepAdvice::on($plan, []) as $advice) {
                if ($advice->code === 'steep.cover') {
                    return $advice->says->key;
                }
            }

            return '';
        };

        self::assertSame('steep.advice.cover-full', $cover(self::plan(jar: 500, wide: 9)));
        self::assertSame('steep.advice.cover-room', $cover(self::plan(jar: 900, wide: 9)));
    }

    public function test_a_wet_plant_left_cold_is_the_highest_risk(): void
    {
        $today = new DateTimeImmutable('2026-12-01');
        $risks = static fn (string $form): array => array_column(
            MethodTable::for(self::plan('ginger-root', $form, 50, 150), $today, null)->jsonSerialize()['rows'],
            'risk',
            'method',
        );

        self::assertSame(
            [5, 3, 1],
            [$risks('fresh')['cold-dark'], $risks('fresh')['water-bath'], $risks('dried')['cold-dark']],
        );
    }

    public function test_water_put_in_on_purpose_is_a_stop_where_it_stands(): void
    {
        $cold = self::plan();
        $codes = static fn (SteepMethod $method): array => array_column(
            array_map(
                static fn (SteepAdvice $a): array => [$a->code, $a->severity],
                SteepAdvice::on(
                    new SteepPlan(
                        new Charge($cold->charge->herbs, $cold->charge->pours, 5.0),
                        new Journal([new Stay($method, $cold->timeline->start)]),
                    ),
                    [],
                ),
            ),
            1,
            0,
        );

        self::assertSame(Severity::Stop, $codes(SteepMethod::ColdDark)['steep.water-added']);
        self::assertSame(Severity::Caution, $codes(SteepMethod::WaterBath)['steep.water-added']);
    }

    public function test_the_oil_carries_what_happened_to_it(): void
    {
        $oil = (new SteepYield(self::plan('clove-bud', 'dried', 10, 100), 90))->ingredient('lot-1', 'Clove in olive');

        self::assertSame(IngredientKind::ReadySteep, $oil->kind);
        self::assertSame('Olea Europaea Fruit Oil, Eugenia Caryophyllus Bud', $oil->inci);
        self::assertEqualsWithDelta(18 - 28 / 30.44, $oil->facts->get(Property::LifeMonths)->band->best, 1e-9);
        // 16 % eugenol in a tenth of the oil's mass of cloves, all of it drawn: 1.6 % at worst.
        self::assertEqualsWithDelta(1.6, $oil->composition->constituents['eugenol']->band->high, 1e-9);
        self::assertContains(
            'daisy family',
            (new SteepYield(self::plan(), 300))->ingredient('lot-2', 'x')->precautions->allergens,
        );
    }

    public function test_refuses_what_cannot_be_steeped(): void
    {
        foreach (
            [
                fn () => self::plan('beeswax', ''),
                fn () => self::plan(in: 'water'),
                fn () => self::plan(form: 'seed'),
                fn () => self::plan(grams: 0),
                fn () => self::plan(oil: -1),
                fn () => new SteepYield(self::plan(), 0),
                fn () => new SteepYield(self::plan(), 9999),
            ] as $bad
        ) {
            try {
                $bad();
                self::fail('A steep that cannot be was taken.');
            } catch (SteepError $e) {
                self::assertNotSame('', $e->path);
            }
        }
    }

    public function test_a_steeped_oil_costs_what_went_into_it(): void
    {
        $priced = static fn (string $id, float $perKilogram) => self::catalogue()
            ->get($id)
            ->corrected(new Correction($id, '', Property::Price, Band::exact($perKilogram), 'a receipt'));
        $plan = static fn (float $olive, float $calendula): SteepPlan => self::onePlant(
            $priced('calendula', $calendula),
            'dried',
            40,
            $priced('olive-oil', $olive),
            365,
            SteepMethod::ColdDark,
            new DateTimeImmutable('2027-03-10'),
            true,
            false,
            0,
            0,
        );

        // 365 g at 10 a kilogram and 40 g at 50: 3.65 + 2.00 = 5.65 for the 300 g that came out: 18.83 a kilogram.
        $price = (new SteepYield($plan(10, 50), 300))->ingredient('lot-1', 'x')->facts->get(Property::Price);
        self::assertEqualsWithDelta(18.833, $price->band->best, 0.001);
        self::assertTrue($price->isEstimate());
        // Taken out while 301 g are still to come: the money is spread over all that will be had.
        self::assertEqualsWithDelta(
            5650 / $plan(10, 50)->recovery->yieldGrams()->best,
            (new SteepYield($plan(10, 50), 25, drawn: true))->ingredient('lot-1', 'x')->facts->get(Property::Price)
                ->band->best,
            1e-6,
        );
        // Without the price of the herb it is not known, and is not that of the oil.
        $unpriced = self::onePlant(
            self::catalogue()->get('calendula'),
            'dried',
            40,
            $priced('olive-oil', 10),
            365,
            SteepMethod::ColdDark,
            new DateTimeImmutable('2027-03-10'),
            true,
            false,
            0,
            0,
        );
        self::assertFalse((new SteepYield($unpriced, 300))->ingredient('lot-1', 'x')->facts->has(Property::Price));
    }
}
