<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Context;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Keeping;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\CatalogueError;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\OwnEntry;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Make\MakeSheet;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Measure\WrittenAmount;
use Crown\Papers\Label;
use Crown\Solving\Between;
use Crown\Solving\Candidate;
use Crown\Solving\Goal;
use Crown\Solving\Requirement\DermalMaxima;
use Crown\Solving\Requirement\EssentialOilLoad;
use Crown\Solving\Solver;
use Crown\Steep\Pour;
use Crown\Steep\SteepError;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\CoreTestCase;

/** What is bought mixed is judged as if each of its parts stood in the formula by itself. */
final class ReadyBlendTest extends CoreTestCase
{
    /** A scale so fine that a mass is what it says. */
    private const SCALE = 0.000001;

    /** @param  array<string, float|null>  $parts per cent by ingredient id */
    private static function entry(array $parts, string $name = 'Evening scent'): OwnEntry
    {
        $rows = [];
        foreach ($parts as $id => $percent) {
            $rows[] = ['ingredient' => $id, 'percent' => $percent];
        }

        return OwnEntry::read('own-1', [
            'format' => 'honest-crown/own-ingredient',
            'version' => 1,
            'name' => $name,
            'inci' => '',
            'kind' => 'unknown',
            'like' => '',
            'synonyms' => [],
            'allergens' => [],
            'vegan' => true,
            'figures' => [],
            'parts' => $rows,
        ], self::catalogue());
    }

    /** @param  array<string, float|null>  $parts */
    private static function with(array $parts): Catalogue
    {
        return self::catalogue()->with(self::entry($parts)->ingredient());
    }

    /** @param  list<array{string, float, Phase}>  $lines ingredient, grams, phase */
    private static function jar(
        array $lines,
        Catalogue $catalogue,
        Audience $audience = Audience::AdultLeaveOn,
    ): Assessment {
        $built = [];
        foreach ($lines as $n => [$id, $grams, $phase]) {
            $amount = new WrittenAmount(sprintf('%.6F g', $grams));
            $built[] = new Line('l'.($n + 1), $id, $catalogue->get($id)->name, $amount, '', $phase);
        }
        $formula = new Formula('Trial', ProductKind::HairOil, $audience, $built, [], Size::asWritten());

        return Assessor::standard()->assess($formula, new Context($catalogue, new Kitchen(scaleGrams: self::SCALE)));
    }

    /** @return list<string> what is found, and how gravely, apart from where it stands */
    private static function found(Assessment $of): array
    {
        $all = array_map(
            static fn (Finding $f): string => sprintf('%s %s %s', $f->code, $f->severity->value, implode(
                ' ',
                array_map(static fn ($f): string => sprintf(
                    // Two lines are weighed with two half steps of the scale, so that their worst is a hair more.
                    '%.3g/%.3g',
                    $f->band->best,
                    $f->band->high,
                ), $f->figures),
            )),
            array_filter($of->findings, static fn (Finding $f): bool => ! in_array($f->code, [
                // These look at the line as it is weighed and put in.
                'scale.resolution', 'phase.heat-shy',
            ], true)),
        );
        sort($all);

        return $all;
    }

    public function test_a_jar_is_judged_the_same_whether_its_parts_come_mixed_or_one_by_one(): void
    {
        $random = new Randomizer(new Mt19937(19));
        $ids = array_values(array_filter(
            array_keys(self::catalogue()->all()),
            static fn (string $id): bool => ! self::catalogue()->get($id)->kind->isPlant(),
        ));
        for ($trial = 0; $trial < 60; $trial++) {
            $of = $random->pickArrayKeys($ids, $random->getInt(2, 4));
            $shares = array_map(static fn (): int => $random->getInt(1, 20), $of);
            $parts = [];
            foreach ($of as $n => $key) {
                $parts[$ids[$key]] = $shares[$n] / array_sum($shares) * 100;
            }
            $catalogue = self::with($parts);
            $phase = Phase::usualFor($catalogue->get('own-1'));
            $grams = $random->getInt(10, 400) / 10;
            $base = [['sunflower-oil', 60.0, Phase::Warm], ['castor-oil', 20.0, Phase::Warm]];
            $audience = Audience::cases()[$random->getInt(0, count(Audience::cases()) - 1)];
            $mixed = self::jar([...$base, ['own-1', $grams, $phase]], $catalogue, $audience);
            $single = self::jar([...$base, ...array_map(
                static fn (string $id): array => [$id, $grams * $parts[$id] / 100, $phase],
                array_keys($parts),
            )], $catalogue, $audience);
            $case = json_encode([$parts, $grams, $audience->value]);
            self::assertSame(self::found($single), self::found($mixed), (string) $case);
            self::assertEqualsWithDelta(
                $single->subject->load->percent()->high,
                $mixed->subject->load->percent()->high,
                1e-3,
            );
            self::assertSame($single->subject->water->class, $mixed->subject->water->class, (string) $case);
            $day = new DateTimeImmutable('2027-03-01');
            [$one, $other] = [Keeping::of($single->subject, $day), Keeping::of($mixed->subject, $day)];
            self::assertEquals($one, $other, (string) $case);
            $label = static fn (Assessment $a): Label => new Label($a, 'T-1', 50.0, $day, 'Made here');
            self::assertSame($label($single)->ingredients(), $label($mixed)->ingredients(), (string) $case);
            self::assertEqualsCanonicalizing($label($single)->contains(), $label($mixed)->contains(), (string) $case);
            self::assertEqualsCanonicalizing($label($single)->cautions(), $label($mixed)->cautions(), (string) $case);
        }
    }

