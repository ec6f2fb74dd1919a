<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Composition;
use Crown\Assessment\Context;
use Crown\Assessment\Shift;
use Crown\Assessment\Texture;
use Crown\Assessment\TextureFamily;
use Crown\Assessment\Whipping;
use Crown\Formula\Formula;
use Crown\Formula\FormulaError;
use Crown\Formula\ProductKind;
use Crown\Learning\Batches;
use Crown\Learning\Observation;
use Crown\Learning\Predicted;
use Crown\Learning\TextureFound;
use Crown\Measure\Kitchen;
use Crown\Solving\Design;
use Crown\Solving\Wish;
use Crown\Solving\Wished;
use Tests\Core\CoreTestCase;

final class BatchesTest extends CoreTestCase
{
    private static function butter(): Formula
    {
        return self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g'], ProductKind::WhippedButter);
    }

    private static function taught(Formula $formula, Observation ...$observations): Assessment
    {
        return Assessor::standard()->assess(
            $formula,
            new Context(self::catalogue(), new Kitchen(scaleGrams: 1.0), Batches::teach(...$observations)),
        );
    }

    private static function found(TextureFound $texture, TextureFamily $family = TextureFamily::Butter): Observation
    {
        return new Observation(new Predicted($family, 12.0), $texture);
    }

    public function test_what_holds_a_product_is_its_family(): void
    {
        $family = static fn (array $lines): TextureFamily => TextureFamily::of(
            Composition::of(self::formula($lines), self::context()),
        );

        self::assertSame(TextureFamily::Oil, $family(['olive-oil' => '95 g', 'shea-butter' => '5 g']));
        self::assertSame(TextureFamily::Butter, $family(['olive-oil' => '80 g', 'shea-butter' => '20 g']));
        self::assertSame(
            TextureFamily::Wax,
            $family(['olive-oil' => '60 g', 'shea-butter' => '30 g', 'beeswax' => '10 g']),
        );
        self::assertSame(
            TextureFamily::Conditioner,
            $family(['btms-25' => '50 g', 'shea-butter' => '30 g', 'beeswax' => '10 g']),
        );
        self::assertSame(TextureFamily::Oil, $family([]));
    }

    public function test_one_finding_moves_a_third_of_the_way(): void
    {
        // exp(ln 0.85 / (1 + 2)) = 0.85^(1/3) = 0.9473; three of them: 0.85^(3/5) = 0.9071.
        self::assertEqualsWithDelta(
            0.9473,
            Batches::teach(self::found(TextureFound::Softer))->texture(TextureFamily::Butter)->factor,
            1e-4,
        );
        $three = Batches::teach(...array_fill(0, 3, self::found(TextureFound::Softer)))->texture(TextureFamily::Butter);
        self::assertEqualsWithDelta(0.9071, $three->factor, 1e-4);
        self::assertSame(3, $three->count);
        self::assertEqualsWithDelta(-9.29, $three->percent(), 0.01);
    }

    public function test_softer_and_firmer_cancel_out(): void
    {
        $learned = Batches::teach(
            self::found(TextureFound::Softer),
            self::found(TextureFound::Firmer),
            self::found(TextureFound::AsSaid),
        );

        self::assertEqualsWithDelta(1.0, $learned->texture(TextureFamily::Butter)->factor, 1e-12);
        self::assertSame(3, $learned->texture(TextureFamily::Butter)->count);
    }

    public function test_another_family_learns_nothing(): void
    {
        $learned = Batches::teach(self::found(TextureFound::MuchFirmer, TextureFamily::Wax));

        self::assertEquals(Shift::none(), $learned->texture(TextureFamily::Butter));
        self::assertGreaterThan(1.0, $learned->texture(TextureFamily::Wax)->factor);
    }

    public function test_however_many_findings_a_figure_moves_so_far_and_no_farther(): void
    {
        $many = Batches::teach(...array_fill(0, 60, self::found(TextureFound::MuchSofter)));

        self::assertEqualsWithDelta(0.65 ** (60 / 62), $many->texture(TextureFamily::Butter)->factor, 1e-9);
        self::assertSame(0.5, Shift::from(array_fill(0, 60, 0.3), 0.5, 2.0)->factor);
        self::assertSame(2.0, Shift::from(array_fill(0, 60, 4.0), 0.5, 2.0)->factor);
    }

