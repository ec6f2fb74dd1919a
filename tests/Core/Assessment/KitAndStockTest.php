<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Composition;
use Crown\Assessment\Context;
use Crown\Assessment\FigureName;
use Crown\Assessment\Severity;
use Crown\Assessment\Stock;
use Crown\Formula\Change;
use Crown\Formula\Formula;
use Crown\Formula\FormulaError;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Measure\Kitchen;
use Crown\Measure\MeasureError;
use Tests\Core\CoreTestCase;

/** What the kitchen and the cupboard allow. */
final class KitAndStockTest extends CoreTestCase
{
    private static function inBowl(Formula $formula, float $millilitres): Assessment
    {
        return Assessor::standard()->assess(
            $formula,
            new Context(self::catalogue(), new Kitchen(scaleGrams: 1.0, bowlMillilitres: $millilitres)),
        );
    }

    /** @param  array<string, float|null>  $atHand */
    private static function stock(Formula $formula, array $atHand): Stock
    {
        return Stock::of(Composition::of($formula, self::context()), $atHand);
    }

    public function test_whipping_needs_twice_the_volume(): void
    {
        // 400 g of olive oil at 0.914 g/ml are 438 ml: 875 ml to whip, 525 to stir.
        $whipped = self::formula(['olive-oil' => '400 g'], ProductKind::WhippedButter);
        $finding = self::finding(self::inBowl($whipped, 800.0), 'bowl.small');

        self::assertSame(Severity::Caution, $finding->severity);
        self::assertEqualsWithDelta(437.6, $finding->figure(FigureName::Volume)->best, 1.0);
        self::assertEqualsWithDelta(875.0, $finding->figure(FigureName::BowlNeeded)->best, 2.0);
        self::assertStringContainsString('Make it in 2 goes', $finding->message());
        self::assertNotContains('bowl.small', self::codes(self::inBowl($whipped, 900.0)));
    }

    public function test_stirring_needs_a_fifth_more(): void
    {
        $oil = self::formula(['olive-oil' => '400 g']);

        self::assertContains('bowl.small', self::codes(self::inBowl($oil, 500.0)));
        self::assertNotContains('bowl.small', self::codes(self::inBowl($oil, 530.0)));
    }

    public function test_the_cure_fits_the_bowl(): void
    {
        $formula = self::formula(['shea-butter' => '300 g', 'olive-oil' => '200 g'], ProductKind::WhippedButter);
        $finding = self::finding(self::inBowl($formula, 700.0), 'bowl.small');
        $less = $finding->cures[0]->change->applyTo($formula, self::catalogue());

        self::assertSame('mass', $less->size->mode);
        self::assertNotContains('bowl.small', self::codes(self::inBowl($less, 700.0)));
        self::assertGreaterThan(300.0, $less->size->grams);
    }

    public function test_a_bowl_that_is_not_known_is_not_guessed(): void
    {
        self::assertNotContains('bowl.small', self::codes(self::assess(self::formula(['olive-oil' => '9 kg']))));
        self::assertNotContains('bowl.small', self::codes(self::inBowl(self::formula([]), 10.0)));
    }

    public function test_a_bowl_that_cannot_be(): void
    {
        $this->expectException(MeasureError::class);
        $this->expectExceptionMessage('A bowl of -5 ml is not allowed; it must be above 0 and at most 100,000 ml.');
        new Kitchen(bowlMillilitres: -5.0);
    }

    public function test_a_mass_is_set_by_a_change_and_out_again_as_data(): void
    {
        $change = Change::fromArray(json_decode((string) json_encode(Change::mass(250.5)), true));
        self::assertEquals(
            Size::mass(250.5),
            $change->applyTo(self::formula(['olive-oil' => '9 g']), self::catalogue())->size,
        );

        $this->expectException(FormulaError::class);
        Change::fromArray(['op' => 'set-mass', 'value' => 'plenty'])->applyTo(self::formula([]), self::catalogue());
    }