    public function test_on_the_scale_it_is_one_line(): void
    {
        $catalogue = self::with(['lavender-eo' => 60.0, 'rosemary-eo' => 40.0]);
        $jar = self::jar([['jojoba-oil', 99.0, Phase::Warm], ['own-1', 1.0, Phase::CoolDown]], $catalogue);
        self::assertCount(2, $jar->subject->composition->weighed());
        self::assertCount(3, $jar->subject->composition->counted());
        $names = array_map(static fn ($w): string => $w->name, (new MakeSheet($jar))->weighings());
        self::assertSame(['Jojoba oil', 'Evening scent'], $names);
        self::assertSame(['jojoba-oil', 'own-1'], array_keys($jar->subject->composition->percentages()));
    }

    public function test_the_scent_in_a_base_oil_counts_and_is_cut_with_its_line(): void
    {
        // A tenth of it is essential oil: 40 g in 100 g are 4 % at the scalp, and 2 % is the ceiling of the kind.
        $catalogue = self::with(['jojoba-oil' => 90.0, 'lavender-eo' => 10.0]);
        $blend = $catalogue->get('own-1');
        self::assertSame(IngredientKind::LiquidWaxEster, $blend->kind);
        self::assertSame(Phase::CoolDown, Phase::usualFor($blend));
        self::assertEqualsWithDelta(0.1, $blend->essentialShare(), 1e-9);
        $jar = self::jar([['sunflower-oil', 60.0, Phase::Warm], ['own-1', 40.0, Phase::CoolDown]], $catalogue);
        self::assertEqualsWithDelta(4.0, $jar->subject->load->percent()->best, 1e-6);
        $ceiling = Audience::AdultLeaveOn->essentialOilCeiling();
        $total = array_values(array_filter($jar->findings, static fn ($f): bool => $f->code === 'load.total'));
        self::assertCount(1, $total);
        $cured = $total[0]->cures[0]->change->applyTo($jar->subject->formula(), $catalogue);
        $then = Assessor::standard()->assess($cured, $jar->subject->context);
        self::assertLessThanOrEqual($ceiling, $then->subject->load->percent()->high);
        // f x 4 / (f x 4 + f x 36 + 60) = 2 %: no more is taken away than has to be.
        self::assertGreaterThan($ceiling - 0.02, $then->subject->load->percent()->best);
        self::assertStringContainsString('Lavender essential oil', $total[0]->portions[0]->name());
    }

    public function test_what_is_cut_is_enough_also_where_its_line_is_much_of_the_jar(): void
    {
        // The whole becomes less with the line: half of it is not half its share.
        $catalogue = self::with(['jojoba-oil' => 98.5, 'clove-bud-eo' => 1.5]);
        $jar = self::jar([['sunflower-oil', 30.0, Phase::Warm], ['own-1', 70.0, Phase::CoolDown]], $catalogue);
        $more = self::jar([['sunflower-oil', 88.0, Phase::Warm], ['clove-bud-eo', 12.0, Phase::CoolDown]], $catalogue);
        foreach ([$jar, $more] as $one) {
            $over = array_values(array_filter($one->findings, static fn ($f): bool => $f->code === 'load.constituent'));
            self::assertNotSame([], $over);
            $cured = $over[0]->cures[0]->change->applyTo($one->subject->formula(), $catalogue);
            $then = Assessor::standard()->assess($cured, $one->subject->context);
            self::assertNotContains('load.constituent', self::codes($then));
        }
    }

