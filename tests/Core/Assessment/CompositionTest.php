<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Composition;
use Crown\Assessment\Portion;
use Crown\Formula\FormulaError;
use Crown\Formula\Size;
use Tests\Core\CoreTestCase;

final class CompositionTest extends CoreTestCase
{
    /** @return list<float> grams, best */
    private static function grams(Composition $c): array
    {
        return array_map(static fn ($p): float => round($p->grams->band->best, 3), $c->portions);
    }

    public function test_shares_and_masses_mix(): void
    {
        // 45 g are the 90 % that one line of 10 % leaves: the whole is 50 g.
        $c = Composition::of(self::formula(['olive-oil' => '45 g', 'jojoba-oil' => '10 %']), self::context());

        self::assertSame([45.0, 5.0], self::grams($c));
    }

    public function test_to_fill_takes_what_is_left(): void
    {
        $c = Composition::of(
            self::formula(['shea-butter' => '30 %', 'castor-oil' => '20 g', 'olive-oil' => 'fill up to 200 g']),
            self::context(),
        );

        self::assertSame([60.0, 20.0, 120.0], self::grams($c));
    }

    /** V = sum(m/d): 20/0.958 + 0.92354/0.950 + 71.4301/0.914 = 20.877 + 0.972 + 78.151 = 100 ml. */
    public function test_filling_to_a_volume_goes_by_the_densities_of_the_lines(): void
    {
        $c = Composition::of(
            self::formula(['castor-oil' => '20 g', 'vitamin-e' => '1 %', 'olive-oil' => 'to make 100 ml']),
            self::context(),
        );

        self::assertEqualsWithDelta(
            [20.0, 0.92354, 71.4301],
            array_map(static fn (Portion $p): float => $p->grams->band->best, $c->portions),
            0.0001,
        );
        self::assertEqualsWithDelta(92.3536, $c->totalGrams->best, 0.001);
        // Filled to a mark that is known to 3 %: 92.3536 x 0.03 more, and half a gram less castor oil.
        self::assertEqualsWithDelta(71.4301 + 2.7706 + 0.5, $c->portions[2]->grams->band->high, 0.001);
    }

    public function test_equal_parts_share_the_whole(): void
    {
        $c = Composition::of(
            self::formula(['shea-butter' => '2 parts', 'castor-oil' => '1 part', 'olive-oil' => '1 part']),
            self::context(),
        );

        self::assertSame([50.0, 25.0, 25.0], self::grams($c));
    }

    public function test_what_cannot_be_placed_is_said_and_not_counted(): void
    {
        $c = Composition::of(
            self::formula([
                'shea-butter' => '50 g',
                'castor-oil' => '1 part',
                'olive-oil' => '2 tb spo',
                'jojoba-oil' => '',
                'argan-oil' => '-3 g',
            ]),
            self::context(),
        );

        self::assertSame(50.0, $c->totalGrams->best);
        self::assertStringContainsString('one part cannot be told', $c->portions[1]->problem);
        self::assertStringContainsString('could not be read', $c->portions[2]->problem);
        self::assertSame('No amount is given yet.', $c->portions[3]->problem);
        self::assertStringContainsString('negative', $c->portions[4]->problem);
    }

    public function test_shares_over_a_hundred_are_said(): void
    {
        $said = self::finding(
            self::assess(self::formula(['shea-butter' => '70 %', 'olive-oil' => '50 %'])),
            'shares.sum',
        );
        self::assertSame('The shares come to 120 %, more than the whole.', $said->message());
        $overfull = Composition::of(
            self::formula(['shea-butter' => '70 g', 'castor-oil' => '50 g', 'olive-oil' => 'fill up to 100 g']),
            self::context(),
        );
        self::assertStringContainsString('already come to 120 g', $overfull->portions[2]->problem);
    }

    public function test_scales_to_a_mass_and_to_jars(): void
    {
        $formula = self::formula(['olive-oil' => '75 g', 'jojoba-oil' => '25 g']);
        $mass = Composition::of($formula->withSize(Size::mass(400)), self::context());
        self::assertSame([300.0, 100.0], self::grams($mass));
        // Weighed anew at 400 g: still half a gram, not four times it.
        self::assertEqualsWithDelta(0.5, $mass->portions[0]->grams->band->high - 300.0, 1e-9);

        // By hand: density 100 / (75/0.914 + 25/0.866) = 0.90149; 6 x 120 x 1.03 x 0.90149 / 0.96 = 696.40 g.
        $jars = Composition::of($formula->withSize(Size::jars(6, 120)), self::context());
        self::assertEqualsWithDelta(696.4, $jars->totalGrams->best, 0.05);
    }

