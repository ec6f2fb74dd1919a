<?php

declare(strict_types=1);

namespace Tests\Core\Pantry;

use Crown\Assessment\Composition;
use Crown\Formula\Size;
use Crown\Pantry\JarCost;
use Crown\Pantry\LotLife;
use Crown\Pantry\Pack;
use Crown\Pantry\PantryError;
use Crown\Pantry\Planned;
use Crown\Pantry\Shopping;
use Crown\Pantry\UseUp;
use DateTimeImmutable;
use Tests\Core\CoreTestCase;

/** What has to be bought, in which packs, and what a jar costs. */
final class ShoppingTest extends CoreTestCase
{
    /**
     * @param  list<array{float, float|null}>  $packs
     * @return array<string, int> how many, by size
     */
    private static function bought(array $packs, float $grams): array
    {
        $found = [];
        foreach (Pack::cheapest(array_map(static fn (array $p): Pack => new Pack(...$p), $packs), $grams) as $buy) {
            $found[(string) $buy['pack']->grams] = $buy['count'];
        }

        return $found;
    }

    /** 600 g: a kilogram for 20 is dearer than 250 + 250 + 100 for 6 + 6 + 3 = 15. */
    public function test_the_cheapest_packs_are_found_even_where_a_larger_one_is_cheaper_by_the_gram(): void
    {
        $packs = [[1000.0, 20.0], [250.0, 6.0], [100.0, 3.0]];
        self::assertEquals(['250' => 2, '100' => 1], self::bought($packs, 600.0));
        self::assertEquals(['1000' => 1], self::bought($packs, 900.0));
        self::assertEquals(['1000' => 1, '250' => 1], self::bought($packs, 1250.0));
        self::assertEquals(['100' => 1], self::bought($packs, 100.0));
        self::assertEquals([], self::bought([], 50.0));
        self::assertEquals([], self::bought($packs, 0.0));
    }

    public function test_where_no_price_is_known_the_fewest_grams_are_bought(): void
    {
        self::assertEquals(['250' => 1], self::bought([[1000.0, null], [250.0, null]], 200.0));
        // One with a price is reckoned with, one without is not.
        self::assertEquals(['1000' => 1], self::bought([[1000.0, 5.0], [250.0, null]], 200.0));
    }

    /** Of 100 g with 60 % argan two times 60 g are planned: of 150 g there are 30 left over. */
    public function test_what_is_in_no_plan_is_said(): void
    {
        $wanted = [self::made('argan-oil', 60.0, 100.0), self::made('argan-oil', 60.0, 100.0)];
        $say = static fn (?float $left): string => Planned::of($wanted, ['argan-oil'], $left)->words();
        self::assertSame('What is being made or was ordered takes 120 g; 30 g are in no plan.', $say(150.0));
        self::assertSame(
            'What is being made or was ordered takes 120 g, which is 20 g more than there is.',
            $say(100.0),
        );
        self::assertSame('What is being made or was ordered takes 120 g.', $say(null));
        self::assertSame(
            'Nothing that is being made or was ordered takes any of it.',
            Planned::of($wanted, ['jojoba-oil'], 50.0)->words(),
        );
    }

    public function test_a_jar_costs_more_by_so_many_per_cent_of_one_thing(): void
    {
        $materials = [['name' => 'Cocoa butter', 'grams' => 100.0, 'money' => 5.6, 'from' => 'lots']];
        $cost = (new JarCost($materials, 4, rise: 30.0))->jsonSerialize();
        // 30 % of 5.60 on four jars.
        self::assertSame([30.0, 0.42], [$cost['rise'], $cost['materials'][0]['more_a_jar']]);
        $this->expectException(PantryError::class);
        new JarCost($materials, 4, rise: -101.0);
    }

    /** As every combination of up to six of each would say. */
    public function test_nothing_cheaper_can_be_bought(): void
    {
        mt_srand(11);
        for ($n = 0; $n < 60; $n++) {
            $packs = [];
            for ($k = 0; $k < 3; $k++) {
                $packs[] = [(float) mt_rand(20, 300), (float) mt_rand(1, 30)];
            }
            $grams = (float) mt_rand(10, 500);
            $least = INF;
            for ($code = 0; $code < 27 ** 3; $code++) {
                [$a, $b, $c] = [$code % 27, intdiv($code, 27) % 27, intdiv($code, 729)];
                if ($a * $packs[0][0] + $b * $packs[1][0] + $c * $packs[2][0] >= $grams) {
                    $least = min($least, $a * $packs[0][1] + $b * $packs[1][1] + $c * $packs[2][1]);
                }
            }
            $money = 0.0;
            foreach (Pack::cheapest(array_map(static fn (array $p): Pack => new Pack(...$p), $packs), $grams) as $buy) {
                $money += $buy['count'] * (float) $buy['pack']->cost;
            }
            self::assertSame($least, $money);
        }
    }

    private static function made(string $id, float $percent, float $grams): Composition
    {
        return Composition::of(
            self::formula([$id => $percent.' %', 'water' => (100 - $percent).' %'])->withSize(Size::mass($grams)),
            self::context(),
        );
    }

