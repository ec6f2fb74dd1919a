<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Assessment;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\WaterClass;
use Crown\Assessment\WithoutScale;
use Crown\Formula\FormulaError;
use Crown\Formula\ProductKind;
use Crown\Measure\Amount;
use Crown\Measure\Duration;
use Crown\Measure\Property;
use Crown\Pantry\Paid;
use Crown\Pantry\Planned;
use Crown\Pantry\WrittenDate;
use Crown\Solving\Candidate;
use Crown\Solving\Goal;
use Crown\Solving\Requirements;
use Crown\Solving\SolveError;
use Crown\Solving\Solver;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** Rules that speak of a figure, on both sides of it. */
final class LimitsAtTheirEdgeTest extends CoreTestCase
{
    /** @return iterable<string, array{string, string, string, WaterClass}> 2 % of the whole, and 4 % of the water */
    public static function emulsions(): iterable
    {
        yield 'two per cent' => ['40 g', '2 g', '58 g', WaterClass::Emulsion];
        yield 'less' => ['40 g', '1.9 g', '58.1 g', WaterClass::Free];
        yield 'a 25th of the water' => ['75 g', '3 g', '22 g', WaterClass::Emulsion];
        yield 'under it' => ['75 g', '2.9 g', '22.1 g', WaterClass::Free];
    }

    #[DataProvider('emulsions')]
    public function test_an_emulsifier_holds_from_its_share_on(
        string $water,
        string $emulsifier,
        string $oil,
        WaterClass $class,
    ): void {
        $formula = self::formula(
            ['water' => $water, 'emulsifying-wax' => $emulsifier, 'olive-oil' => $oil],
            ProductKind::Emulsion,
        );

        self::assertSame($class, self::assess($formula, 0.001)->subject->water->class);
    }

    public function test_a_bottle_is_ten_to_three_hundred_millimetres_wide(): void
    {
        $assessment = self::assess(self::formula(['olive-oil' => '50 g', 'jojoba-oil' => '50 g']));
        $without = WithoutScale::of($assessment->subject->composition, $assessment->subject->context->kitchen);

        self::assertCount(2, $without->strip(10.0));
        self::assertCount(2, $without->strip(300.0));
        foreach ([9.9, 300.1] as $beyond) {
            try {
                $without->strip($beyond);
                self::fail("$beyond mm is no bottle.");
            } catch (FormulaError $e) {
                self::assertSame('bottle_mm', $e->path);
            }
        }
    }

    public function test_too_many_ingredients_or_too_many_demands_are_refused_each_by_itself(): void
    {
        $olive = new Candidate(self::catalogue()->get('olive-oil'), 0.0, 100.0, 0.0);
        $demand = Requirements::written('weight', 1, 5);
        $ask = static fn (int $candidates, int $demands): mixed => Solver::solve(
            array_fill(0, $candidates, $olive),
            array_fill(0, $demands, $demand),
            [Goal::Nearest],
        );
        foreach ([[Solver::MOST_CANDIDATES + 1, 1], [1, Solver::MOST_REQUIREMENTS + 1]] as [$candidates, $demands]) {
            try {
                $ask($candidates, $demands);
                self::fail("$candidates and $demands were taken.");
            } catch (SolveError $e) {
                self::assertSame('ingredients', $e->path);
            }
        }
        self::assertSame('optimal', $ask(1, Solver::MOST_REQUIREMENTS)->status);
    }

    public function test_less_than_a_twentieth_of_a_gram_is_nothing(): void
    {
        $wanted = static fn (string $amount): Planned => Planned::of(
            [self::assess(self::formula(['vitamin-e' => $amount, 'olive-oil' => '50 g']), 0.001)->subject->composition],
            ['vitamin-e'],
            10.0,
        );

        self::assertStringStartsWith('Nothing', $wanted('0.04 g')->words());
        self::assertStringStartsWith('What is being made', $wanted('0.06 g')->words());
    }

