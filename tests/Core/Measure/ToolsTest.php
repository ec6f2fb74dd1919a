<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Crown\Json\Node;
use Crown\Measure\CupSize;
use Crown\Measure\Kit;
use Crown\Measure\Place;
use Crown\Measure\Pump;
use Crown\Measure\School;
use Crown\Measure\Thermometer;
use Crown\Measure\Tools;
use Crown\Measure\Ways;
use Crown\Measure\Weave;
use Tests\Core\CoreTestCase;

/** What stands in a kitchen besides scales and spoons, and which of it is taken. */
final class ToolsTest extends CoreTestCase
{
    /** @param  array<string, mixed>  ...$items */
    private static function tools(array ...$items): Tools
    {
        $kit = Kit::read([]);
        foreach ($items as $item) {
            $kit = $kit->with(Node::of($item));
        }

        return Tools::of(Kit::read($kit->document()));
    }

    public function test_the_smallest_bowl_that_holds_it_is_taken_and_no_plastic_over_heat(): void
    {
        $tools = self::tools(
            ['kind' => 'bowl', 'name' => 'big', 'millilitres' => 3000, 'material' => 'steel', 'tare_grams' => 612],
            ['kind' => 'bowl', 'name' => 'tub', 'millilitres' => 1000, 'material' => 'plastic'],
            ['kind' => 'bowl', 'name' => 'small', 'millilitres' => 500],
            ['kind' => 'pan', 'name' => 'wide', 'millilitres' => 5000],
            ['kind' => 'pan', 'name' => 'milk pan', 'millilitres' => 1500],
        );

        self::assertSame('small', $tools->bowlFor(500.0)?->name);
        self::assertSame('tub', $tools->bowlFor(501.0)?->name);
        $hot = $tools->bowlFor(501.0, true);
        self::assertSame(['big', 612.0], [$hot?->name, $hot?->tareGrams]);
        self::assertNull($tools->bowlFor(3001.0));
        self::assertSame('wide', $hot === null ? '' : $tools->panFor($hot)?->name);
        $small = $tools->bowlFor(1.0);
        self::assertSame('milk pan', $small === null ? '' : $tools->panFor($small)?->name);
    }

    public function test_the_smallest_mould_that_takes_all_else_the_largest_in_rounds(): void
    {
        $tools = self::tools(
            ['kind' => 'mould', 'name' => 'loaf', 'hollows' => 8, 'millilitres' => 60],
            ['kind' => 'mould', 'name' => 'hearts', 'hollows' => 6, 'millilitres' => 40],
        );

        self::assertSame(['hearts', 'loaf', 'loaf'], [
            $tools->mouldFor(240.0)?->name,
            $tools->mouldFor(241.0)?->name,
            $tools->mouldFor(900.0)?->name,
        ]);
        self::assertNull((new Tools())->mouldFor(1.0));
    }

    public function test_the_coarsest_strainer_that_holds_it(): void
    {
        $tools = self::tools(
            ['kind' => 'strainer', 'name' => 'coffee paper', 'weave' => 'paper'],
            ['kind' => 'strainer', 'name' => 'tea sieve', 'weave' => 'fine'],
            ['kind' => 'strainer', 'name' => 'muslin', 'weave' => 'cloth'],
        );

        self::assertSame(['tea sieve', 'muslin', 'coffee paper'], [
            $tools->strainerFor(Weave::Coarse)?->name,
            $tools->strainerFor(Weave::Cloth)?->name,
            $tools->strainerFor(Weave::Bag)?->name,
        ]);
        self::assertNull(self::tools(['kind' => 'strainer', 'name' => 'colander'])->strainerFor(Weave::Fine));
    }

    /** 40 °C, half a step under it, in whole steps: 39 by 1, 38 by 2, 39.9 by 0.1. */
    public function test_a_limit_is_read_low_by_half_a_step(): void
    {
        foreach ([[1.0, 39.0], [2.0, 38.0], [0.1, 39.9], [null, 40.0]] as [$step, $most]) {
            self::assertEqualsWithDelta($most, (new Thermometer('t', $step))->atMost(40.0), 1e-9);
        }
        $finest = self::tools(
            ['kind' => 'thermometer', 'name' => 'jam', 'step_celsius' => 2],
            ['kind' => 'thermometer', 'name' => 'old'],
            ['kind' => 'thermometer', 'name' => 'probe', 'step_celsius' => 0.5],
        )->thermometer;
        self::assertSame('probe', $finest?->name);
    }

    /** 20 strokes weighed 16 g: 0.8 g each, so 3 g are four strokes. */
    public function test_a_pump_gives_strokes_and_is_no_dropper(): void
    {
        $pump = ['kind' => 'dropper', 'sort' => 'pump', 'name' => 'the pump', 'drops' => 20, 'grams' => 16];
        $kit = Kit::read([])->with(Node::of([...$pump, 'ingredient' => 'jojoba-oil', 'substance' => 'Jojoba oil']));
        $kitchen = $kit->kitchen(CupSize::Metric, 1.0, null);

        self::assertSame([], $kitchen->calibrations);
        self::assertSame('about 4 strokes (the pump)', $kitchen->tools->pumps[0]->words(3.0));
        self::assertSame('about 1 stroke (it)', (new Pump('it', 0.8))->words(0.1));
    }

    public function test_places_go_by_their_warmest_months(): void
    {
        $told = static fn (Place $p): array => $p->jsonSerialize();
        $usual = array_column(array_map($told, Place::usual()), null, 'name');
        self::assertSame([26.0, true, false], [
            $usual['Bathroom shelf']['celsius'],
            $usual['Bathroom shelf']['wet'],
            $usual['Bathroom shelf']['own'],
        ]);
        self::assertSame(5.0, $usual['Fridge']['celsius']);
        $own = Kit::read([])
            ->with(Node::of(['kind' => 'place', 'name' => 'Attic', 'summer_celsius' => 31, 'winter_celsius' => 4]))
            ->with(Node::of([
                'kind' => 'place',
                'name' => 'Veranda',
                'summer_celsius' => 14,
                'winter_celsius' => 22,
                'wet' => 'wet',
            ]))
            ->places();
        self::assertEquals([
            ['name' => 'Attic', 'celsius' => 31.0, 'wet' => false, 'own' => true],
            ['name' => 'Veranda', 'celsius' => 22.0, 'wet' => true, 'own' => true],
        ], array_map($told, $own));
    }

    public function test_ways_are_those_chosen_and_else_the_safer(): void
    {
        $ways = Ways::of(['whipping' => 'long', 'scents' => 'no such']);

        self::assertTrue($ways->is(School::Whipping, 'long'));
        self::assertTrue($ways->is(School::Scents, 'none'));
        self::assertSame('grams', Ways::safer()->chosen(School::Measuring));
        self::assertSame(
            'long',
            Kit::read([])->kitchen(CupSize::Metric, 1.0, null, $ways)->ways->chosen(School::Whipping),
        );
    }
}
