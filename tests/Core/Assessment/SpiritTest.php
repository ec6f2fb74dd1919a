<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\FigureName;
use Crown\Assessment\Severity;
use Crown\Assessment\Store;
use Crown\Assessment\WaterCap;
use Crown\Assessment\WaterClass;
use Crown\Assessment\WaterPlan;
use Tests\Core\CoreTestCase;

/** Alcohol keeps water where there is enough of it, and burns. */
final class SpiritTest extends CoreTestCase
{
    public function test_a_fifth_of_alcohol_by_volume_keeps_the_water(): void
    {
        $assessment = self::assess(self::formula(['vodka' => '60 g', 'rosemary-tea' => '40 g']));

        self::assertSame(WaterClass::Spirit, $assessment->subject->water->class);
        self::assertNotContains('water.free', self::codes($assessment));
        self::assertNotContains('preservative.missing', self::codes($assessment));
        $finding = self::finding($assessment, 'water.spirit');
        self::assertSame(Severity::Caution, $finding->severity);
        self::assertStringContainsString('catches fire', $finding->message());
        self::assertEqualsWithDelta(60 * 0.31, $finding->figure(FigureName::Alcohol)->best, 0.5);
        self::assertSame(WaterCap::SPIRIT_MONTHS, $assessment->subject->life->months->best);
        self::assertSame(
            ['Water held by alcohol: 12 months at most, tightly closed.'],
            $assessment->subject->life->reasons,
        );
        self::assertStringStartsWith(
            'Nothing more',
            (new WaterPlan($assessment->subject, self::catalogue()))->next()[0],
        );
    }

    public function test_less_keeps_nothing(): void
    {
        $assessment = self::assess(self::formula(['vodka' => '30 g', 'rosemary-tea' => '70 g']));

        self::assertSame(WaterClass::Free, $assessment->subject->water->class);
        self::assertContains('water.free', self::codes($assessment));
        self::assertEqualsWithDelta(7 / 30.44, $assessment->subject->life->months->best, 1e-9);
        self::assertSame(Store::Fridge, $assessment->subject->life->store, 'the cap of water, though no oil is in it');
    }

    public function test_the_alcohol_is_counted_at_its_least_and_the_water_at_its_most(): void
    {
        $class = static fn (float $vodka): WaterClass => self::assess(
            self::formula(['vodka' => "$vodka g", 'water' => (100 - $vodka).' g']),
        )->subject->water->class;

        self::assertSame(WaterClass::Spirit, $class(56.0));
        self::assertSame(WaterClass::Free, $class(52.0));
    }
}
