<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Assessment\Experience;
use Crown\Assessment\Shift;
use Crown\Assessment\Whipping;
use Crown\Formula\Formula;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Formula\Step;
use Crown\Measure\Kitchen;
use Tests\Core\CoreTestCase;

/** Whipped butters fill their jars by volume: the air is in the jars too. */
final class WhippedJarsTest extends CoreTestCase
{
    private static function butter(ProductKind $kind = ProductKind::WhippedButter): Formula
    {
        return self::formula(['shea-butter' => '70 %', 'sunflower-oil-high-oleic' => '30 %'], $kind)
            ->withSize(Size::jars(8, 237.0));
    }

    private static function grams(Formula $formula, ?Experience $experience = null): float
    {
        $context = new Context(
            self::catalogue(),
            new Kitchen(),
            experience: $experience ?? new Experience([], [], []),
        );

        return Assessor::standard()->assess($formula, $context)->subject->composition->totalGrams->best;
    }

    public function test_jars_of_a_whipped_butter_ask_for_the_mass_that_fills_them_whipped(): void
    {
        $density = self::assess(self::butter())->subject->composition->density();

        self::assertEqualsWithDelta(
            8 * 237 * 1.03 * $density / 1.8 / 0.96,
            self::grams(self::butter()),
            0.01,
        );
        self::assertEqualsWithDelta(1034.0, self::grams(self::butter()), 3.0);
    }

    public function test_the_minutes_of_its_own_method_count(): void
    {
        $butter = self::butter()->withSteps([
            new Step('Whip 10 minutes.', 'whip', 10.0),
            new Step('Freeze.', 'chill', 20.0),
            new Step('Whip 20 minutes.', 'whip', 20.0),
        ]);
        $density = self::assess($butter)->subject->composition->density();

        // 30 minutes in all leave 0.8 x 3 e^-2 of air.
        self::assertEqualsWithDelta(
            8 * 237 * 1.03 * $density / (1 + 0.8 * 3 * exp(-2)) / 0.96,
            self::grams($butter),
            0.01,
        );
    }

    public function test_what_is_not_whipped_or_takes_no_air_fills_them_by_itself(): void
    {
        $density = self::assess(self::butter())->subject->composition->density();
        self::assertEqualsWithDelta(
            8 * 237 * 1.03 * $density / 0.96,
            self::grams(self::butter(ProductKind::StirredButter)),
            0.01,
        );

        $soft = self::formula(['olive-oil' => '100 %'], ProductKind::WhippedButter)->withSize(Size::jars(1, 100.0));
        self::assertGreaterThan(90.0, self::grams($soft), 'an oil holds no air, whatever it is called');
    }

    public function test_the_studios_own_air_counts(): void
    {
        $half = new Experience([], ['butter' => Shift::from([0.125], 0.2, 2.0)], []);

        self::assertEqualsWithDelta(
            self::grams(self::butter()) * 1.8 / 1.4,
            self::grams(self::butter(), $half),
            0.01,
        );
    }

    public function test_a_mass_is_a_mass_whipped_or_not(): void
    {
        self::assertEqualsWithDelta(500.0, self::grams(self::butter()->withSize(Size::mass(500.0))), 1e-9);
    }

    public function test_air_is_worked_out_from_full_jars(): void
    {
        self::assertEqualsWithDelta(79.2, Whipping::found(237.0, 121.0, 0.915) ?? 0.0, 0.05);
        self::assertNull(Whipping::found(237.0, 230.0, 0.915), 'not full');
        self::assertNull(Whipping::found(0.0, 230.0, 0.915));
        self::assertNull(Whipping::found(237.0, 0.0, 0.915));
    }
}