    /** 60 % of 500 g and 50 % of 200 g are 400 g of shea; 150 are there: 250 short. */
    public function test_several_batches_share_one_list(): void
    {
        $list = Shopping::of(
            [self::made('shea-butter', 60.0, 500.0), self::made('shea-butter', 50.0, 200.0)],
            ['shea-butter' => 150.0],
            ['shea-butter' => [new Pack(100.0, 2.0), new Pack(250.0, 4.5)]],
        );
        $row = $list->rows()[0];
        self::assertEqualsWithDelta([400.0, 150.0, 250.0], [$row->needed, $row->atHand, $row->short], 0.01);
        self::assertSame([1, 4.5], [$row->buy[0]['count'], $row->money()]);
        self::assertCount(1, $list->rows(), 'tap water is not bought');
        self::assertSame('Shea butter: 250 g, 1 x 250 g', $list->text());
        self::assertStringContainsString("\"Shea butter\",400,150,250,4.5\r\n", $list->csv());
    }

    public function test_what_nobody_counted_is_neither_short_nor_enough(): void
    {
        $list = Shopping::of([self::made('olive-oil', 80.0, 100.0)], ['olive-oil' => null], []);
        self::assertNull($list->rows()[0]->short);
        self::assertSame('', $list->text());
        self::assertStringContainsString('"Olive oil",80,,,', $list->csv());
        $none = Shopping::of([self::made('olive-oil', 80.0, 100.0)], [], []);
        self::assertSame('Olive oil: 80 g', $none->text());
        self::assertNull($none->rows()[0]->money());
    }

    /** 60 % of it: 300 g of it make 500 g, which want 200 g of the other; 150 are there. */
    public function test_what_is_left_is_used_up_by_a_batch_of_its_own_size_or_of_the_size_for_all(): void
    {
        $butter = Composition::of(
            self::formula(['shea-butter' => '60 %', 'olive-oil' => '40 %'])->withSize(Size::mass(200.0)),
            self::context(),
        );
        $use = UseUp::of($butter, 'shea-butter', 300.0, ['shea-butter' => 300.0, 'olive-oil' => 150.0]);
        self::assertEqualsWithDelta(
            [0.6, 120.0, 180.0, 500.0],
            [$use?->share, $use?->uses, $use?->remains(), $use?->wholeBatch()],
            1e-6,
        );
        self::assertSame([['name' => 'Olive oil', 'grams' => 50.0]], $use?->short);
        self::assertSame([], UseUp::of($butter, 'shea-butter', 300.0, ['olive-oil' => null])?->short);
        self::assertSame(0.0, UseUp::of($butter, 'shea-butter', 100.0, ['olive-oil' => 900.0])?->remains());
        self::assertNull(UseUp::of($butter, 'castor-oil', 300.0, []));
    }

    /** Of what stands warmer than its label says it is to be used sooner: ten degrees, half the time. */
    public function test_a_label_holds_up_to_where_it_was_said_to_stand(): void
    {
        $day = static fn (string $d): DateTimeImmutable => new DateTimeImmutable($d);
        $label = $day('2027-01-01')->modify('+100 days');
        self::assertEquals($label, LotLife::made($day('2027-01-01'), $label, 20.0, 5.0)->useBy);
        $warm = LotLife::made($day('2027-01-01'), $label, 20.0, 30.0);
        self::assertEquals($day('2027-01-01')->modify('+50 days'), $warm->useBy);
        self::assertSame('It stands at 30 °C, and so keeps 0.50 as long.', $warm->reasons[0]);
        self::assertSame('Its label\'s day holds up to 20 °C.', $warm->reasons[1]);
        // From the fridge to the room: as much as the cold had given.
        self::assertLessThan($label, LotLife::made($day('2027-01-01'), $label, 5.0, 20.0)->useBy);
    }

    /** (4 + 2) of stuff and half an hour at 12 on 4 jars are 3 each, and 0.50 for the jar; with half as margin 7. */
    public function test_a_jar_costs_its_part_of_all_and_its_price_leaves_the_margin(): void
    {
        $of = static fn (string $name, ?float $money): array => [
            'name' => $name,
            'grams' => 5.0,
            'money' => $money,
            'from' => 'lots',
        ];
        $cost = new JarCost([$of('Shea', 4.0), $of('Cocoa', 2.0), $of('Oil', null)], 4, 0.5, 30.0, 12.0, 50.0);
        self::assertSame([6.0, ['Oil']], [$cost->known(), $cost->unknown()]);
        self::assertEqualsWithDelta(3.5, $cost->perJar(), 1e-9);
        self::assertEqualsWithDelta(7.0, $cost->price(), 1e-9);
        // Cocoa a third dearer: 0.66 on four jars.
        self::assertEqualsWithDelta(0.15, $cost->whatIf('Cocoa', 30.0), 1e-9);
        self::assertSame(0.0, $cost->whatIf('Oil', 30.0));
        self::assertSame(0.05, $cost->jsonSerialize()['materials'][1]['more_a_jar']);
        foreach ([[0, 0.0], [1, 96.0], [1, -1.0]] as [$jars, $margin]) {
            try {
                new JarCost([], $jars, 0.0, 0.0, 0.0, $margin);
                self::fail('allowed');
            } catch (PantryError $e) {
                self::assertSame('not-allowed', $e->cause);
            }
        }
    }
}
