<?php

declare(strict_types=1);

namespace Tests\Core\Steep;

use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Assessment\Severity;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Making;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Measure\Kitchen;
use Crown\Measure\WrittenAmount;
use Crown\Problem;
use Crown\Steep\Pour;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepYield;
use DateTimeImmutable;
use Tests\Core\CoreTestCase;

/** The oil of a jar that still stands, as an ingredient: it can be planned with, and not made of. */
final class AwaitedTest extends CoreTestCase
{
    private static function jar(): SteepPlan
    {
        return self::onePlant(
            self::catalogue()->get('nettle'),
            'dried',
            40.0,
            self::catalogue()->get('olive-oil'),
            300.0,
            SteepMethod::ColdDark,
            new DateTimeImmutable('2026-05-01'),
        );
    }

    private static function with(Ingredient $oil): Catalogue
    {
        return self::catalogue()->making(
            new Making('steep-1', 'Nettle in olive', static fn (): Ingredient => $oil),
            new Making('lot-9', 'Strained', static fn (): Ingredient => $oil),
        );
    }

    public function test_the_bench_says_when_it_can_be_strained_and_no_reason_outweighs_that(): void
    {
        $yield = SteepYield::awaited(self::jar());
        $oil = $yield->ingredient('steep-1', 'Nettle in olive');
        self::assertEqualsWithDelta(self::jar()->recovery->yieldGrams()->best, $yield->grams(), 1e-9);
        $formula = self::formula(['vitamin-e' => '1 g']);
        $formula = $formula->withLines([
            new Line('l0', 'steep-1', 'Nettle in olive', new WrittenAmount('99 g'), '', Phase::Warm),
            ...$formula->lines,
        ]);
        $assessment = Assessor::standard()->assess($formula, new Context(self::with($oil), new Kitchen()));
        $finding = self::finding($assessment, 'lot.awaited');

        self::assertSame(Severity::Stop, $finding->severity);
        self::assertFalse($assessment->decision($finding)->acceptable);
        self::assertSame(
            'Nettle in olive still stands on its plants. It can be strained on 29 May 2026. Until then its figures are '
                .'expected, none is measured.',
            $finding->message(),
        );
    }

    public function test_it_is_not_among_what_can_be_chosen_and_no_other_plant_stands_in_it(): void
    {
        $awaited = SteepYield::awaited(self::jar())->ingredient('steep-1', 'Nettle in olive');
        self::assertArrayNotHasKey('steep-1', self::with($awaited)->all());
        self::assertSame('steep-1', self::with($awaited)->get('steep-1')->id);
        try {
            new Pour($awaited, 10.0, new DateTimeImmutable('2026-05-01'));
            self::fail('It was poured.');
        } catch (Problem $e) {
            self::assertSame('Nettle in olive still stands on its own plants. Strain it first.', $e->getMessage());
        }
    }

    public function test_once_strained_it_is_the_oil_that_came_out_and_stands_once(): void
    {
        $had = (new SteepYield(self::jar(), 250.0))->ingredient('lot-9', 'Strained');
        $all = self::with($had);

        self::assertSame('lot-9', $all->get('steep-1')->id);
        self::assertNull($had->provenance->awaited);
        self::assertSame(1, count(array_filter($all->all(), static fn (Ingredient $i): bool => $i->id === 'lot-9')));
    }

    public function test_a_jar_that_was_given_up_gives_nothing_to_wait_for(): void
    {
        $oil = SteepYield::awaited(self::jar(), 'mould')->ingredient('steep-1', 'Nettle in olive');

        self::assertNull($oil->provenance->awaited);
        self::assertSame('mould', $oil->provenance->withdrawn);
    }
}
