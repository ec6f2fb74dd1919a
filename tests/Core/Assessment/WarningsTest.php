<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Assessment\Finding;
use Crown\Assessment\Severity;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Measure\Kitchen;
use Crown\Measure\WrittenAmount;
use Crown\Papers\Label;
use Crown\Steep\Charge;
use Crown\Steep\Herb;
use Crown\Steep\Pour;
use Crown\Steep\SteepAdvice;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepYield;
use DateTimeImmutable;
use Tests\Core\CoreTestCase;

/** What the catalogue warns of is said wherever the ingredient is met. */
final class WarningsTest extends CoreTestCase
{
    public function test_what_burns_must_be_decided_and_what_stains_is_known(): void
    {
        $findings = self::warnings(['olive-oil' => '90 g', 'mustard-oil' => '5 g', 'sea-buckthorn-berry-oil' => '5 g']);

        self::assertSame(
            [Severity::Caution, Severity::Note],
            array_map(static fn (Finding $f): Severity => $f->severity, $findings),
        );
        self::assertStringStartsWith('Mustard seed oil: the expressed oil can bear', $findings[0]->message());
        self::assertStringStartsWith('Sea buckthorn berry oil: stains light hair', $findings[1]->message());
    }

    public function test_how_it_is_worked_with_and_allergens_named_anyway_are_no_warnings(): void
    {
        self::assertSame([], self::warnings(['shea-butter' => '50 g', 'apricot-kernel-oil' => '50 g']));
    }

    public function test_it_is_said_once_of_an_ingredient_on_two_lines(): void
    {
        self::assertCount(1, self::warnings(['olive-oil' => '90 g', 'turmeric' => '2 g', 'powder:turmeric' => '2 g']));
    }

    public function test_with_some_conditions_a_clinician_is_asked_first_with_or_without_a_head(): void
    {
        $assessment = self::assess(self::formula(['olive-oil' => '100 g', 'rosemary-eo' => '1 g']));
        $ask = array_values(
            array_filter($assessment->findings, static fn (Finding $f): bool => $f->code === 'ask-first'),
        );

        self::assertCount(1, $ask);
        self::assertSame(Severity::Note, $ask[0]->severity);
        self::assertStringContainsString('epilepsy', $ask[0]->message());
        self::assertStringContainsString('epilepsy', implode(' ', self::label($assessment)->cautions()));
    }

    public function test_a_plant_that_answers_to_sunlight_follows_its_oil_to_the_label(): void
    {
        $herb = new Herb(self::catalogue()->get('st-johns-wort'), 'dried', 40, new DateTimeImmutable('2027-03-01'));
        $pour = new Pour(self::catalogue()->get('olive-oil'), 300, new DateTimeImmutable('2027-03-01'));
        $plan = SteepPlan::begun(Charge::of($herb, $pour), SteepMethod::ColdDark);
        $says = array_map(static fn (SteepAdvice $a): string => $a->message(), SteepAdvice::on($plan, []));
        self::assertNotSame([], array_filter($says, static fn (string $s): bool => str_contains($s, 'sunlight')));

        $oil = (new SteepYield($plan, 240))->ingredient('steep-1', "St John's wort in olive oil");
        $catalogue = self::catalogue()->with($oil);
        $line = new Line('l1', 'steep-1', $oil->name, new WrittenAmount('100 g'), '', Phase::Warm);
        $left = Assessor::standard()->assess(
            new Formula('Test', ProductKind::HairOil, Audience::AdultLeaveOn, [$line], [], Size::asWritten()),
            new Context($catalogue, new Kitchen()),
        );
        self::assertContains('caution', self::codes($left));
        self::assertContains('Keep skin that it was on out of the sun for a day.', self::label($left)->cautions());
    }

    public function test_rinsed_off_it_need_not_be_kept_from_the_sun(): void
    {
        $lines = ['btms-50' => '10 g', 'st-johns-wort' => '5 g', 'olive-oil' => '85 g'];
        $formula = self::formula($lines, ProductKind::RinseOutBalm, Audience::AdultRinseOff);

        self::assertNotContains('caution', self::codes(self::assess($formula)));
    }

    /**
     * @param  array<string, string>  $lines
     * @return list<Finding>
     */
    private static function warnings(array $lines): array
    {
        return array_values(
            array_filter(
                self::assess(self::formula($lines))->findings,
                static fn (Finding $f): bool => $f->code === 'caution',
            ),
        );
    }

    private static function label(Assessment $assessment): Label
    {
        return new Label($assessment, 'L1', 100.0, new DateTimeImmutable('2027-03-01'), 'A maker');
    }
}
