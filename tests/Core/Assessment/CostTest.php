<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Assessor;
use Crown\Assessment\Composition;
use Crown\Assessment\Context;
use Crown\Assessment\Cost;
use Crown\Catalogue\CatalogueError;
use Crown\Catalogue\Correction;
use Crown\Formula\Formula;
use Crown\Measure\Band;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Solving\Design;
use Crown\Solving\SolveError;
use Crown\Solving\Wish;
use Crown\Solving\Wished;
use Tests\Core\CoreTestCase;

final class CostTest extends CoreTestCase
{
    /** @param  array<string, float>  $perKilogram */
    private static function priced(array $perKilogram): Context
    {
        $prices = array_map(
            static fn (string $id, float $price): Correction => new Correction(
                $id,
                '',
                Property::Price,
                Band::exact($price),
                'a receipt',
            ),
            array_keys($perKilogram),
            $perKilogram,
        );

        return new Context(self::catalogue()->corrected(...$prices), new Kitchen(scaleGrams: 1.0));
    }

    /** @param  array<string, float>  $perKilogram */
    private static function design(Formula $formula, array $perKilogram): Design
    {
        $context = self::priced($perKilogram);

        return new Design(Assessor::standard()->assess($formula, $context)->subject, $context->catalogue, [
            new Wished(Wish::Cheaper),
        ]);
    }

    public function test_grams_times_price_with_the_band_of_the_grams(): void
    {
        $cost = Cost::of(
            Composition::of(
                self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g']),
                self::priced(['shea-butter' => 18.0, 'olive-oil' => 9.0]),
            ),
        );

        // 60 g x 18 + 40 g x 9 = 1.44; half a gram of the scale either way on each.
        self::assertEqualsWithDelta(1.44, $cost->known->best, 1e-9);
        self::assertEqualsWithDelta(1.44 + 0.5 * 0.027, $cost->known->high, 1e-9);
        self::assertEqualsWithDelta(1.44, $cost->perHundredGrams(), 1e-9);
        self::assertEqualsWithDelta(1.08, $cost->byLine['l1']->best, 1e-9);
        self::assertSame([], $cost->unpriced);
    }

    public function test_what_has_no_price_is_not_guessed_and_water_is_free(): void
    {
        $cost = Cost::of(
            Composition::of(
                self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g', 'water' => '10 g']),
                self::priced(['shea-butter' => 18.0]),
            ),
        );

        self::assertSame(['l2'], array_map(static fn ($p): string => $p->line->id, $cost->unpriced));
        self::assertEqualsWithDelta(1.08, $cost->known->best, 1e-9);
    }

    public function test_a_price_is_a_price(): void
    {
        $this->expectException(CatalogueError::class);
        self::priced(['olive-oil' => -1.0]);
    }

    public function test_cheaper_takes_more_of_what_is_cheap_and_no_stand_in_without_a_price(): void
    {
        $formula = self::formula(['jojoba-oil' => '50 g', 'olive-oil' => '50 g']);
        $design = self::design($formula, ['jojoba-oil' => 60.0, 'olive-oil' => 9.0]);
        $demands = $design->requirements();
        $answer = $design->answer($demands);

        // 3.45 for 100 g now; 0.86 of it is 2.97: jojoba x 0.06 + (100 - jojoba) x 0.009 = 2.97 gives 40.6 %.
        self::assertEqualsWithDelta(2.97, $demands[0]->between->most, 1e-9);
        self::assertSame('optimal', $answer->status);
        self::assertEqualsWithDelta((2.97 - 0.9) / 0.051, $answer->shares['jojoba-oil'], 1e-3);
        self::assertSame(['jojoba-oil', 'olive-oil'], array_keys($answer->shares));
    }

    public function test_cheaper_asks_for_the_prices_it_lacks(): void
    {
        $this->expectException(SolveError::class);
        $this->expectExceptionMessage('Olive oil');
        $formula = self::formula(['jojoba-oil' => '50 g', 'olive-oil' => '50 g']);
        self::design($formula, ['jojoba-oil' => 60.0])->requirements();
    }
}
