<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Crown\Json\JsonError;
use Crown\Json\Node;
use Crown\Measure\AmountReader;
use Crown\Measure\Basis;
use Crown\Measure\Converter;
use Crown\Measure\CupSize;
use Crown\Measure\Figure;
use Crown\Measure\Input;
use Crown\Measure\Kit;
use Crown\Measure\Kitchen;
use Crown\Measure\KitKind;
use Crown\Measure\MeasureError;
use Crown\Measure\OwnSpoon;
use Crown\Measure\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** What a maker has takes the place of what is usual, and the working says so. */
final class KitTest extends CoreTestCase
{
    /** @param  array<string, mixed>  ...$items */
    private static function kit(array ...$items): Kit
    {
        $kit = Kit::read([]);
        foreach ($items as $item) {
            $kit = $kit->with(Node::of(['name' => 'mine', ...$item]));
        }

        return $kit;
    }

    private static function kitchen(Kit $kit): Kitchen
    {
        return $kit->kitchen(CupSize::UsCustomary, 1.0, null);
    }

    private static function grams(string $amount, string $id, Kitchen $kitchen, string $form = ''): Figure
    {
        $ingredient = self::catalogue()->get($id);

        return (new Converter($kitchen))->grams(
            AmountReader::read($amount),
            $ingredient->substance($form === '' ? $ingredient->usualForm() : $form),
        );
    }

    public function test_an_empty_kit_measures_as_the_studio_says(): void
    {
        $kitchen = Kit::read([])->kitchen(CupSize::Metric, 0.5, 900.0);

        self::assertSame(
            [CupSize::Metric, 0.5, 900.0, [], []],
            [$kitchen->cup, $kitchen->scaleGrams, $kitchen->bowlMillilitres, $kitchen->scales, $kitchen->spoons],
        );
        self::assertSame(0.5, $kitchen->stepFor(20.0));
        self::assertSame('studio setting', $kitchen->scaleFor(20.0)->source);
    }

    public function test_each_mass_is_weighed_on_the_finest_scale_that_carries_it(): void
    {
        $kitchen = self::kitchen(self::kit(
            ['kind' => 'scale', 'name' => 'kitchen scale', 'step_grams' => 1, 'most_grams' => 5000],
            ['kind' => 'scale', 'name' => 'small scale', 'step_grams' => 0.01, 'most_grams' => 100],
            ['kind' => 'scale', 'name' => 'middling scale', 'step_grams' => 0.1, 'most_grams' => 500],
        ));

        self::assertSame(
            [0.01, 0.01, 0.1, 0.1, 1.0, 1.0],
            array_map($kitchen->stepFor(...), [2.0, 100.0, 100.1, 500.0, 501.0, 9000.0]),
        );
        $little = self::grams('2 g', 'rosemary-eo', $kitchen);
        self::assertEqualsWithDelta([1.995, 2.005], [$little->band->low, $little->band->high], 1e-9);
        $source = array_map(static fn (Input $i): string => $i->source, $little->working->inputs);
        self::assertContains('small scale', $source, 'the working says which');
        self::assertEqualsWithDelta(600.5, self::grams('600 g', 'olive-oil', $kitchen)->band->high, 1e-9);
    }

    public function test_her_own_spoon_counts_for_what_it_was_weighed_with(): void
    {
        $kit = self::kit(
            ['kind' => 'scale', 'step_grams' => 0.1, 'most_grams' => 500],
            [
                'kind' => 'spoon',
                'unit' => 'tbsp',
                'ingredient' => 'shea-butter',
                'substance' => self::catalogue()->get('shea-butter')->name,
                'grams' => 12.1,
            ],
        );
        $two = self::grams('2 tbsp', 'shea-butter', self::kitchen($kit));
        // Half a step of the scale and a twentieth of the filling: 0.05 + 0.605 g each way.
        self::assertEqualsWithDelta([22.89, 24.2, 25.51], [$two->band->low, $two->band->best, $two->band->high], 1e-9);
        self::assertSame(Basis::Converted, $two->basis);
        self::assertStringContainsString('own spoon', $two->working->words);
        $usual = self::grams('2 tbsp', 'olive-oil', new Kitchen());
        self::assertEquals($usual->band, self::grams('2 tbsp', 'olive-oil', self::kitchen($kit))->band);
        self::assertSame(Basis::Estimated, self::grams('1 heaped tbsp', 'shea-butter', self::kitchen($kit))->basis);
    }

    public function test_a_spoon_weighed_with_water_tells_its_volume(): void
    {
        $kit = self::kit([
            'kind' => 'spoon',
            'unit' => 'tsp',
            'ingredient' => 'water',
            'substance' => self::catalogue()->get('water')->name,
            'grams' => 4.4,
        ]);
        // 4.4 g of water are 4.409 ml; olive oil weighs 0.914 g/ml.
        $one = self::grams('1 tsp', 'olive-oil', self::kitchen($kit));
        self::assertEqualsWithDelta(4.4 / 0.998 * 0.914, $one->band->best, 1e-3);
        $usual = self::grams('1 tsp', 'olive-oil', new Kitchen())->band->best;
        self::assertNotEqualsWithDelta($one->band->best, $usual, 0.1);
        self::assertEqualsWithDelta(14.787, self::kitchen($kit)->millilitres(Unit::Tablespoon), 1e-3);
    }

