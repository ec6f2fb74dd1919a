<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Assessment\Finding;
use Crown\Assessment\Keeping;
use Crown\Assessment\Severity;
use Crown\Assessment\Store;
use Crown\Assessment\WaterCap;
use Crown\Assessment\WaterClass;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Make\BatchClosing;
use Crown\Make\MakeSheet;
use Crown\Make\Put;
use Crown\Make\Stops;
use Crown\Make\Weighing;
use Crown\Measure\Kitchen;
use Crown\Measure\Months;
use Crown\Measure\WrittenAmount;
use Crown\Papers\Label;
use Crown\Steep\Charge;
use Crown\Steep\Herb;
use Crown\Steep\Pour;
use Crown\Steep\Preparation;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepYield;
use DateTimeImmutable;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\CoreTestCase;

/** One jar, one truth: bench, counter, label and shelf say the same of jars drawn at random. */
final class OneJarTest extends CoreTestCase
{
    private const DAY = '2027-03-01';

    /** @return iterable<int, Formula> of ingredients and grams that a maker might weigh */
    private static function drawn(int $count, int $seed): iterable
    {
        $random = new Randomizer(new Mt19937($seed));
        $ids = array_keys(self::catalogue()->all());
        for ($n = 0; $n < $count; $n++) {
            $lines = [];
            for ($i = $random->getInt(1, 7); $i > 0; $i--) {
                $id = $ids[$random->getInt(0, count($ids) - 1)];
                $grams = self::catalogue()->get($id)->kind === IngredientKind::EssentialOil
                    ? $random->getInt(1, 30) / 10
                    : $random->getInt(1, 120);
                $lines[] = new Line("l$i", $id, $id, new WrittenAmount("$grams g"), '', Phase::Warm);
            }
            yield new Formula(
                "Drawn $n",
                ProductKind::cases()[$random->getInt(0, count(ProductKind::cases()) - 1)],
                Audience::cases()[$random->getInt(0, count(Audience::cases()) - 1)],
                $lines,
                [],
                Size::asWritten(),
                $random->getInt(0, 3) === 0,
            );
        }
    }

    private static function label(Assessment $assessment): Label
    {
        return new Label($assessment, 'L1', 50.0, new DateTimeImmutable(self::DAY), '');
    }

    public function test_the_label_says_what_the_bench_says(): void
    {
        foreach (self::drawn(300, 5) as $formula) {
            $assessment = self::assess($formula, 0.01);
            $label = self::label($assessment);
            $keeping = Keeping::of($assessment->subject, new DateTimeImmutable(self::DAY));

            self::assertEquals($keeping, $label->keeping());
            self::assertSame($assessment->subject->life->months === null, $keeping === null);
            if ($keeping !== null) {
                self::assertLessThanOrEqual(
                    Months::inDays($assessment->subject->life->months->low ?? 0.0) + 1,
                    (int) (new DateTimeImmutable(self::DAY))->diff($keeping->bestBefore)->format('%a'),
                    $formula->title,
                );
            }
            $stopped = array_filter(
                $assessment->findings,
                static fn (Finding $f): bool => $f->severity === Severity::Stop,
            ) !== [];
            self::assertSame($stopped, str_starts_with($label->cautions()[0], 'Made against'), $formula->title);
            $names = $label->ingredients();
            foreach ($assessment->subject->composition->counted() as $portion) {
                foreach (array_keys($portion->ingredient->inciShares()) as $inci) {
                    self::assertStringContainsString((string) $inci, $names, $formula->title);
                }
            }
            $allergens = array_map(
                static fn (Finding $f): string => $f->about[0],
                array_filter($assessment->findings, static fn (Finding $f): bool => $f->code === 'allergen'),
            );
            self::assertEqualsCanonicalizing(array_values($allergens), $label->contains(), $formula->title);
        }
    }

