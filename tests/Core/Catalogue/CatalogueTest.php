<?php

declare(strict_types=1);

namespace Tests\Core\Catalogue;

use Crown\Catalogue\CatalogueError;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Internal\EntryReader;
use Crown\Catalogue\PreservationKind;
use Crown\Measure\Property;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

final class CatalogueTest extends CoreTestCase
{
    public function test_holds_every_kind_of_the_craft(): void
    {
        $kinds = array_map(static fn ($i): string => $i->kind->value, self::catalogue()->all());
        $wanted = array_diff(array_column(IngredientKind::cases(), 'value'), ['ready-steep', 'unknown']);

        self::assertGreaterThanOrEqual(60, count($kinds));
        self::assertSame([], array_values(array_diff($wanted, $kinds)));
    }

    public function test_each_entry_carries_what_its_kind_needs(): void
    {
        foreach (self::catalogue()->all() as $i) {
            $says = static fn (string $what): string => sprintf('%s: %s', $i->id, $what);
            self::assertNotSame('', $i->inci, $says('INCI name'));
            self::assertTrue($i->facts->has(Property::LifeMonths), $says('life'));
            if ($i->composition->fattyAcids->known()) {
                self::assertEqualsWithDelta(
                    100.0,
                    $i->composition->fattyAcids->sum(),
                    3.0,
                    $says('fatty acids add up'),
                );
            }
            if ($i->kind->isPlant()) {
                self::assertNotSame([], $i->forms, $says('forms'));
            } else {
                self::assertTrue(
                    $i->facts->has(Property::Density20) || $i->facts->has(Property::BulkDensity),
                    $says('density'),
                );
            }
            if ($i->kind === IngredientKind::CarrierOil || $i->kind === IngredientKind::Butter) {
                self::assertTrue($i->composition->fattyAcids->known(), $says('fatty acids'));
            }
            if ($i->kind->isMelted()) {
                self::assertTrue($i->composition->solidFat->known(), $says('solid fat'));
                self::assertTrue($i->facts->has(Property::Melting), $says('melting range'));
            }
            if ($i->kind === IngredientKind::EssentialOil) {
                self::assertNotSame([], $i->composition->constituents, $says('constituents'));
                self::assertNotSame('', $i->precautions->dermalReason, $says('reason of the dermal maximum'));
                self::assertTrue($i->facts->has(Property::MinimumAge), $says('minimum age'));
            }
            if ($i->preservation->kind !== PreservationKind::None) {
                self::assertTrue($i->facts->has(Property::Use), $says('range of use'));
            }
        }
    }

    public function test_solid_fat_falls_as_it_warms_and_agrees_with_melting(): void
    {
        foreach (self::catalogue()->all() as $i) {
            $last = 101.0;
            foreach ($i->composition->solidFat->percent as $percent) {
                self::assertLessThanOrEqual($last, $percent, $i->id);
                $last = $percent;
            }
            if ($i->kind === IngredientKind::Butter && $i->facts->get(Property::Melting)->band->high <= 40) {
                self::assertLessThan(
                    5.0,
                    $i->composition->solidFat->at(40),
                    $i->id.' is melted above its melting range',
                );
            }
        }
        $cocoa = self::catalogue()->get('cocoa-butter')->composition->solidFat;
        self::assertEqualsWithDelta(59.0, $cocoa->at(27.5), 1e-9);
        self::assertSame(83.0, $cocoa->at(-18));
        self::assertSame(0.0, $cocoa->at(60));
    }

