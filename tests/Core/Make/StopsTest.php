<?php

declare(strict_types=1);

namespace Tests\Core\Make;

use Crown\Formula\Audience;
use Crown\Make\Actuals;
use Crown\Make\MakeError;
use Crown\Make\MakeSheet;
use Crown\Make\Put;
use Crown\Make\Stops;
use Crown\Make\Weighing;
use Tests\Core\CoreTestCase;

/** What the bench stops at is stopped at the counter. */
final class StopsTest extends CoreTestCase
{
    private const SAFE = ['olive-oil' => '99 g', 'lavender-eo' => '0.5 g'];

    private const STRONG = ['olive-oil' => '90 g', 'lavender-eo' => '10 g'];

    public function test_nothing_is_asked_where_nothing_stops(): void
    {
        $this->expectNotToPerformAssertions();
        $safe = self::assess(self::formula(self::SAFE));
        Stops::decide($safe, Stops::open($safe), '');
    }

    public function test_a_stop_wants_a_reason_and_says_what_it_is(): void
    {
        $strong = self::assess(self::formula(self::STRONG));
        $stops = Stops::open($strong);
        self::assertSame('load.total', $stops[0]->code);
        Stops::decide($strong, $stops, 'Thinned before it is used.');
        foreach (['', '  '] as $none) {
            try {
                Stops::decide($strong, $stops, $none);
                self::fail('made without a reason');
            } catch (MakeError $e) {
                self::assertSame(['although', 'stopped'], [$e->path, $e->cause]);
                self::assertStringContainsString('the ceiling for "Adult, stays in the hair" is 2 %', $e->getMessage());
            }
        }
    }

    public function test_for_a_child_no_reason_is_enough(): void
    {
        $childs = self::assess(self::formula(self::STRONG, audience: Audience::Child2To6));

        try {
            Stops::decide($childs, Stops::open($childs), 'She likes it.');
            self::fail('made for a child');
        } catch (MakeError $e) {
            self::assertSame('never-made', $e->cause);
        }
    }

    public function test_what_was_weighed_is_judged_beside_what_was_planned(): void
    {
        $planned = self::assess(self::formula(self::SAFE));
        $grams = static fn (float $oil): array => [
            'l1' => Put::weighed(99.0),
            'l2' => Put::weighed($oil),
        ];
        $anew = static fn (float $oil): array => Stops::anew(
            self::assess(Actuals::of($planned->subject->formula(), $grams($oil))),
            $planned,
        );

        self::assertSame([], $anew(0.5));
        self::assertSame('load.total', $anew(8.0)[0]->code);
        // What was decided about at the beginning is not asked again.
        $strong = self::assess(self::formula(self::STRONG));
        self::assertSame([], Stops::anew($strong, $strong));
    }

    public function test_a_line_is_off_by_a_tenth_at_most_and_an_essential_oil_by_a_drop(): void
    {
        $sheet = new MakeSheet(
            self::assess(self::formula(['olive-oil' => '500 g', 'jojoba-oil' => '4 g', 'lavender-eo' => '0.065 g'])),
            1.0,
        );
        $tolerances = array_map(static fn (Weighing $w): float => round($w->toleranceGrams, 4), $sheet->weighings());

        self::assertSame([5.0, 0.4, 0.0065], $tolerances);
        self::assertFalse($sheet->weighings()[2]->isWithin(1.0));
        self::assertSame(0.032, $sheet->tolerance(12.0, true));
        self::assertSame(1.0, $sheet->tolerance(12.0));
    }
}
