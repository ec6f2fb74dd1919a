<?php

declare(strict_types=1);

namespace Tests\Core\Solving;

use Crown\Assessment\Assessor;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\ProductKind;
use Crown\Measure\Property;
use Crown\Solving\SolveError;
use Crown\Solving\Swap;
use Tests\Core\CoreTestCase;

final class SwapTest extends CoreTestCase
{
    private static function butter(): Formula
    {
        return self::formula(
            ['shea-butter' => '55 g', 'sweet-almond-oil' => '40 g', 'beeswax' => '4 g', 'vitamin-e' => '1 g'],
            ProductKind::StirredButter,
        );
    }

    /** @return list<Swap> */
    private static function swaps(Formula $formula, string $line, int $most = 5): array
    {
        return Swap::of(self::assess($formula), $line, self::catalogue(), Assessor::standard(), $most);
    }

    public function test_an_oil_for_an_oil_leaves_texture_and_weight_about_as_they_were(): void
    {
        $now = self::assess(self::butter());
        $swaps = self::swaps(self::butter(), 'l2');

        self::assertCount(5, $swaps);
        $held = 0;
        foreach ($swaps as $swap) {
            $then = $swap->assessment->subject;
            self::assertEqualsWithDelta(
                $now->subject->texture->solids(25.0)->best,
                $then->texture->solids(25.0)->best,
                max(1.0, $now->subject->texture->solids(25.0)->best * 0.1) + 0.1,
            );
            // Among fats that are all richer no lighter blend can be found: then the texture alone is held.
            if ($swap->standIn->ingredient->facts->best(Property::Weight, 5.0) < (float) $now->subject->heaviness()) {
                self::assertEqualsWithDelta((float) $now->subject->heaviness(), (float) $then->heaviness(), 0.16);
                $held++;
            }
            self::assertNotContains(
                'sweet-almond-oil',
                array_map(static fn (Line $l): string => $l->ingredient, $swap->formula->lines),
            );
            self::assertContains(
                $swap->standIn->ingredient->id,
                array_map(static fn (Line $l): string => $l->ingredient, $swap->formula->lines),
            );
        }
        self::assertGreaterThanOrEqual(3, $held);
    }

    public function test_a_butter_for_a_butter_moves_the_other_shares(): void
    {
        $moved = array_values(
            array_filter(self::swaps(self::butter(), 'l1'), static fn (Swap $s): bool => $s->rebalanced),
        );

        self::assertNotSame([], $moved, 'no butter is so like shea that nothing has to move');
        foreach ($moved as $swap) {
            $shares = array_sum(
                array_map(static fn ($p): float => $p->share->best, $swap->assessment->subject->composition->counted()),
            );
            self::assertEqualsWithDelta(1.0, $shares, 1e-9);
            self::assertNull($swap->assessment->subject->composition->sharesPercent, 'the shares close');
            // What takes a place takes at least half of it.
            $taken = array_filter(
                $swap->assessment->subject->composition->counted(),
                static fn ($p): bool => $p->ingredient->id === $swap->standIn->ingredient->id,
            );
            $share = array_sum(array_map(static fn ($p): float => $p->percent(), $taken));
            self::assertGreaterThanOrEqual(27.4, $share);
        }
    }

    public function test_a_locked_line_and_what_is_no_fat_stay(): void
    {
        $formula = self::butter();
        $wax = $formula->lines[2];
        $locked = $formula->replacing(
            new Line($wax->id, $wax->ingredient, $wax->name, $wax->amount, $wax->form, $wax->phase, true),
        );
        foreach (self::swaps($locked, 'l1') as $swap) {
            foreach ($swap->assessment->subject->composition->counted() as $portion) {
                if (in_array($portion->ingredient->id, ['beeswax', 'vitamin-e'], true)) {
                    self::assertEqualsWithDelta(
                        $portion->ingredient->id === 'beeswax' ? 4.0 : 1.0,
                        $portion->percent(),
                        0.02,
                    );
                }
            }
        }
    }

    public function test_a_nut_that_goes_is_said(): void
    {
        $said = array_merge(...array_map(static fn (Swap $s): array => $s->words(), self::swaps(self::butter(), 'l2')));

        self::assertContains('No tree nut any more.', $said);
    }

    public function test_an_allergen_that_comes_is_said(): void
    {
        $words = [];
        $oil = self::formula(['sunflower-oil-high-oleic' => '60 g', 'jojoba-oil' => '40 g']);
        foreach (self::swaps($oil, 'l1', 12) as $swap) {
            $words[$swap->standIn->ingredient->id] = implode(' ', $swap->words());
        }
        $nuts = array_filter(
            $words,
            static fn (string $id): bool => in_array(
                'tree nut',
                self::catalogue()->get($id)->precautions->allergens,
                true,
            ),
            ARRAY_FILTER_USE_KEY,
        );

        self::assertNotSame([], $nuts);
        foreach ($nuts as $said) {
            self::assertStringContainsString('Brings an allergen: tree nut.', $said);
        }
    }

    public function test_nearest_first(): void
    {
        $rank = array_map(
            // What is had more easily is put before what is as near.
            static fn (Swap $s): float => $s->standIn->nearness + 0.05 * ($s->standIn->ingredient->common - 1),
            self::swaps(self::butter(), 'l1'),
        );
        $sorted = $rank;
        rsort($sorted);

        self::assertSame($sorted, $rank);
    }

    public function test_a_formula_with_something_unknown_in_it_is_swapped_without_moving_the_rest(): void
    {
        $formula = self::formula(['olive-oil' => '40 g', 'grandmother\'s paste' => '5 g']);
        foreach (self::swaps($formula, 'l1') as $swap) {
            self::assertFalse($swap->rebalanced);
            self::assertSame(
                ['40 g', '5 g'],
                array_map(static fn (Line $l): string => $l->amount->text, $swap->formula->lines),
            );
        }
    }

    public function test_beside_a_line_without_an_amount_no_share_is_moved(): void
    {
        foreach (['a pinch more', ''] as $amount) {
            $formula = self::formula(['shea-butter' => '40 g', 'coconut-oil' => '20 g', 'castor-oil' => $amount]);
            foreach (self::swaps($formula, 'l1') as $swap) {
                self::assertFalse($swap->rebalanced);
                self::assertSame(
                    ['40 g', '20 g', $amount],
                    array_map(static fn (Line $l): string => $l->amount->text, $swap->formula->lines),
                );
            }
        }
    }

    public function test_a_line_that_is_nothing_in_particular_has_no_stand_in(): void
    {
        $this->expectException(SolveError::class);
        $this->expectExceptionMessage('a line whose ingredient is in the catalogue');
        self::swaps(self::formula(['grandmother\'s paste' => '5 g']), 'l1');
    }
}