    public function test_a_blend_holds_no_blend(): void
    {
        $inner = self::with(['argan-oil' => 50.0, 'jojoba-oil' => 50.0]);
        $nested = OwnEntry::read('own-2', [
            'name' => 'Outer',
            'vegan' => true,
            'parts' => [['ingredient' => 'own-1', 'percent' => 50], ['ingredient' => 'olive-oil', 'percent' => 50]],
        ], $inner);
        $this->expectException(CatalogueError::class);
        $this->expectExceptionMessage('Evening scent is a blend itself');
        $nested->blend?->holdsNoBlend();
    }

    public function test_what_the_supplier_does_not_say_is_taken_at_its_worst(): void
    {
        // Half is lavender; bergamot and sweet almond share the rest nobody knows how.
        $catalogue = self::with([
            'lavender-eo' => 50.0, 'bergamot-expressed-eo' => null, 'sweet-almond-oil' => null,
        ]);
        $blend = $catalogue->get('own-1');
        self::assertEqualsWithDelta(1.0, $blend->essentialShare(), 1e-9);
        $jar = self::jar([['jojoba-oil', 99.0, Phase::Warm], ['own-1', 1.0, Phase::CoolDown]], $catalogue);
        $load = $jar->subject->load->percent();
        self::assertEqualsWithDelta(0.5, $load->low, 1e-3);
        self::assertEqualsWithDelta(0.75, $load->best, 1e-3);
        self::assertEqualsWithDelta(1.0, $load->high, 1e-3);
        // Bergamot may be half of it: 0.5 % at worst, over the 0.4 % that sunlight allows.
        $burns = array_values(array_filter($jar->findings, static fn ($f): bool => $f->code === 'phototoxic'));
        self::assertSame('stop', $burns[0]->severity->value);
        self::assertEqualsWithDelta(0.5, $burns[0]->figure(FigureName::Share)->high, 1e-3);
        $only = self::with(['lavender-eo' => null, 'rosemary-eo' => null]);
        $jar = self::jar([['jojoba-oil', 99.0, Phase::Warm], ['own-1', 1.0, Phase::CoolDown]], $only);
        // Whatever their shares are, all of it is scent.
        self::assertEqualsWithDelta(1.0, $jar->subject->load->percent()->high, 1e-3);
        self::assertEqualsWithDelta(1.0, $jar->subject->load->percent()->low, 1e-3);
    }

    public function test_the_same_oil_in_a_blend_and_beside_it_is_one_oil_on_the_skin(): void
    {
        $catalogue = self::with(['tea-tree-eo' => 50.0, 'jojoba-oil' => 50.0]);
        $limit = $catalogue->get('tea-tree-eo')->facts->best(Property::DermalMax, 0.0);
        $half = $limit * 0.6;
        $jar = self::jar([
            ['jojoba-oil', 100.0 - 3 * $half, Phase::Warm],
            ['tea-tree-eo', $half, Phase::CoolDown],
            ['own-1', 2 * $half, Phase::CoolDown],
        ], $catalogue);
        $over = array_values(array_filter($jar->findings, static fn ($f): bool => $f->code === 'load.oil'));
        self::assertCount(1, $over);
        self::assertEqualsWithDelta(2 * $half, $over[0]->figure(FigureName::Share)->best, 1e-4);
        self::assertSame(['l2', 'l3'], $over[0]->jsonSerialize()['lines']);
    }

    public function test_it_keeps_as_long_as_its_weakest_part_and_weighs_what_its_parts_weigh(): void
    {
        $blend = self::entry(['rosehip-oil' => 25.0, 'argan-oil' => 75.0], 'Face base')->ingredient();
        [$rosehip, $argan] = [self::catalogue()->get('rosehip-oil'), self::catalogue()->get('argan-oil')];
        self::assertEquals(
            $rosehip->facts->get(Property::LifeMonths)->band,
            $blend->facts->get(Property::LifeMonths)->band,
        );
        // 25 g and 75 g over the sum of their volumes.
        $volume = 25 / $rosehip->density20() + 75 / $argan->density20();
        self::assertEqualsWithDelta(100 / $volume, $blend->density20(), 1e-9);
        self::assertEqualsWithDelta(0.25, $blend->inciShares()[$rosehip->inci], 1e-9);
        self::assertEqualsWithDelta(
            0.25 * $rosehip->composition->fattyAcids->share('linoleic')
                + 0.75 * $argan->composition->fattyAcids->share('linoleic'),
            $blend->composition->fattyAcids->share('linoleic'),
            1e-9,
        );
    }