    public function test_oils_that_burn_in_the_sun_may_come_to_the_whole_of_what_is_allowed_and_no_more(): void
    {
        $together = static fn (string $lime): array => array_filter(
            self::assess(
                self::formula(['lemon-expressed-eo' => '1 g', 'lime-expressed-eo' => $lime, 'olive-oil' => '98.65 g']),
                0.001,
            )->findings,
            static fn (Finding $f): bool => $f->code === 'phototoxic.together',
        );

        // Half of what is allowed of lemon; of lime (0.7 %) a little less, and a little more, than the other half.
        self::assertSame([], $together('0.33 g'));
        self::assertNotSame([], $together('0.38 g'));
    }

    public function test_money_is_foreign_where_both_are_named_and_differ(): void
    {
        self::assertTrue(Paid::isForeign('USD', 'EUR'));
        foreach ([['EUR', 'EUR'], ['', 'EUR'], ['USD', ''], ['', '']] as [$paid, $own]) {
            self::assertFalse(Paid::isForeign($paid, $own), "$paid beside $own");
        }
    }

    public function test_a_number_is_written_as_finely_as_it_is_small(): void
    {
        $written = array_map(Amount::number(...), [0.12345, 1.2345, 12.345, 123.45]);

        self::assertSame(['0.123', '1.23', '12.35', '123.5'], $written);
    }

    public function test_oils_that_burn_in_the_sun_are_counted_together_in_hundredths_of_what_is_allowed(): void
    {
        $assessment = self::assess(
            self::formula(['lemon-expressed-eo' => '1.4 g', 'lime-expressed-eo' => '0.5 g', 'olive-oil' => '98.1 g']),
            0.001,
        );
        $parts = static fn (Assessment $of): float => array_sum(array_map(
            static function (Portion $portion): float {
                $allowed = $portion->ingredient->facts->best(Property::PhototoxicMax, 0.0);

                return $allowed > 0.0 ? $portion->share->high * 100 / $allowed : 0.0;
            },
            $of->subject->composition->portions,
        ));

        self::assertGreaterThan(1.0, $parts($assessment));
        self::assertEqualsWithDelta(
            100 * $parts($assessment),
            self::finding($assessment, 'phototoxic.together')->figure(FigureName::PartOfPhototoxicMaximum)->best,
            1e-6,
        );
        // The largest safe amount is inside, and hardly.
        $cure = self::finding($assessment, 'phototoxic.together')->cures[0];
        $cured = self::assess($cure->change->applyTo($assessment->subject->formula(), self::catalogue()), 0.001);
        self::assertNotContains('phototoxic.together', self::codes($cured));
        self::assertEqualsWithDelta(0.97, $parts($cured), 0.03);
    }

    public function test_every_month_by_its_name_in_two_languages(): void
    {
        $today = new DateTimeImmutable('2026-11-28');
        $months = [
            ['january', 'januar'], ['february', 'februar'], ['march', 'märz'], ['april', 'april'], ['may', 'mai'],
            ['june', 'juni'], ['july', 'juli'], ['august', 'august'], ['september', 'september'],
            ['october', 'oktober'], ['november', 'november'], ['december', 'dezember'],
        ];
        foreach ($months as $n => $names) {
            foreach ($names as $name) {
                self::assertSame(
                    sprintf('2028-%02d-05', $n + 1),
                    WrittenDate::read('5 '.$name.' 2028', $today)?->format('Y-m-d'),
                    $name,
                );
            }
        }
    }

    public function test_the_minutes_after_an_hour(): void
    {
        $minutes = static fn (string $said): float => Duration::in($said)->best ?? 0.0;

        self::assertSame(90.0, $minutes('Heat it for 1 h 30.'));
        self::assertSame(90.0, $minutes('Leave it 1 hour 30 minutes, then strain.'));
        self::assertSame(60.0, $minutes('Wait 1 h, then 30 drops go in.'));
    }
}
