<?php

declare(strict_types=1);

namespace Tests\Core\Papers;

use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Measure\Kitchen;
use Crown\Measure\WrittenAmount;
use Crown\Papers\Label;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepYield;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

final class LabelWordsTest extends CoreTestCase
{
    private static function label(Formula $formula): Label
    {
        return new Label(self::assess($formula, 0.01), 'L-1', 50.0, new DateTimeImmutable('2027-01-31'), '');
    }

    /** @return iterable<string, array{ProductKind, string}> */
    public static function directions(): iterable
    {
        yield 'scalp oil' => [ProductKind::ScalpOil, 'along each part'];
        yield 'hot oil' => [ProductKind::HotOil, 'lukewarm, not hot'];
        yield 'sealing oil' => [ProductKind::SealingOil, 'damp lengths'];
        yield 'bar' => [ProductKind::ConditionerBar, 'rinse'];
        yield 'rinse-out balm' => [ProductKind::RinseOutBalm, '2 to 3 minutes'];
        yield 'balm' => [ProductKind::Balm, 'between the fingers'];
        yield 'whipped butter' => [ProductKind::WhippedButter, 'spatula'];
        yield 'hair oil' => [ProductKind::HairOil, 'A little at a time'];
    }

    #[DataProvider('directions')]
    public function test_each_kind_says_how_it_is_used(ProductKind $kind, string $words): void
    {
        $label = self::label(self::formula(['olive-oil' => '50 g'], $kind));

        self::assertStringContainsString($words, $label->directions());
        self::assertStringContainsString('see a clinician', implode(' ', $label->cautions()));
    }

    public function test_inci_names_fall_by_share_and_stand_once(): void
    {
        // Two grades of castor oil share one name; their shares are added: 30 + 25 of 100.
        $label = self::label(
            self::formula([
                'castor-oil' => '30 g',
                'black-castor-oil' => '25 g',
                'olive-oil' => '44 g',
                'vitamin-e' => '1 g',
            ]),
        );

        self::assertSame('Ricinus Communis Seed Oil, Olea Europaea Fruit Oil, Tocopherol', $label->ingredients());
    }

    public function test_a_blend_is_named_part_by_part(): void
    {
        $label = self::label(
            self::formula(['btms-25' => '60 g', 'cocoa-butter' => '40 g'], ProductKind::ConditionerBar),
        );

        self::assertSame(
            'Cetearyl Alcohol, Theobroma Cacao Seed Butter, Behentrimonium Methosulfate',
            $label->ingredients(),
        );
    }

    public function test_a_steeped_oil_is_named_as_oil_and_plant_with_its_allergens(): void
    {
        $plan = self::onePlant(
            self::catalogue()->get('calendula'),
            'dried',
            40,
            self::catalogue()->get('sweet-almond-oil'),
            320,
            SteepMethod::ColdDark,
            new DateTimeImmutable('2027-01-01'),
        );
        $lot = (new SteepYield($plan, 250))->ingredient('lot-1', 'Calendula in almond');
        $formula = new Formula(
            'Soft oil',
            ProductKind::HairOil,
            Audience::AdultLeaveOn,
            [
                new Line('l1', 'lot-1', 'Calendula in almond', new WrittenAmount('30 g'), '', Phase::Warm),
                new Line('l2', 'olive-oil', 'Olive oil', new WrittenAmount('70 g'), '', Phase::Warm),
            ],
            [],
            Size::asWritten(),
        );
        $label = new Label(
            Assessor::standard()->assess($formula, new Context(self::catalogue()->with($lot), new Kitchen())),
            'L-2',
            90.0,
            new DateTimeImmutable('2027-01-31'),
            '',
        );

        self::assertSame(
            'Olea Europaea Fruit Oil, Prunus Amygdalus Dulcis Oil, Calendula Officinalis Flower',
            $label->ingredients(),
        );
        self::assertSame(['tree nut', 'daisy family'], $label->contains());
    }

    public function test_an_unknown_line_keeps_its_written_name(): void
    {
        self::assertStringContainsString(
            'unicorn dust',
            self::label(self::formula(['olive-oil' => '50 g', 'unicorn dust' => '5 g']))->ingredients(),
        );
    }

    public function test_water_shortens_best_before_and_adds_a_caution(): void
    {
        $milk = self::label(
            self::formula(
                ['olive-oil' => '20 g', 'emulsifying-wax' => '6 g', 'water' => '73 g', 'phenoxyethanol-ehg' => '0.9 g'],
                ProductKind::Emulsion,
            ),
        );

        // Three months of 30.44 days after the last of January, rounded down: 91 days.
        self::assertSame('2027-05-02', $milk->keeping()->bestBefore->format('Y-m-d'));
        self::assertSame(3, $milk->keeping()->openedMonths);
        self::assertStringContainsString('Throw it away', implode(' ', $milk->cautions()));
    }
}
