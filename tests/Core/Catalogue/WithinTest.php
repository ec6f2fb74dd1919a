<?php

declare(strict_types=1);

namespace Tests\Core\Catalogue;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\CatalogueError;
use Crown\Catalogue\Correction;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Making;
use Crown\Catalogue\OwnEntry;
use Crown\Measure\Band;
use Crown\Measure\Property;
use Tests\Core\CoreTestCase;

/** A larger catalogue is fetched once, and only when something is asked for that the smaller has not. */
final class WithinTest extends CoreTestCase
{
    private int $fetched = 0;

    private function larger(): Catalogue
    {
        return self::catalogue()->within(function (): Catalogue {
            $this->fetched++;

            return self::catalogue()->with(self::own('own-1', 'Aunt\'s oil'));
        });
    }

    private static function own(string $id, string $name): Ingredient
    {
        $kept = json_decode((string) file_get_contents(dirname(__DIR__).'/Documents/own-ingredient-1.json'), true);

        $entry = [...(array) $kept, 'name' => $name, 'synonyms' => []];

        return OwnEntry::read($id, $entry, self::catalogue())->ingredient();
    }

    public function test_what_the_smaller_has_fetches_nothing(): void
    {
        $catalogue = $this->larger();
        self::assertTrue($catalogue->has('olive-oil'));
        self::assertSame('olive-oil', $catalogue->get('olive-oil')->id);
        self::assertFalse($catalogue->has(''));
        self::assertSame('olive-oil', $catalogue->reference('olive-oil')->id);
        self::assertSame(0, $this->fetched);
    }

    public function test_what_it_has_not_is_looked_for_in_the_larger_and_fetched_once(): void
    {
        $catalogue = $this->larger();
        $id = 'own-1';
        self::assertTrue($catalogue->has($id));
        self::assertSame('Aunt\'s oil', $catalogue->get($id)->name);
        self::assertArrayHasKey($id, $catalogue->all());
        self::assertTrue($catalogue->isCalled('aunts oil'));
        self::assertSame('Aunt\'s oil', $catalogue->search('Aunt\'s oil')[0]->ingredient->name);
        self::assertFalse($catalogue->has('no-such'));
        self::assertSame(1, $this->fetched);
        $this->expectException(CatalogueError::class);
        $catalogue->get('no-such');
    }

    public function test_what_is_added_is_added_to_the_larger(): void
    {
        $catalogue = $this->larger();
        self::assertSame($catalogue, $catalogue->with());
        self::assertSame($catalogue, $catalogue->corrected());
        self::assertSame($catalogue, $catalogue->making());
        self::assertSame(0, $this->fetched);
        $id = 'own-1';
        $more = $catalogue->with(self::own('own-2', 'Uncle\'s oil'));
        self::assertTrue($more->has($id));
        $heavier = new Correction('olive-oil', '', Property::Weight, Band::exact(4.0), 'felt');
        $corrected = $catalogue->corrected($heavier);
        self::assertTrue($corrected->has($id));
        self::assertSame(4.0, $corrected->get('olive-oil')->facts->get(Property::Weight)->band->best);
        $mine = static fn (Catalogue $all): Ingredient => $all->get($id);
        $steeped = $catalogue->making(new Making('lot-1', 'Mine', $mine));
        self::assertSame('Aunt\'s oil', $steeped->get('lot-1')->name);
    }
}
