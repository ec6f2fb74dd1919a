<?php

declare(strict_types=1);

namespace Tests\Core\Make;

use Crown\Formula\Audience;
use Crown\Formula\ProductKind;
use Crown\Make\OneDose;
use Tests\Core\CoreTestCase;

final class OneDoseTest extends CoreTestCase
{
    public function test_it_is_as_much_as_one_use_takes(): void
    {
        $dose = OneDose::of(self::formula(['olive-oil' => '300 g'], ProductKind::HotOil));

        self::assertEqualsWithDelta(25.0, self::assess($dose)->subject->composition->totalGrams->best, 1e-6);
        self::assertSame(25.0, ProductKind::HotOil->usualUse());
        foreach (ProductKind::cases() as $kind) {
            self::assertGreaterThan(0.0, $kind->usualUse());
            self::assertLessThanOrEqual(30.0, $kind->usualUse());
        }
    }

    public function test_that_it_does_not_keep_is_no_reason_against_it_and_all_else_is(): void
    {
        $water = OneDose::of(self::formula(['olive-oil' => '60 g', 'water' => '40 g']));
        self::assertSame(OneDose::WHY, OneDose::although(self::assess($water)));
        self::assertNull(OneDose::although(self::assess(OneDose::of(self::formula(['olive-oil' => '60 g'])))));
        $strong = OneDose::of(self::formula(
            ['olive-oil' => '60 g', 'water' => '40 g', 'peppermint-eo' => '10 g'],
            audience: Audience::Child2To6,
        ));
        self::assertNull(OneDose::although(self::assess($strong)));
    }
}