    public function test_the_scarcest_line_limits_the_batch(): void
    {
        // 60 and 40 %. 150 g of shea allow 250 g; 90 g of olive allow 225: olive limits, and 15 g of shea remain.
        $stock = self::stock(self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g']), [
            'shea-butter' => 150.0,
            'olive-oil' => 90.0,
        ]);
        $json = $stock->jsonSerialize();

        self::assertEqualsWithDelta(225.0, $stock->largest, 1e-9);
        self::assertSame(['Olive oil'], $stock->limiting());
        self::assertSame(225.0, $json['largest_grams']);
        self::assertSame(
            [['shea-butter', 60.0, 0.0, 15.0], ['olive-oil', 40.0, 0.0, 0.0]],
            array_map(
                static fn (array $r): array => [$r['ingredient'], $r['needed'], $r['short'], $r['left_of_largest']],
                $json['rows'],
            ),
        );
    }

    public function test_what_is_short_for_this_batch(): void
    {
        $json = self::stock(self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g']), [
            'shea-butter' => 45.0,
            'olive-oil' => 90.0,
        ])->jsonSerialize();

        self::assertSame(15.0, $json['rows'][0]['short']);
        self::assertSame(75.0, $json['largest_grams']);
        self::assertSame(['Shea butter'], $json['limiting']);
    }

    public function test_two_lines_of_one_oil_draw_on_one_bottle(): void
    {
        $formula = self::formula(['shea-butter' => '50 g', 'olive-oil' => '25 g']);
        $second = self::formula(['a' => '', 'b' => '', 'olive-oil' => '25 g'])->lines[2];
        $stock = self::stock($formula->withLines([...$formula->lines, $second]), [
            'shea-butter' => 500.0,
            'olive-oil' => 100.0,
        ]);

        self::assertEqualsWithDelta(200.0, $stock->largest, 1e-9);
        self::assertCount(2, $stock->jsonSerialize()['rows']);
    }

    public function test_what_is_not_there_allows_nothing_and_what_is_there_without_an_amount_is_said(): void
    {
        $none = self::stock(self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g']), ['olive-oil' => 90.0]);
        self::assertSame(0.0, $none->largest);
        self::assertSame(['Shea butter'], $none->limiting());

        $some = self::stock(self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g']), [
            'shea-butter' => null,
            'olive-oil' => 90.0,
        ]);
        self::assertEqualsWithDelta(225.0, $some->largest, 1e-9);
        self::assertSame(['Shea butter'], $some->unknown());
        self::assertNull($some->jsonSerialize()['rows'][0]['short']);

        $unsaid = self::stock(self::formula(['olive-oil' => '40 g']), ['olive-oil' => null])->jsonSerialize();
        self::assertNull($unsaid['largest_grams']);
        self::assertSame([], $unsaid['limiting']);
    }

    public function test_tap_water_does_not_run_out(): void
    {
        $stock = self::stock(self::formula(['olive-oil' => '40 g', 'water' => '60 g']), ['olive-oil' => 80.0]);

        self::assertEqualsWithDelta(200.0, $stock->largest, 1e-9);
        self::assertEqualsWithDelta(
            100.0,
            self::stock(self::formula(['olive-oil' => '40 g', 'water' => '60 g']), [
                'olive-oil' => 80.0,
                'water' => 60.0,
            ])->largest,
            1e-9,
        );
    }

    public function test_light_on_clear_glass_halves_the_life(): void
    {
        $dark = self::formula(['olive-oil' => '100 g']);
        $clear = $dark->inClearGlass();

        self::assertEqualsWithDelta(
            self::assess($dark)->subject->life->months->best / 2,
            self::assess($clear)->subject->life->months->best,
            1e-9,
        );
        self::assertContains(
            'In clear glass in the light: half of that.',
            self::assess($clear)->subject->life->reasons,
        );
        $longer = self::assess($clear)->subject->life->longer;
        self::assertContains('In dark glass, or in a cupboard', array_column($longer, 'words'));
        self::assertNotContains(
            'In dark glass, or in a cupboard',
            array_column(self::assess($dark)->subject->life->longer, 'words'),
        );
    }
}
