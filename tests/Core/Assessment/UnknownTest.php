<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Finding;
use Crown\Assessment\Keeping;
use Crown\Assessment\Severity;
use Crown\Assessment\WaterClass;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Nature;
use Crown\Formula\Audience;
use Crown\Formula\Doubt;
use Crown\Formula\Formula;
use Crown\Formula\FormulaDocument;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Measure\WrittenAmount;
use Crown\Reading\RecipeReader;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** What nobody can tell counts at its worst, and never as nothing. */
final class UnknownTest extends CoreTestCase
{
    private const WORDS = ['', 'a splash', 'some', 'a handful', 'to taste'];

    private const NAMES = ['essence of nowhere', 'grandmother\'s mixture', 'zubrol', 'qarfa', 'kuru oil', 'zeb powder'];

    /** @return iterable<string, array{string}> */
    public static function watery(): iterable
    {
        foreach ([
            '250 ml green tea', '2 cups black tea', '300 ml rooibos', '100 g sea moss gel', '50 g Irish moss gel',
            '100 ml slippery elm gel', '50 ml marshmallow gel', '50 g okra gel', '1 cup coffee', '1 cup brewed coffee',
            '250 ml strong coffee', '100 ml aloe', '50 ml hibiscus gel', '100 ml cucumber', '100 g avocado',
            '20 g mango',
            '1 cup yarrow decoction', '200 ml horsetail decoction', '100 ml carrot juice', '100 ml potato juice',
            '200 ml burdock tea', '1 cup ginger tea', '½ cup marshmallow root tea', '200 ml spinach water',
            'a splash of rose water', 'a handful of fresh rosemary', '100 g soaked fenugreek', '1 tsp aloe vera',
            '10 g lemon', '100 ml Brennnesseltee', '100 ml jus de carotte', '100 ml infusión de romero', '50 g zubrol',
        ] as $line) {
            yield $line => [$line];
        }
    }

    #[DataProvider('watery')]
    public function test_what_is_wet_or_may_be_is_never_dry(string $line): void
    {
        $said = self::read("Mist\n$line\n50 g olive oil\n");

        self::assertNotContains($said->subject->water->class, [WaterClass::Dry, WaterClass::WetInUse, null]);
        self::assertLessThanOrEqual(7 / 30.0, $said->subject->life->months?->high);
        self::assertNotSame([], self::warned($said));
    }

    public function test_an_unknown_watery_thing_weighs_as_water_and_is_nine_tenths_of_it_at_least(): void
    {
        $water = self::read("Mist\n100 ml carrot juice\n100 g olive oil\n")->subject;

        self::assertEqualsWithDelta(100.0, $water->composition->portion('l1')->grams->band->best, 0.01);
        self::assertGreaterThanOrEqual(45.0, $water->water->percent->best);
    }

    public function test_a_line_without_an_amount_opens_the_shares_of_the_others(): void
    {
        $said = self::assess(self::formula(['olive-oil' => '90 g', 'castor-oil' => '']));
        $json = json_decode((string) json_encode($said), true);

        self::assertTrue($json['open']);
        $share = $json['lines'][0]['share'];
        self::assertSame([0.0, 100.0], [(float) $share['low'], (float) $share['high']]);
        self::assertSame(
            [null, null, 'doubtful', null, null, 'A', null],
            [
                $json['lines'][1]['grams'],
                $json['lines'][1]['share'],
                $json['lines'][1]['understood'],
                $json['texture'],
                $json['weight_index'],
                $json['water_class'],
                $json['melts_at_c'],
            ],
        );
    }

    public function test_nothing_counted_has_no_verdict(): void
    {
        $json = json_decode((string) json_encode(self::assess(self::formula([]))), true);

        self::assertSame(
            [null, null, null, 'adult-leave-on'],
            [$json['water_class'], $json['life_months'], $json['texture'], $json['audience']],
        );
        self::assertNull(
            Keeping::of(self::assess(self::formula([]))->subject, new DateTimeImmutable('2026-12-01')),
        );
    }

    public function test_strong_oils_are_judged_by_being_there(): void
    {
        $child = self::read("Hair oil for my two-year-old\n100 ml olive oil\nessential oils\n");
        self::assertSame(Audience::Child2To6, $child->subject->formula()->audience);
        self::assertContains('load.open', self::codes($child));
        self::assertSame(Severity::Stop, self::finding($child, 'load.open')->severity);

        $sun = self::assess(self::formula(['olive-oil' => '100 g', 'bergamot-expressed-eo' => '']));
        self::assertSame(Severity::Stop, self::finding($sun, 'phototoxic')->severity);

        $young = self::assess(
            self::formula(['olive-oil' => '100 g', 'saw-palmetto' => ''], audience: Audience::Child6To12),
        );
        self::assertContains('child.avoid', self::codes($young));
    }