    public function test_iodine_values_agree_with_the_published_ranges(): void
    {
        // Codex CXS 210 and 33: sunflower 118-141, olive 75-94, coconut 6.3-10.6, grapeseed 128-150, linseed 170-211;
        // castor 82-90 (Ph. Eur.).
        foreach (
            [
                'sunflower-oil' => [118, 141],
                'olive-oil' => [75, 94],
                'coconut-oil' => [6.3, 10.6],
                'grapeseed-oil' => [128, 150],
                'flaxseed-oil' => [170, 211],
                'castor-oil' => [80, 92],
            ] as $id => [$low, $high]
        ) {
            $value = self::catalogue()->get($id)->composition->fattyAcids->iodineValue()->best;
            self::assertTrue($low <= $value && $value <= $high, sprintf('%s: %.1f', $id, $value));
        }
        $olive = self::catalogue()->get('olive-oil')->composition->fattyAcids;
        self::assertEqualsWithDelta(14.5, $olive->saturated(), 1.0);
        self::assertEqualsWithDelta(75.2, $olive->monounsaturated(), 1.0);
        self::assertEqualsWithDelta(9.8, $olive->polyunsaturated(), 1.0);
    }

    /** @return iterable<array{string, string}> */
    public static function names(): iterable
    {
        yield ['castor', 'castor-oil'];
        yield ['Ricinus Communis Seed Oil', 'castor-oil'];
        yield ['sheabutter', 'shea-butter'];
        yield ['jojobba oil', 'jojoba-oil'];
        yield ['almnd oil', 'sweet-almond-oil'];
        yield ['bees wax', 'beeswax'];
        yield ['cupuaçu', 'cupuacu-butter'];
        yield ['BTMS', 'btms-25'];
        yield ['hibiscus flowers', 'hibiscus'];
        yield ['methi seeds', 'fenugreek'];
        yield ['rosmary essential oil', 'rosemary-eo'];
        yield ['kakaobutter', 'cocoa-butter'];
    }

    #[DataProvider('names')]
    public function test_finds_names_synonyms_and_slips_of_the_pen(string $written, string $id): void
    {
        self::assertSame($id, self::catalogue()->search($written)[0]->ingredient->id ?? 'nothing');
    }

    public function test_offers_nothing_for_what_is_not_there(): void
    {
        foreach (['xyzzy', '', '🧴🧴', 'مرحبا', str_repeat('a', 5000), "'; drop table--"] as $name) {
            self::assertSame(
                [],
                array_filter(self::catalogue()->search($name), static fn ($m): bool => $m->score > 0.9),
                $name,
            );
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function brokenEntries(): iterable
    {
        $good = [
            'id' => 'test-oil',
            'name' => 'Test oil',
            'inci' => 'Testus Oil',
            'kind' => 'carrier-oil',
            'facts' => ['density_20c' => ['best' => 0.9, 'source' => 'estimate']],
        ];
        yield 'no name' => [array_diff_key($good, ['name' => 1]), '"name" is missing'];
        yield 'no such kind' => [['kind' => 'potion'] + $good, '"kind" is not allowed'];
        yield 'unknown kind' => [['kind' => 'unknown'] + $good, '"kind" is not allowed'];
        yield 'another id' => [['id' => 'other'] + $good, '"id"'];
        yield 'no source' => [
            ['facts' => ['density_20c' => ['best' => 0.9]]] + $good,
            'facts.density_20c.source" is missing',
        ];
        yield 'a source that is not listed' => [
            ['facts' => ['density_20c' => ['best' => 0.9, 'source' => 'my-aunt']]] + $good,
            '"my-aunt"',
        ];
        yield 'a disordered band' => [
            ['facts' => ['density_20c' => ['low' => 1, 'best' => 0.9, 'high' => 0.95, 'source' => 'estimate']]] + $good,
            'facts.density_20c',
        ];
        yield 'an unknown fact' => [
            ['facts' => ['colour' => ['best' => 1, 'source' => 'estimate']]] + $good,
            '"colour"',
        ];
        yield 'a grade of 7' => [
            ['needs' => ['itch' => ['grade' => 7, 'found' => 'x', 'source' => 'tradition']]] + $good,
            'needs.itch.grade',
        ];
    }

    /** @param  array<string, mixed>  $json */
    #[DataProvider('brokenEntries')]
    public function test_refuses_a_wrong_file_naming_file_and_key(array $json, string $says): void
    {
        $this->expectException(CatalogueError::class);
        $this->expectExceptionMessageMatches('/^test-oil\.json: .*'.preg_quote($says, '/').'/');

        (new EntryReader([]))->ingredient('test-oil.json', $json);
    }
}
