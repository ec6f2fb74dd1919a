<?php

declare(strict_types=1);

namespace Tests\Core\Steep;

use Crown\Steep\Entry;
use Crown\Steep\EntryKind;
use Crown\Steep\SinglePlant;
use Crown\Steep\SteepDocument;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepYield;
use Crown\Steep\WaterChoice;
use DateTimeImmutable;
use Tests\Core\CoreTestCase;

final class SteepDocumentTest extends CoreTestCase
{
    private const KEPT = [
        'herbs' => [
            [
                'ingredient' => 'rosemary',
                'form' => 'dried',
                'preparation' => 'crushed',
                'amount' => '40 g',
                'grams' => 40,
                'draw' => 1,
                'cost' => 3.5,
            ],
        ],
        'oils' => [['ingredient' => 'olive-oil', 'amount' => '360 g', 'grams' => 360.0, 'cost' => 4]],
        'water_grams' => 0,
        'method' => 'cold-dark',
        'celsius' => 0,
        'minutes' => 0,
        'days' => 0,
        'jar_ml' => 900,
        'diameter_cm' => 9,
        'mouth_cm' => 0,
        'shaken_daily' => true,
        'pressed' => false,
    ];

    private static function kept(mixed ...$over): SteepDocument
    {
        return new SteepDocument([...self::KEPT, ...$over], self::day(0));
    }

    private static function day(int $n): DateTimeImmutable
    {
        return (new DateTimeImmutable('2027-03-01'))->modify(sprintf('+%d days', $n));
    }

    /** @param  array<string, mixed>  $data */
    private static function entry(EntryKind $kind, int $day, array $data = []): Entry
    {
        return new Entry($kind, self::day($day), $data);
    }

    public function test_what_stands_in_it_is_the_jar_and_nought_is_not_known(): void
    {
        $plan = self::kept()->plan(self::catalogue());

        self::assertSame([40.0, 360.0], [$plan->charge->plantGrams(), $plan->charge->oilGrams()]);
        self::assertSame(
            [900.0, 9.0, null],
            [$plan->vessel->millilitres, $plan->vessel->diameterCm, $plan->vessel->mouthCm],
        );
        self::assertSame(28, $plan->timeline->standsDays(), 'as the method has it');
        self::assertSame(40, self::kept(days: 40)->plan(self::catalogue())->timeline->standsDays());
        self::assertSame([null, 20.0], [$plan->way->celsius, $plan->timeline->heldAt()]);
    }

    public function test_what_happened_counts_from_its_day(): void
    {
        $journal = [
            self::entry(EntryKind::Herb, 7, ['ingredient' => 'nettle', 'form' => 'dried', 'grams' => 10]),
            self::entry(EntryKind::Oil, 8, ['ingredient' => 'jojoba-oil', 'grams' => '40']),
            self::entry(EntryKind::Moved, 9, ['method' => 'sunny-sill']),
            self::entry(EntryKind::Drawn, 10, ['grams' => 100]),
            self::entry(EntryKind::Bowl, 11, ['before' => 500, 'after' => 497]),
            self::entry(EntryKind::Note, 12, ['colour' => 'green']),
        ];
        $now = self::kept()->plan(self::catalogue(), $journal);
        self::assertSame(
            [50.0, 400.0, 300.0],
            [$now->charge->plantGrams(), $now->charge->oilGrams(), $now->oilLeftGrams()],
        );
        self::assertSame([SteepMethod::SunnySill, 3.0], [$now->timeline->method, $now->water->lostGrams()]);

        $then = self::kept()->plan(self::catalogue(), $journal, self::day(8));
        self::assertSame(
            [50.0, 400.0, 400.0],
            [$then->charge->plantGrams(), $then->charge->oilGrams(), $then->oilLeftGrams()],
        );
        self::assertSame(8, $then->timeline->standsDays(), 'it has stood until that day');
        self::assertSame(31, self::kept()->plan(self::catalogue(), strained: self::day(31))->timeline->standsDays());
    }

    public function test_its_cost_is_known_while_every_part_has_one(): void
    {
        self::assertSame(7.5, self::kept()->cost([]));
        self::assertSame(7.5, self::kept()->cost([self::entry(EntryKind::Note, 3)]));
        self::assertNull(self::kept()->cost([self::entry(EntryKind::Oil, 3, ['grams' => 5])]));
        self::assertNull(self::kept(oils: [['ingredient' => 'olive-oil', 'grams' => 3, 'cost' => null]])->cost([]));
    }

    public function test_a_jar_teaches_of_the_same_plant_form_and_strainer_drawn_for_the_first_time(): void
    {
        $single = self::kept()->single();
        self::assertEquals(new SinglePlant('rosemary', 'dried', false, 1), $single);
        self::assertTrue($single->learnsFrom(new SinglePlant('rosemary', 'dried', false, 1)));
        foreach (
            [
                new SinglePlant('nettle', 'dried', false, 1),
                new SinglePlant('rosemary', 'fresh', false, 1),
                new SinglePlant('rosemary', 'dried', true, 1),
                new SinglePlant('rosemary', 'dried', false, 2),
            ] as $other
        ) {
            self::assertFalse($single->learnsFrom($other));
        }
        self::assertNull(self::kept(herbs: [...self::KEPT['herbs'], ...self::KEPT['herbs']])->single());
    }

    public function test_entries_say_what_happened(): void
    {
        $words = static fn (EntryKind $kind, array $data = []): string => self::entry($kind, 1, $data)->words(
            self::catalogue(),
        );

        self::assertSame('Colour gold; smell nutty', $words(EntryKind::Note, ['colour' => 'gold', 'smell' => 'nutty']));
        self::assertSame('Looked at.', $words(EntryKind::Note));
        self::assertSame('The jar weighs 812.5 g.', $words(EntryKind::Weighed, ['grams' => 812.5]));
        self::assertSame('Moved: sunny sill.', $words(EntryKind::Moved, ['method' => 'sunny-sill']));
        self::assertSame(
            'Added 10 g of nettle leaf.',
            $words(EntryKind::Herb, ['ingredient' => 'nettle', 'grams' => 10]),
        );
        self::assertSame(
            'The bowl: 500 g before heating, 496.5 g after; 3.5 g of water driven off.',
            $words(EntryKind::Bowl, ['before' => 500, 'after' => 496.5]),
        );
        self::assertSame('Seen: bubbles', $words(EntryKind::Sign, ['sign' => 'bubbles']));
        self::assertTrue(EntryKind::Note->isForAfterwards());
        self::assertFalse(EntryKind::Drawn->isForAfterwards());
    }

    public function test_what_came_out_keeps_as_long_as_its_oil_and_a_week_where_water_stood_in_it(): void
    {
        $plan = self::kept()->plan(self::catalogue());
        $dry = new SteepYield($plan, 280);
        $months = $plan->ageing->lifeLeftMonths()->low;
        self::assertSame(
            self::day(28)->modify(sprintf('+%d days', (int) floor($months * 30.44)))->format('Y-m-d'),
            $dry->bestBefore(self::day(28))->format('Y-m-d'),
        );

        $wet = new SteepYield(
            self::kept(water_grams: 10)->plan(self::catalogue()),
            280,
            choice: WaterChoice::FrozenPoured,
        );
        self::assertSame(
            self::day(28)->modify('+7 days')->format('Y-m-d'),
            $wet->bestBefore(self::day(28))->format('Y-m-d'),
        );
    }
}