    public function test_an_unknown_name_is_a_stop_where_somebody_must_not_have_everything(): void
    {
        foreach (Audience::cases() as $audience) {
            $said = self::assess(self::formula(['olive-oil' => '90 g', 'zubrol' => '10 g'], audience: $audience));
            self::assertSame(
                $audience->isChild() || $audience === Audience::Pregnancy ? Severity::Stop : Severity::Caution,
                self::finding($said, 'ingredient.unknown')->severity,
                $audience->value,
            );
        }
    }

    public function test_one_press_settles_what_it_is(): void
    {
        $formula = self::formula(['olive-oil' => '90 g', 'zubrol' => '10 g']);
        $cures = self::finding(self::assess($formula), 'ingredient.unknown')->cures;
        $settled = [];
        foreach ($cures as $cure) {
            $then = $cure->change->applyTo($formula, self::catalogue());
            $nature = count($then->lines) === 2 ? Nature::ofId((string) $then->lines[1]->ingredient) : null;
            if ($nature !== null) {
                $settled[$nature->value] = self::assess($then);
            }
        }

        self::assertSame(['oil', 'fat', 'dry', 'watery', 'scent'], array_keys($settled));
        self::assertSame(WaterClass::Dry, $settled['oil']->subject->water->class);
        self::assertLessThanOrEqual(6.0, $settled['oil']->subject->life->months?->high, 'as the most perishable');
        self::assertSame('zubrol', $settled['oil']->subject->composition->portion('l2')->name());
        self::assertSame(WaterClass::Free, $settled['watery']->subject->water->class);
        self::assertContains('load.total', self::codes($settled['scent']));
        self::assertFalse($settled['fat']->subject->texture->isKnown());
    }

    public function test_a_doubt_stays_until_it_is_settled_and_counts_at_its_worst(): void
    {
        $formula = self::formula(['olive-oil' => '90 g']);
        $line = new Line(
            'l2',
            'cucumber-seed-oil',
            'Cucumber seed oil',
            new WrittenAmount('10 g'),
            '',
            Phase::Warm,
            read: new Doubt('cucumber', 'cucumber-seed-oil', null),
        );
        $doubtful = $formula->withLines([...$formula->lines, $line]);
        $written = (string) json_encode(FormulaDocument::write($doubtful));
        $kept = FormulaDocument::read((array) json_decode($written, true));
        $said = self::assess($kept);

        self::assertSame(WaterClass::Free, $said->subject->water->class, 'it may be the fruit');
        self::assertSame('doubtful', json_decode((string) json_encode($said), true)['lines'][1]['understood']);
        $yes = self::finding($said, 'line.doubtful')->cures[0]->change->applyTo($kept, self::catalogue());
        self::assertSame(WaterClass::Dry, self::assess($yes)->subject->water->class);
        self::assertNull($kept->lines[1]->withIngredient('olive-oil', 'Olive oil', Phase::Warm)->doubt());
        $more = $kept->lines[1]->withAmount(new WrittenAmount('20 g'));
        self::assertNotNull($more->doubt(), 'it is what, not how much');
    }

    /** Whatever is added without being known: it removes nothing that was found, and nothing keeps longer for it. */
    public function test_adding_what_is_not_known_removes_no_finding_and_lengthens_no_life(): void
    {
        $added = 0;
        foreach (self::drawn(160, 2801) as $formula) {
            $before = self::assess($formula);
            foreach (self::unknownLines() as $what => $line) {
                $after = self::assess($formula->withLines([...$formula->lines, $line]));
                $added++;
                self::assertSame([], self::lost($before, $after), $formula->title.' + '.$what);
                self::assertShorter($before, $after, $formula->title.' + '.$what);
            }
        }
        self::assertGreaterThan(1000, $added);
    }

