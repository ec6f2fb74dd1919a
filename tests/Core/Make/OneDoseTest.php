<?php

declare(strict_types=1);

namespace Tests\Core\Make;

use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\ProductKind;
use Crown\Make\MakeSheet;
use Crown\Make\OneDose;
use Crown\Make\Weighing;
use Tests\Core\CoreTestCase;

final class OneDoseTest extends CoreTestCase
{
    public function test_it_is_as_much_as_one_use_takes(): void
    {
        $dose = self::dose(self::formula(['olive-oil' => '300 g'], ProductKind::HotOil));

        self::assertEqualsWithDelta(25.0, self::assess($dose)->subject->composition->totalGrams->best, 1e-6);
        self::assertSame(25.0, ProductKind::HotOil->usualUse());
        foreach (ProductKind::cases() as $kind) {
            self::assertGreaterThan(0.0, $kind->usualUse());
            self::assertLessThanOrEqual(30.0, $kind->usualUse());
        }
    }

    public function test_that_it_does_not_keep_is_no_reason_against_it_and_all_else_is(): void
    {
        $water = self::dose(self::formula(['olive-oil' => '60 g', 'water' => '40 g']));
        self::assertSame(OneDose::WHY, OneDose::although(self::assess($water)));
        self::assertNull(OneDose::although(self::assess(self::dose(self::formula(['olive-oil' => '60 g'])))));
        $strong = self::dose(self::formula(
            ['olive-oil' => '60 g', 'water' => '40 g', 'peppermint-eo' => '10 g'],
            audience: Audience::Child2To6,
        ));
        self::assertNull(OneDose::although(self::assess($strong)));
    }

    private static function dose(Formula $formula): Formula
    {
        return OneDose::of($formula, new MakeSheet(self::assess($formula)));
    }

    public function test_no_drop_is_halved(): void
    {
        // Two drops each in 30 g: a use of 6 g would ask for 0.4 of a drop; in 15 g it is one.
        $two = ['olive-oil' => '30 g', 'rosemary-eo' => '2 drops', 'lavender-eo' => '2 drops'];
        self::assertEqualsWithDelta(15.0, self::dose(self::formula($two))->size->grams, 0.1);
        // One drop beside two: nothing less than all of it.
        $one = ['olive-oil' => '30 g', 'rosemary-eo' => '2 drops', 'lavender-eo' => '1 drop'];
        self::assertEqualsWithDelta(30.0, self::dose(self::formula($one))->size->grams, 0.2);
        // Of sixty drops a fifth is twelve.
        $many = ['olive-oil' => '30 g', 'rosemary-eo' => '60 drops'];
        self::assertEqualsWithDelta(6.0, self::dose(self::formula($many))->size->grams, 0.2);
    }

    public function test_a_dose_is_never_stronger_than_what_is_written(): void
    {
        mt_srand(69);
        for ($n = 0; $n < 60; $n++) {
            $of = ['olive-oil' => mt_rand(10, 90).' g'];
            foreach (['rosemary-eo', 'lavender-eo', 'peppermint-eo'] as $scent) {
                $of[$scent] = mt_rand(1, 30).' drops';
            }
            $formula = self::formula($of);
            $dose = self::dose($formula);
            $share = static function (Formula $f): array {
                $shares = [];
                $weighings = (new MakeSheet(self::assess($f)))->weighings();
                $all = array_sum(array_map(static fn (Weighing $w): float => $w->asAsked()->grams, $weighings));
                foreach ($weighings as $weighing) {
                    $shares[(string) $weighing->ingredient] = $weighing->asAsked()->grams / $all;
                }

                return $shares;
            };
            [$written, $made] = [$share($formula), $share($dose)];
            foreach ($written as $ingredient => $one) {
                self::assertLessThanOrEqual($one * 1.12, $made[$ingredient], (string) json_encode($of));
            }
        }
    }
}