    public function test_the_whole_curve_moves_and_with_it_class_melting_and_whipping(): void
    {
        $plain = self::assess(self::butter());
        $taught = self::taught(self::butter(), ...array_fill(0, 4, self::found(TextureFound::MuchSofter)));
        $factor = 0.65 ** (4 / 6);

        foreach ([10.0, 25.0, 33.0] as $celsius) {
            self::assertEqualsWithDelta(
                $plain->subject->texture->solids($celsius)->best * $factor,
                $taught->subject->texture->solids($celsius)->best,
                1e-9,
            );
        }
        self::assertLessThan($plain->subject->texture->meltsAt(), $taught->subject->texture->meltsAt());
        self::assertLessThan($plain->subject->whipping()->coldest, $taught->subject->whipping()->coldest);
        self::assertSame(
            ['factor' => round($factor, 4), 'count' => 4],
            json_decode((string) json_encode($taught), true)['learned']['texture'],
        );
        self::assertSame('held by butter', $taught->jsonSerialize()['learned']['family']);
    }

    public function test_no_air_at_all_is_an_overrun_and_wants_its_minutes(): void
    {
        $none = static fn (float $minutes): Observation => new Observation(
            new Predicted(TextureFamily::Butter, 12.0),
            null,
            0.0,
            $minutes,
        );

        self::assertSame(0.0, $none(10.0)->overrunPercent);
        $this->expectException(FormulaError::class);
        $none(0.0);
    }

    public function test_measured_air_moves_the_air_foretold(): void
    {
        // Said 80 % at ten minutes, found 40 %: ratio 0.5; twice that, 0.5^(2/4) = 0.7071.
        $observation = new Observation(new Predicted(TextureFamily::Butter, 12.0), null, 40.0, 10.0);
        self::assertEqualsWithDelta(0.5, $observation->overrunRatio(), 1e-9);
        $taught = self::taught(self::butter(), $observation, $observation)->subject->whipping();

        self::assertEqualsWithDelta(0.8 * 0.70711, $taught->air(10.0)->best, 1e-4);
        self::assertEqualsWithDelta(Whipping::overrun(30.0)->best * 0.70711, $taught->air(30.0)->best, 1e-4);
        // What was found at another time teaches by its ratio there: 60 % at 30 minutes, where 32.5 % was said.
        $long = new Observation(new Predicted(TextureFamily::Butter, 12.0), null, 60.0, 30.0);
        self::assertEqualsWithDelta(0.6 / (0.8 * 3 * exp(-2)), $long->overrunRatio(), 1e-9);
    }

    public function test_a_batch_that_went_off_early_shortens_what_is_said(): void
    {
        // Said 12, off at 6: ratio a half, alone 0.5^(1/3) = 0.7937. Olive oil keeps 18: 14.29.
        $early = new Observation(new Predicted(TextureFamily::Oil, 12.0), null, months: 6.0, off: true);
        $life = self::taught(self::formula(['olive-oil' => '100 g']), $early)->subject->life;

        self::assertEqualsWithDelta(18 * 0.5 ** (1 / 3), $life->months->best, 1e-6);
        self::assertContains('Your own batches kept shorter than said: times 0.79, from 1 finding.', $life->reasons);
    }

    public function test_still_good_is_news_only_after_its_time(): void
    {
        $at = static fn (float $months): Observation => new Observation(
            new Predicted(TextureFamily::Oil, 12.0),
            null,
            months: $months,
        );

        self::assertNull($at(6.0)->lifeRatio());
        self::assertEqualsWithDelta(1.5, $at(18.0)->lifeRatio(), 1e-12);
        // However long batches have kept, a life is lengthened by a quarter at most.
        $life = self::taught(self::formula(['olive-oil' => '100 g']), ...array_fill(0, 20, $at(36.0)))->subject->life;
        self::assertEqualsWithDelta(18 * 1.25, $life->months->best, 1e-6);
    }