    /**
     * No jar with something unknown is dry (but for what is dry by its kind), in order, or keeps longer than the
     * shortest thing it may be.
     */
    public function test_no_jar_with_something_unknown_is_in_order(): void
    {
        foreach (self::drawn(160, 2802) as $formula) {
            foreach (self::unknownLines() as $what => $line) {
                $said = self::assess($formula->withLines([...$formula->lines, $line]));
                $its = $said->subject->composition->portion('new')->ingredient;
                $surelyDry = $its->isPlaced() && $its->freeWater('')->high <= 0.0;
                self::assertTrue($surelyDry || $said->subject->water->class !== WaterClass::Dry, $what);
                self::assertNotSame([], self::warned($said), $what);
                self::assertFalse($said->subject->texture->isKnown() && $line->doubt() === null, $what);
                $life = $said->subject->life->months;
                if ($life !== null && $its->oxidises()) {
                    self::assertLessThanOrEqual(
                        max(1.5, 1.0) * $its->facts->get(Property::LifeMonths)->band->low + 1e-9,
                        $life->low,
                        $what,
                    );
                }
                self::assertTrue($life === null || $its->isPlaced() || $life->high <= 3.0, $what);
            }
        }
    }

    /** @return iterable<string, Line> */
    private static function unknownLines(): iterable
    {
        foreach (self::NAMES as $name) {
            foreach (['40 g', ''] as $amount) {
                yield "$amount $name" => new Line('new', null, $name, new WrittenAmount($amount), '', Phase::Warm);
            }
        }
        foreach (['flaxseed-oil', 'lavender-eo', 'rose-hydrosol', 'shea-butter', 'rosemary'] as $n => $id) {
            yield "some $id" => new Line('new', $id, $id, new WrittenAmount(self::WORDS[$n]), '', Phase::Warm);
        }
    }

    /**
     * What was found before and is not found any more; a stop of the same kind stands for what it outweighs.
     *
     * @return list<string>
     */
    private static function lost(Assessment $before, Assessment $after): array
    {
        $now = array_map(self::named(...), $after->findings);
        $wet = array_filter(self::codes($after), static fn (string $c): bool => str_starts_with($c, 'water.')) !== [];

        return array_values(array_filter(
            array_diff(array_map(self::named(...), $before->findings), $now),
            // Traces and alcohol give way to free water, which is more; a sum of shares is about all of them.
            static fn (string $one): bool => ! ($wet && str_starts_with($one, 'water.'))
                && ! str_starts_with($one, 'shares.sum'),
        ));
    }

    private static function named(Finding $finding): string
    {
        $lines = array_unique(array_map(static fn ($p): string => $p->line->id, $finding->portions));

        return $finding->code.' '.(str_starts_with($finding->code, 'water.') ? '' : implode(' ', $lines));
    }

    private static function assertShorter(Assessment $before, Assessment $after, string $what): void
    {
        [$then, $now] = [$before->subject->life->months, $after->subject->life->months];
        if ($then !== null && $now !== null) {
            self::assertLessThanOrEqual($then->low + 1e-9, $now->low, $what);
            self::assertLessThanOrEqual($then->high + 1e-9, $now->high, $what);
        }
    }

    /** @return list<Finding> stops and cautions */
    private static function warned(Assessment $said): array
    {
        return array_values(
            array_filter($said->findings, static fn (Finding $f): bool => $f->severity !== Severity::Note),
        );
    }

    private static function read(string $text): Assessment
    {
        $formula = (new RecipeReader(self::catalogue(), new Kitchen()))->read($text)->toFormula();

        return Assessor::standard()->assess($formula, self::context());
    }

    /** @return iterable<Formula> of known things in weighed amounts */
    private static function drawn(int $count, int $seed): iterable
    {
        mt_srand($seed);
        $ids = array_keys(self::catalogue()->all());
        for ($n = 0; $n < $count; $n++) {
            $lines = [];
            for ($i = mt_rand(1, 8); $i > 0; $i--) {
                $id = $ids[mt_rand(0, count($ids) - 1)];
                $few = in_array(
                    self::catalogue()->get($id)->kind,
                    [IngredientKind::EssentialOil, IngredientKind::Preservative, IngredientKind::OilActive],
                    true,
                );
                $lines[] = new Line(
                    'l'.$i,
                    $id,
                    $id,
                    new WrittenAmount(($few ? mt_rand(1, 30) / 10 : mt_rand(5, 200)).' g'),
                    '',
                    Phase::usualFor(self::catalogue()->get($id)),
                );
            }
            yield new Formula(
                'Drawn '.$n,
                ProductKind::cases()[mt_rand(0, 9)],
                Audience::cases()[mt_rand(0, 6)],
                $lines,
                [],
                Size::asWritten(),
                mt_rand(0, 3) === 0,
            );
        }
    }
}
