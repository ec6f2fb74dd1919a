<?php

declare(strict_types=1);

namespace Tests\Core\Catalogue;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Assessment\Keeping;
use Crown\Catalogue\Advice;
use Crown\Catalogue\Bottle;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Caution;
use Crown\Catalogue\CautionKind;
use Crown\Catalogue\Condition;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Precautions;
use Crown\Catalogue\ReadyBlend;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Head\AgeBand;
use Crown\Head\Dislike;
use Crown\Head\HeadCheck;
use Crown\Head\Porosity;
use Crown\Head\Profile;
use Crown\Head\Scalp;
use Crown\Head\Strand;
use Crown\Head\Suitability;
use Crown\Json\Node;
use Crown\Measure\Band;
use Crown\Measure\Fact;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Measure\WrittenAmount;
use Crown\Papers\Label;
use Crown\Steep\Charge;
use Crown\Steep\Herb;
use Crown\Steep\Pour;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepYield;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** Whatever is put into one parent is said at the end, however it got there and wherever it is asked. */
final class CarriedTest extends CoreTestCase
{
    private const ID = 'the-thing';

    /** @return iterable<string, array{string, string}> each way of passing, each property of the plant or the oil */
    public static function passed(): iterable
    {
        foreach (['steep', 'steep of a steep', 'blend', 'blend with a steep', 'elsewhere'] as $way) {
            foreach (['plant', 'oil'] as $parent) {
                yield "$parent, $way" => [$way, $parent];
            }
        }
    }

    #[DataProvider('passed')]
    public function test_whatever_a_parent_carries_is_said_at_the_end(string $way, string $parent): void
    {
        $catalogue = self::made($way, $parent);
        $thing = $catalogue->get(self::ID);
        $says = self::assessed($catalogue, Audience::AdultLeaveOn);
        $child = self::assessed($catalogue, Audience::Child6To12);
        $expecting = self::assessed($catalogue, Audience::Pregnancy);
        $head = self::assessed($catalogue, Audience::AdultLeaveOn, new HeadCheck(self::head()));

        // The bench.
        self::assertContains('allergen', self::codes($says), 'a class of allergens');
        self::assertStringContainsString('stains everything.', self::said($says), 'a caution');
        self::assertStringContainsString('blood thinners', self::said($says), 'with what a clinician is asked first');
        self::assertContains('child.avoid', self::codes($child), 'an age');
        self::assertContains('pregnancy.avoid', self::codes($expecting), 'pregnancy');
        self::assertStringContainsString('not be used', self::said(self::assessed(
            self::made($way, $parent, 'It went bad.'),
            Audience::AdultLeaveOn,
        )), 'withdrawn');

        // A head.
        foreach (['head.allergy', 'head.dislike', 'head.age', 'head.condition'] as $code) {
            self::assertContains($code, self::codes($head), $code);
        }
        $against = implode(' ', (new Suitability(self::head()))->against($thing));
        $reasons = ['allergic to zabaglione', 'Not under 16', 'ask the clinician', 'does not like zabaglione'];
        foreach ($reasons as $reason) {
            self::assertStringContainsString($reason, $against);
        }

        // A label.
        $label = new Label($says, '1', 30.0, new DateTimeImmutable('2026-12-01'), 'Made here');
        self::assertContains('tree nut', $label->contains());
        $cautions = implode(' ', $label->cautions());
        $words = ['Not for children under 16', 'Not in pregnancy', 'Ask a clinician first', 'Colours light hair'];
        foreach ($words as $word) {
            self::assertStringContainsString($word, $cautions);
        }
    }

    #[DataProvider('passed')]
    public function test_the_day_on_a_bottle_ends_what_is_made_of_it(string $way, string $parent): void
    {
        if ($parent === 'plant' && $way !== 'blend') {
            self::assertNotSame('', $way, 'a plant is no bottle');

            return;
        }
        $thing = self::made($way, $parent)->get(self::ID);

        self::assertSame('2027-03-01', $thing->provenance->inherited->useBy?->format('Y-m-d'));
        $keeping = Keeping::of(
            self::assessed(self::made($way, $parent), Audience::AdultLeaveOn)->subject,
            new DateTimeImmutable('2026-12-01'),
        );
        self::assertLessThanOrEqual('2027-03-01', $keeping?->bestBefore->format('Y-m-d'));
        self::assertLessThanOrEqual(3, $keeping?->openedMonths, 'opened never longer than the whole');
    }