    public function test_a_dropper_is_calibrated_and_the_largest_bowl_counts(): void
    {
        $kitchen = self::kitchen(self::kit(
            [
                'kind' => 'dropper',
                'ingredient' => 'rosemary-eo',
                'substance' => self::catalogue()->get('rosemary-eo')->name,
                'drops' => 40,
                'grams' => 1.1,
            ],
            ['kind' => 'scale', 'step_grams' => 0.01, 'most_grams' => 200],
            ['kind' => 'bowl', 'millilitres' => 800, 'material' => 'steel'],
            ['kind' => 'bowl', 'millilitres' => 1500],
        ));
        $ten = self::grams('10 drops', 'rosemary-eo', $kitchen);

        self::assertEqualsWithDelta(0.275, $ten->band->best, 1e-9);
        self::assertEqualsWithDelta(0.275 + 10 * 0.005 / 40, $ten->band->high, 1e-9);
        self::assertSame(1500.0, $kitchen->bowlMillilitres);
        self::assertSame(0.01, $kitchen->scaleGrams);
    }

    public function test_a_kit_is_written_and_read_and_never_gives_a_number_twice(): void
    {
        $kit = self::kit(
            ['kind' => 'jar', 'name' => 'Tin', 'brim_ml' => 60],
            ['kind' => 'place', 'name' => 'Bath', 'summer_celsius' => 26, 'winter_celsius' => 22, 'wet' => 'wet'],
        );
        $again = Kit::read($kit->without(2)->document());
        self::assertSame([1], array_map(static fn ($i): int => $i->id, $again->items));
        $more = $again->with(Node::of(['kind' => 'strainer', 'name' => 'Muslin']));
        self::assertSame([1, 3], array_map(static fn ($i): int => $i->id, $more->items));
        self::assertTrue($more->has(3));
        self::assertFalse($more->has(2));
        $changed = $more->changed(1, Node::of(['kind' => 'jar', 'name' => 'Large tin', 'brim_ml' => 120]));
        self::assertSame(['Large tin', 120.0], [$changed->items[0]->name, $changed->items[0]->figure('brim_ml')]);
        self::assertSame(0.0, $changed->items[0]->figure('tare_grams'));
        self::assertCount(1, $changed->of(KitKind::Strainer));
    }

    /** @param  array<string, mixed>  $item */
    #[DataProvider('impossible')]
    public function test_what_cannot_be_is_refused_by_its_field(array $item, string $field, string $says): void
    {
        try {
            self::kit($item);
            self::fail('It was taken.');
        } catch (MeasureError|JsonError $e) {
            self::assertSame($field, $e->path);
            self::assertStringContainsString($says, $e->getMessage());
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function impossible(): iterable
    {
        yield 'of no kind' => [['kind' => 'spaceship'], 'kind', 'scale'];
        yield 'without a name' => [['kind' => 'strainer', 'name' => ' '], 'name', '1 to 80'];
        yield 'a long name' => [['kind' => 'strainer', 'name' => str_repeat('x', 81)], 'name', '1 to 80'];
        yield 'a scale without steps' => [['kind' => 'scale', 'most_grams' => 500], 'step_grams', '0.001 to 100 g'];
        yield 'steps of nothing' => [
            ['kind' => 'scale', 'step_grams' => 0, 'most_grams' => 500],
            'step_grams',
            'Shows steps of: 0.001 to 100 g.',
        ];
        yield 'too large a jar' => [['kind' => 'jar', 'brim_ml' => 20001], 'brim_ml', '1 to 20000 ml'];
        yield 'a spoon of nothing' => [['kind' => 'spoon', 'unit' => 'tsp', 'grams' => 4], 'ingredient', 'weighed'];
        yield 'a shovel' => [
            ['kind' => 'spoon', 'unit' => 'shovel', 'ingredient' => 'water', 'grams' => 4],
            'unit',
            'tsp, tbsp, cup',
        ];
        yield 'words for a figure' => [['kind' => 'bowl', 'millilitres' => 'much'], 'millilitres', 'number'];
    }

    public function test_a_kitchen_has_room_for_two_hundred_things(): void
    {
        $kit = self::kit(...array_fill(0, Kit::MOST, ['kind' => 'strainer']));
        $this->expectException(MeasureError::class);
        $kit->with(Node::of(['kind' => 'strainer', 'name' => 'one more']));
    }

    public function test_a_spoon_that_holds_nothing_is_none(): void
    {
        $none = [[Unit::Gram, 4.0, 1.0], [Unit::Teaspoon, 0.0, 1.0], [Unit::Teaspoon, 4.0, 0.0]];
        foreach ($none as [$unit, $grams, $step]) {
            try {
                new OwnSpoon($unit, 'Water', $grams, $step);
                self::fail('It was taken.');
            } catch (MeasureError $e) {
                self::assertSame('grams', $e->path);
            }
        }
    }
}