    public function test_the_cap_of_water_is_the_same_on_bench_label_and_in_the_words_of_the_fridge(): void
    {
        $wet = 0;
        foreach (self::drawn(300, 7) as $formula) {
            $subject = self::assess($formula, 0.01)->subject;
            if ($subject->water->class !== WaterClass::Free) {
                continue;
            }
            $wet++;
            self::assertLessThanOrEqual(Months::ofDays(WaterCap::FREE_DAYS), $subject->life->months->high);
            $cautions = implode(' ', self::label(self::assess($formula, 0.01))->cautions());
            self::assertStringContainsString(Store::Fridge->words(), $cautions, $formula->title);
        }
        self::assertGreaterThan(30, $wet);
    }

    public function test_what_is_stopped_on_the_bench_is_stopped_at_the_counter_and_when_it_is_closed(): void
    {
        $stopped = 0;
        foreach (self::drawn(200, 11) as $formula) {
            $bench = self::assess($formula, 0.01);
            $stops = array_filter(
                $bench->findings,
                static fn (Finding $f): bool => $f->severity === Severity::Stop && $bench->isOpen($f),
            );
            self::assertSame(array_values($stops), Stops::open($bench), $formula->title);
            if ($bench->subject->composition->counted() === []) {
                continue;
            }
            $asked = (new MakeSheet($bench, 0.01))->weighings();
            $put = array_combine(
                array_map(static fn (Weighing $w): string => $w->line, $asked),
                array_map(static fn (Weighing $w): Put => Put::weighed($w->targetGrams), $asked),
            );
            $closed = BatchClosing::actual($formula, $asked, $put, 1, 1.0, 0.0, self::context(0.01));
            $codes = static fn (Finding $f): string => $f->code;
            self::assertEqualsCanonicalizing(
                array_map($codes, array_values($stops)),
                array_map($codes, Stops::open($closed)),
                $formula->title,
            );
            $stopped += $stops === [] ? 0 : 1;
        }
        self::assertGreaterThan(50, $stopped);
    }

    public function test_a_steeped_oil_holds_the_same_water_and_dates_in_jar_pantry_and_formula(): void
    {
        $random = new Randomizer(new Mt19937(13));
        $plants = array_values(
            array_filter(self::catalogue()->all(), static fn (Ingredient $i): bool => $i->kind->isPlant()),
        );
        $day = new DateTimeImmutable(self::DAY);
        $wet = 0;
        for ($n = 0; $n < 200; $n++) {
            $plant = $plants[$random->getInt(0, count($plants) - 1)];
            $forms = array_keys($plant->forms);
            $form = $forms[$random->getInt(0, count($forms) - 1)];
            $method = SteepMethod::cases()[$random->getInt(0, 6)];
            $plan = SteepPlan::begun(
                Charge::of(
                    new Herb($plant, $form, $random->getInt(5, 80), $day, Preparation::usual($form, $method)),
                    new Pour(self::catalogue()->get('olive-oil'), $random->getInt(200, 600), $day),
                ),
                $method,
            );
            $yield = new SteepYield($plan, round($plan->oilLeftGrams() * 0.8, 1));
            $assessment = self::alone($yield->ingredient('lot-1', 'An oil'));
            $water = $assessment->subject->water;

            self::assertSame(
                $yield->isDry(),
                $water->class === WaterClass::Dry,
                "$plant->id $form $method->value",
            );
            self::assertEqualsWithDelta(100 * $yield->water()->high, $water->percent->high, 1e-9);
            $shelf = (int) $day->diff($yield->bestBefore($day))->format('%a');
            $bench = (int) $day->diff(self::label($assessment)->keeping()->bestBefore)->format('%a');
            self::assertEqualsWithDelta($shelf, $bench, 1.0, "$plant->id $form $method->value");
            self::assertSame($yield->store(), self::label($assessment)->keeping()->store, "$plant->id $form");
            $wet += $yield->isDry() ? 0 : 1;
        }
        self::assertGreaterThan(20, $wet);
    }

    /** A formula of one line, all of it. */
    private static function alone(Ingredient $oil): Assessment
    {
        $line = new Line('l1', $oil->id, $oil->name, new WrittenAmount('100 %'), '', Phase::Warm);

        return Assessor::standard()->assess(
            new Formula('Alone', ProductKind::HairOil, Audience::AdultLeaveOn, [$line], [], Size::mass(100.0)),
            new Context(self::catalogue()->with($oil), new Kitchen()),
        );
    }
}
