<?php

declare(strict_types=1);

namespace Tests\Core\Steep;

use Crown\Steep\SteepAdvice;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\Straining;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

final class MethodsTest extends CoreTestCase
{
    private static function plan(
        SteepMethod $method,
        string $plant = 'rosemary',
        string $form = 'dried',
        float $oilGrams = 280,
        string $oil = 'olive-oil',
        bool $pressed = false,
    ): SteepPlan {
        return self::onePlant(
            self::catalogue()->get($plant),
            $form,
            40,
            self::catalogue()->get($oil),
            $oilGrams,
            $method,
            new DateTimeImmutable('2027-02-20'),
            true,
            $pressed,
        );
    }

    /**
     * @return iterable<string, array{SteepMethod, string, float, float}> strain day, days of age at 20 °C, per cent
     *     drawn
     */
    public static function methods(): iterable
    {
        // 2^((T-20)/10) for the age; 1 - exp(-0.082 x 1.3 x ...) for the extraction; leap-free February.
        yield 'cold and dark' => [SteepMethod::ColdDark, '2027-03-20', 28.0, 100 * (1 - exp(-0.082 * 1.3 * 28))];
        yield 'sunny sill' => [
            SteepMethod::SunnySill,
            '2027-03-27',
            35 * 2 ** 0.5 * 2,
            100 * (1 - exp(-0.082 * 1.3 * 2 ** 0.5 * 35)),
        ];
        yield 'water bath' => [SteepMethod::WaterBath, '2027-02-21', 32 / 24, 100 * (1 - exp((-0.082 * 32) / 24))];
        yield 'hot jar' => [SteepMethod::HotJar, '2027-02-21', 16 / 24, 100 * (1 - exp((-0.082 * 16) / 24))];
        yield 'direct heat' => [
            SteepMethod::DirectHeat,
            '2027-02-21',
            128 / 144,
            100 * (1 - exp((-0.082 * 128) / 144)),
        ];
    }

    #[DataProvider('methods')]
    public function test_each_school_has_its_days_age_and_extraction(
        SteepMethod $method,
        string $strain,
        float $age,
        float $drawn,
    ): void {
        $plan = self::plan($method);

        self::assertSame($strain, $plan->timeline->strainDay()->format('Y-m-d'));
        self::assertEqualsWithDelta($age, $plan->ageing->spentDays()->best, 1e-6);
        self::assertEqualsWithDelta($drawn, $plan->extraction->atStraining()->best, 1e-6);
        self::assertLessThan($plan->extraction->atStraining()->high, $plan->extraction->atStraining()->low);
    }

    public function test_powder_draws_faster_than_leaf_and_keeps_less_oil(): void
    {
        $leaf = self::plan(SteepMethod::WaterBath);
        $powder = self::plan(SteepMethod::WaterBath, form: 'powder');

        self::assertGreaterThan($leaf->extraction->atStraining()->best, $powder->extraction->atStraining()->best);
        self::assertEqualsWithDelta(280 - 40 * 1.3, $powder->recovery->yieldGrams()->best, 1e-9);
        self::assertSame('2027-02-23', $powder->timeline->readyDay()->format('Y-m-d'), 'two days to settle');
        self::assertStringContainsString('36 to 48 hours', Straining::inShort($powder));
        self::assertStringContainsString(
            'Do not press',
            Straining::inShort(self::plan(SteepMethod::WaterBath, form: 'fresh')),
        );
    }

    /**
     * @return iterable<string, array{SteepPlan, list<string>, list<string>}> codes that must stand, and that must not
     */
    public static function warned(): iterable
    {
        yield 'all in order' => [
            self::plan(SteepMethod::ColdDark),
            [],
            ['steep.ratio', 'steep.heat', 'steep.fresh', 'steep.light', 'steep.rags', 'steep.press'],
        ];
        yield 'too little oil' => [self::plan(SteepMethod::ColdDark, oilGrams: 60), ['steep.ratio'], []];
        yield 'too much oil' => [self::plan(SteepMethod::ColdDark, oilGrams: 900), ['steep.ratio'], []];
        yield 'heat' => [self::plan(SteepMethod::DirectHeat), ['steep.heat'], ['steep.fresh']];
        yield 'sun' => [self::plan(SteepMethod::SunnySill), ['steep.light'], []];
        yield 'a drying oil' => [self::plan(SteepMethod::ColdDark, oil: 'flaxseed-oil'), ['steep.rags'], []];
        yield 'fresh, cold' => [
            self::plan(SteepMethod::ColdDark, form: 'fresh', oilGrams: 120),
            ['steep.fresh', 'steep.fresh-cold'],
            ['steep.heat'],
        ];
        yield 'fresh, heated' => [
            self::plan(SteepMethod::WaterBath, form: 'fresh', oilGrams: 120),
            ['steep.fresh', 'steep.heat'],
            ['steep.fresh-cold'],
        ];
        yield 'a powder pressed' => [
            self::plan(SteepMethod::ColdDark, form: 'powder', oilGrams: 440, pressed: true),
            ['steep.press'],
            ['steep.ratio'],
        ];
        yield 'a leaf pressed' => [self::plan(SteepMethod::ColdDark, pressed: true), [], ['steep.press']];
    }

    /**
     * @param  list<string>  $must
     * @param  list<string>  $mustNot
     */
    #[DataProvider('warned')]
    public function test_warnings_stand_where_they_must(SteepPlan $plan, array $must, array $mustNot): void
    {
        $codes = array_map(static fn (SteepAdvice $a): string => $a->code, SteepAdvice::on($plan, []));

        self::assertSame([], array_diff($must, $codes));
        self::assertSame([], array_intersect($mustNot, $codes));
    }

    public function test_sun_on_a_polyunsaturated_oil_weighs_more(): void
    {
        $severity = static fn (string $oil): string => array_values(
            array_filter(
                SteepAdvice::on(self::plan(SteepMethod::SunnySill, oil: $oil), []),
                static fn (SteepAdvice $a): bool => $a->code === 'steep.light',
            ),
        )[0]->severity->value;

        self::assertSame('note', $severity('olive-oil'));
        self::assertSame('caution', $severity('grapeseed-oil'));
    }

    public function test_pressing_gets_more_out(): void
    {
        self::assertEqualsWithDelta(
            280 - 40 * 0.8,
            self::plan(SteepMethod::ColdDark, pressed: true)->recovery->yieldGrams()->best,
            1e-9,
        );
        self::assertEqualsWithDelta(
            280 - 40 * 1.6,
            self::plan(SteepMethod::ColdDark)->recovery->yieldGrams()->best,
            1e-9,
        );
    }

    public function test_what_the_maker_says_of_heat_and_time_counts(): void
    {
        $plan = self::onePlant(
            self::catalogue()->get('rosemary'),
            'dried',
            40,
            self::catalogue()->get('olive-oil'),
            280,
            SteepMethod::WaterBath,
            new DateTimeImmutable('2027-02-20'),
            celsius: 80,
            minutes: 120,
        );

        // Two hours at 80 °C: 2 x 2^6 = 128 hours.
        self::assertEqualsWithDelta(128 / 24, $plan->ageing->spentDays()->best, 1e-9);
    }
}