    public function test_the_solver_counts_the_scent_of_a_blend(): void
    {
        $catalogue = self::with(['jojoba-oil' => 80.0, 'tea-tree-eo' => 20.0]);
        $limit = $catalogue->get('tea-tree-eo')->facts->best(Property::DermalMax, 0.0);
        $candidates = [
            new Candidate($catalogue->get('sunflower-oil'), now: 10.0),
            new Candidate($catalogue->get('own-1'), now: 90.0),
        ];
        $answer = Solver::solve($candidates, [new EssentialOilLoad(new Between(most: 1.0))], [Goal::Nearest]);
        self::assertEqualsWithDelta(5.0, $answer->shares['own-1'], 1e-3);
        $answer = Solver::solve($candidates, [new DermalMaxima(new Between())], [Goal::Nearest]);
        self::assertEqualsWithDelta(min(90.0, $limit / 0.2), $answer->shares['own-1'], 1e-3);
    }

    public function test_it_goes_in_when_its_most_delicate_part_may(): void
    {
        $oils = self::entry(['argan-oil' => 50.0, 'olive-oil' => 50.0])->ingredient();
        self::assertSame(Phase::Warm, Phase::usualFor($oils));
        $butters = self::entry(['shea-butter' => 60.0, 'olive-oil' => 40.0])->ingredient();
        self::assertSame(Phase::Melt, Phase::usualFor($butters));
        self::assertSame(IngredientKind::Butter, $butters->kind);
        $shea = self::catalogue()->get('shea-butter')->composition->solidFat;
        self::assertEqualsWithDelta(
            0.6 * $shea->at(20.0) * $shea->structure,
            $butters->composition->solidFat->at(20.0),
            1e-9,
        );
    }

    public function test_plants_are_not_steeped_in_scent(): void
    {
        $blend = self::entry(['jojoba-oil' => 99.0, 'lavender-eo' => 1.0])->ingredient();
        $this->expectException(SteepError::class);
        new Pour($blend, 100.0, new DateTimeImmutable('2027-03-01'));
    }

    /** @return iterable<string, array{array<string, float|null>, string, string}> */
    public static function wrong(): iterable
    {
        yield 'one thing' => [['jojoba-oil' => 100.0], 'parts', '2 to 20 things'];
        yield 'too little' => [['jojoba-oil' => 40.0, 'argan-oil' => 40.0], 'parts', 'come to 80 %'];
        yield 'nothing left' => [['jojoba-oil' => 100.0, 'argan-oil' => null], 'parts', 'nothing is left'];
        yield 'below nothing' => [['jojoba-oil' => -1.0, 'argan-oil' => 101.0], 'parts.0.percent', 'above 0 and'];
    }

    /** @param  array<string, float|null>  $parts */
    #[DataProvider('wrong')]
    public function test_what_is_no_blend_is_refused_by_its_field(array $parts, string $field, string $words): void
    {
        try {
            self::entry($parts);
            self::fail('It was taken.');
        } catch (CatalogueError $e) {
            self::assertSame($field, $e->path);
            self::assertStringContainsString($words, $e->getMessage());
        }
    }

    public function test_shares_that_a_supplier_rounds_come_to_the_whole(): void
    {
        $parts = self::entry(['jojoba-oil' => 33.3, 'argan-oil' => 33.3, 'castor-oil' => 33.0])->ingredient()->blend;
        self::assertEqualsWithDelta(1.0, array_sum(array_map(static fn ($p): float => $p->share->best, $parts)), 1e-12);
    }

    public function test_what_has_left_the_reference_is_kept_and_asked_about(): void
    {
        $catalogue = self::with(['jojoba-oil' => 50.0, 'no-such-oil' => 50.0]);
        $jar = self::jar([['sunflower-oil', 60.0, Phase::Warm], ['own-1', 40.0, Phase::Warm]], $catalogue);
        $codes = array_map(static fn ($f): string => $f->code, $jar->findings);
        self::assertContains('ingredient.unknown', $codes);
    }
}