    public function test_water_and_what_grew_in_it_stay_through_another_steep(): void
    {
        $wet = self::steeped(self::catalogue()->get('rosemary'), self::catalogue()->get('olive-oil'), 'wet', 'fresh');
        self::assertNotNull($wet->provenance->inherited->grown);
        $again = self::steeped(self::catalogue()->get('calendula'), $wet, self::ID);
        self::assertGreaterThan(0.01, $again->freeWater('')->high);
        self::assertNotNull($again->provenance->inherited->grown);

        $said = self::assessed(self::catalogue()->with($wet, $again), Audience::AdultLeaveOn);
        self::assertSame('D', $said->subject->water->class?->value);
        self::assertContains('lot.grown', self::codes($said));
        self::assertLessThanOrEqual(7 / 30.0, $said->subject->life->months?->high);
    }

    /** A catalogue with one thing in it that was made in this way from this parent. */
    private static function made(string $way, string $parent, ?string $withdrawn = null): Catalogue
    {
        $day = new DateTimeImmutable('2027-03-01');
        $catalogue = self::catalogue();
        $plant = $parent === 'plant' ? self::marked('calendula', $withdrawn) : $catalogue->get('calendula');
        $oil = $parent === 'oil'
            ? self::marked('olive-oil', $withdrawn)->outOf(new Bottle($day))
            : $catalogue->get('olive-oil');
        $catalogue = $catalogue->with($plant, $oil);
        $steep = self::steeped($plant, $oil, 'a-steep');
        $catalogue = $catalogue->with($steep);

        return $catalogue->with(match ($way) {
            'steep' => self::steeped($plant, $oil, self::ID),
            'steep of a steep' => self::steeped($catalogue->get('rosemary'), $steep, self::ID),
            'elsewhere' => self::renamed($catalogue->infused('calendula', 'olive-oil')),
            'blend' => self::blend($catalogue, $parent === 'oil' ? 'olive-oil' : 'calendula', $day),
            default => self::blend($catalogue, 'a-steep', $day),
        });
    }

    private static function blend(Catalogue $catalogue, string $with, DateTimeImmutable $day): Ingredient
    {
        $rows = [['ingredient' => $with, 'percent' => 40], ['ingredient' => 'jojoba-oil', 'percent' => 60]];
        $catalogue = $catalogue->with($catalogue->get($with)->outOf(new Bottle($day)));

        return ReadyBlend::read(array_map(Node::of(...), $rows), $catalogue)
            ->ingredient(self::ID, 'A blend', '', [], []);
    }

    private static function steeped(Ingredient $plant, Ingredient $oil, string $id, string $form = 'dried'): Ingredient
    {
        $day = new DateTimeImmutable('2026-11-01');
        $plan = SteepPlan::begun(
            Charge::of(new Herb($plant, $form, 40, $day), new Pour($oil, 300, $day)),
            SteepMethod::ColdDark,
        );

        return (new SteepYield($plan, 240))->ingredient($id, "Oil $id");
    }

    private static function renamed(Ingredient $one): Ingredient
    {
        return new Ingredient(
            self::ID,
            $one->name,
            $one->inci,
            $one->kind,
            $one->facts,
            $one->composition,
            vegan: $one->vegan,
            precautions: $one->precautions,
            provenance: $one->provenance,
        );
    }

    /** An ingredient with one of everything that is to be passed on. */
    private static function marked(string $id, ?string $withdrawn): Ingredient
    {
        $one = self::catalogue()->get($id);

        return new Ingredient(
            $one->id,
            $one->name,
            $one->inci,
            $one->kind,
            $one->facts->with(Property::MinimumAge, new Fact(Band::exact(16.0), Fact::ESTIMATE)),
            $one->composition,
            $one->forms,
            ['zabaglione'],
            precautions: new Precautions(
                Advice::Avoid,
                'Made up.',
                ['tree nut'],
                ageReason: 'Made up.',
                askFirst: [Condition::Bleeding],
                cautions: [new Caution(CautionKind::Stains, 'Stains everything.')],
            ),
            provenance: new \Crown\Catalogue\Provenance(withdrawn: $withdrawn),
        );
    }

    private static function assessed(Catalogue $catalogue, Audience $audience, HeadCheck ...$head): Assessment
    {
        $lines = [
            new Line('l1', self::ID, 'The thing', new WrittenAmount('30 g'), '', Phase::Warm),
            new Line('l2', 'jojoba-oil', 'Jojoba oil', new WrittenAmount('70 g'), '', Phase::Warm),
        ];

        return Assessor::standard()->with(...$head)->assess(
            new Formula('Test', ProductKind::HairOil, $audience, $lines, [], Size::asWritten()),
            new Context($catalogue, new Kitchen()),
        );
    }

    private static function said(Assessment $assessment): string
    {
        return implode("\n", array_map(static fn ($f): string => $f->message(), $assessment->findings));
    }

    private static function head(): Profile
    {
        return new Profile(
            'Ines',
            Strand::Medium,
            Porosity::Normal,
            Scalp::Calm,
            AgeBand::From6To12,
            allergies: ['zabaglione'],
            dislikes: [new Dislike('zabaglione')],
            conditions: [Condition::Bleeding],
        );
    }
}