    public function test_no_finding_lifts_what_water_caps(): void
    {
        $kept = new Observation(new Predicted(TextureFamily::Oil, 12.0), null, months: 60.0);
        $wet = self::formula(['olive-oil' => '90 g', 'aloe-gel' => '10 g']);

        self::assertEqualsWithDelta(
            self::assess($wet)->subject->life->months->best,
            self::taught($wet, ...array_fill(0, 20, $kept))->subject->life->months->best,
            1e-9,
        );
        self::assertSame(self::codes(self::assess($wet)), self::codes(self::taught($wet, $kept)));
        // Of a life that water capped nothing can be learned about oils.
        self::assertNull(Predicted::of(self::assess($wet))->lifeMonths);
        self::assertNull((new Observation(Predicted::of(self::assess($wet)), null, months: 9.0))->lifeRatio());
    }

    public function test_no_finding_touches_load_or_age(): void
    {
        $strong = self::formula(['olive-oil' => '90 g', 'rosemary-eo' => '10 g']);
        $all = [
            self::found(TextureFound::MuchFirmer, TextureFamily::Oil),
            new Observation(new Predicted(TextureFamily::Oil, 12.0), null, months: 60.0),
        ];

        self::assertContains('load.total', self::codes(self::taught($strong, ...$all)));
    }

    public function test_the_solver_works_on_the_curve_as_it_was_learned(): void
    {
        $taught = self::taught(self::butter(), ...array_fill(0, 3, self::found(TextureFound::Softer)));
        $design = new Design($taught->subject, self::catalogue(), [new Wished(Wish::Firmer)]);
        $demand = $design->requirements()[0];
        $formula = $design->formula($design->answer($design->requirements()));
        $solids = static fn (Assessment $a): float => $a->subject->texture->solids(25.0)->best;

        self::assertEqualsWithDelta($solids($taught) * 1.33, $demand->between->least, 0.1);
        self::assertGreaterThanOrEqual(
            $demand->between->least - 0.1,
            $solids(self::taught($formula, ...array_fill(0, 3, self::found(TextureFound::Softer)))),
        );
    }

    public function test_nothing_learned_is_as_the_handbook_says(): void
    {
        $composition = Composition::of(self::butter(), self::context());

        self::assertEquals(Texture::of($composition)->curve(), self::taught(self::butter())->subject->texture->curve());
        self::assertSame(0, Batches::teach()->life(TextureFamily::Oil)->count);
        $context = new Context(self::catalogue(), new Kitchen(), Batches::teach(self::found(TextureFound::Softer)));
        self::assertSame(0, $context->untaught()->experience->texture(TextureFamily::Butter)->count);
    }

    public function test_a_finding_says_something_and_what_can_be(): void
    {
        $predicted = new Predicted(TextureFamily::Butter, 12.0);
        foreach (
            [
                'texture' => static fn (): Observation => new Observation($predicted),
                'overrun_percent' => static fn (): Observation => new Observation($predicted, null, 80.0),
                'overrun_percent ' => static fn (): Observation => new Observation($predicted, null, 400.0, 10.0),
                ' overrun_percent' => static fn (): Observation => new Observation($predicted, null, -1.0, 10.0),
                'months' => static fn (): Observation => new Observation($predicted, null, months: 500.0),
                'months ' => static fn (): Observation => new Observation($predicted, null, months: 0.0),
            ] as $field => $bad
        ) {
            try {
                $bad();
                self::fail($field);
            } catch (FormulaError $e) {
                self::assertSame(trim($field), $e->path);
            }
        }
    }

    public function test_what_is_said_in_words(): void
    {
        self::assertSame(
            ['much softer than said', 'softer than said', 'as said', 'firmer than said', 'much firmer than said'],
            array_map(static fn (TextureFound $t): string => $t->label(), TextureFound::cases()),
        );
        self::assertSame(
            ['held by wax', 'held by a conditioning agent', 'held by butter', 'oils'],
            array_map(static fn (TextureFamily $t): string => $t->label(), TextureFamily::cases()),
        );
        // Softer and firmer are each other's turning round.
        self::assertEqualsWithDelta(1.0, TextureFound::MuchSofter->ratio() * TextureFound::MuchFirmer->ratio(), 1e-12);
        self::assertEqualsWithDelta(1.0, TextureFound::Softer->ratio() * TextureFound::Firmer->ratio(), 1e-12);
    }
}