    public function test_size_refuses_nonsense(): void
    {
        foreach (
            [
                fn () => Size::mass(0),
                fn () => Size::mass(-5),
                fn () => Size::mass(1e9),
                fn () => Size::jars(0, 100),
                fn () => Size::jars(3, 0.2),
                fn () => Size::jars(3, 100, 0.9),
            ] as $bad
        ) {
            try {
                $bad();
                self::fail('A batch size that cannot be was taken.');
            } catch (FormulaError $e) {
                self::assertStringContainsString('batch size', $e->getMessage());
            }
        }
    }

    public function test_three_hundred_lines_and_no_more(): void
    {
        $line = self::formula(['olive-oil' => '1 g'])->lines[0];
        self::assertCount(
            300,
            Composition::of(self::formula([])->withLines(array_fill(0, 300, $line)), self::context())->portions,
        );
        $this->expectException(FormulaError::class);
        self::formula([])->withLines(array_fill(0, 301, $line));
    }

    public function test_nothing_is_a_formula_too(): void
    {
        $assessment = self::assess(self::formula([]));
        self::assertSame([], $assessment->findings);
        self::assertSame(0.0, $assessment->subject->composition->totalGrams->best);
    }

    public function test_a_recipe_in_per_cent_has_no_scale_error_until_it_has_a_size_and_then_that_of_its_size(): void
    {
        $formula = self::formula(['lavender-eo' => '0.5 %', 'olive-oil' => '99.5 %']);
        $high = static fn (Size $size): float => 100
            * Composition::of($formula->withSize($size), self::context())->portions[0]->share->high;

        self::assertEqualsWithDelta(0.5, $high(Size::asWritten()), 1e-9);
        // On a scale of 1 g: 0.5 g more at most of 0.5, 3.365 and 50 g.
        self::assertEqualsWithDelta(100 * 1.0 / (1.0 + 99.0), $high(Size::mass(100.0)), 1e-9);
        self::assertEqualsWithDelta(100 * 3.865 / (3.865 + 669.135), $high(Size::mass(673.0)), 1e-9);
        self::assertEqualsWithDelta(100 * 50.5 / (50.5 + 9949.5), $high(Size::mass(10_000.0)), 1e-9);
    }

    public function test_to_fill_takes_what_the_jars_leave_and_nothing_written_in_amounts_moves(): void
    {
        $formula = self::formula(['jojoba-oil' => '40 ml', 'castor-oil' => '20 g', 'olive-oil' => 'to fill']);
        $grams = static fn (Size $size): array => array_map(
            static fn (Portion $p): float => $p->grams->band->best,
            self::assess($formula->withSize($size))->subject->composition->portions,
        );
        [$jojoba, $castor] = $grams(Size::asWritten());

        foreach ([Size::mass(250.0), Size::jars(2, 100.0), Size::jars(1, 150.0, 0.0, 0.0)] as $size) {
            self::assertSame([$jojoba, $castor], array_slice($grams($size), 0, 2));
        }
        self::assertEqualsWithDelta(250.0, array_sum($grams(Size::mass(250.0))), 1e-9);
        // 150 ml in all: 40 ml of jojoba, 20 g of castor, the rest olive.
        $olive = (150 - 40 - 20 / self::catalogue()->get('castor-oil')->density20())
            * self::catalogue()->get('olive-oil')->density20();
        self::assertEqualsWithDelta($olive, $grams(Size::jars(1, 150.0, 0.0, 0.0))[2], 1e-9);
    }

    public function test_where_to_fill_has_no_room_it_says_so_and_the_rest_stays_as_written(): void
    {
        $formula = self::formula(['jojoba-oil' => '80 g', 'olive-oil' => 'to fill'])->withSize(Size::mass(50.0));
        $composition = self::assess($formula)->subject->composition;

        self::assertSame(80.0, $composition->totalGrams->best);
        self::assertStringContainsString('already come to 80 g of the 50 g', $composition->portions[1]->problem);
    }

    public function test_a_scent_to_fill_without_room_gets_none_when_another_is_cut(): void
    {
        $formula = self::formula([
            'olive-oil' => '90 g',
            'rosemary-eo' => '10 g',
            'lavender-eo' => 'to fill 100 g',
        ]);
        $cured = self::cured(self::assess($formula), 'load.total');

        self::assertNotContains('load.total', self::codes($cured));
        self::assertCount(2, $cured->subject->composition->portions);
    }
}
