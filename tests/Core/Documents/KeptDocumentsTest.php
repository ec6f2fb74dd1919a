<?php

declare(strict_types=1);

namespace Tests\Core\Documents;

use Crown\Assessment\Severity;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\OwnEntry;
use Crown\Formula\FormulaDocument;
use Crown\Json\Format;
use Crown\Json\JsonError;
use Crown\Json\Node;
use Crown\Measure\CupSize;
use Crown\Measure\Kit;
use Crown\Measure\KitItem;
use Crown\Measure\Property;
use Crown\Steep\Entry;
use Crown\Steep\EntryKind;
use Crown\Steep\SteepDocument;
use DateTimeImmutable;
use Tests\Core\CoreTestCase;

/**
 * Documents as earlier versions wrote them, one of each kind and number. They are never changed: what a maker kept is
 * read for ever.
 */
final class KeptDocumentsTest extends CoreTestCase
{
    /** @return array<array-key, mixed> */
    private static function kept(string $name): array
    {
        return (array) json_decode((string) file_get_contents(__DIR__.'/'.$name.'.json'), true);
    }

    public function test_a_formula_of_the_first_format(): void
    {
        $formula = FormulaDocument::read(self::kept('formula-1'));

        self::assertSame(
            ['lot-1', 'squalane', 'rosemary-antioxidant'],
            array_map(static fn ($line): string => $line->ingredient, $formula->lines),
        );
        self::assertSame(
            ['water.trace', 'preservative.missing'],
            array_map(static fn ($a): string => $a->key->code, $formula->accepted),
        );
        self::assertStringContainsString('0.16 %', (string) $formula->accepted[0]->sentence);
        // Written today it is read as the same.
        self::assertEquals($formula, FormulaDocument::read(FormulaDocument::write($formula)));
        self::assertSame(4, FormulaDocument::write($formula)['version']);
    }

    public function test_a_formula_of_the_second_format(): void
    {
        $formula = FormulaDocument::read(self::kept('formula-2'));

        self::assertSame(
            ['load.total', Severity::Stop->value],
            [$formula->accepted[0]->key->code, $formula->accepted[0]->key->severity],
        );
        self::assertSame(['rosemary-eo', 'adult-leave-on'], $formula->accepted[0]->key->about);
        self::assertNull($formula->accepted[0]->sentence);
        self::assertSame(['conditioner-bar', 'conditioner'], $formula->accepted[1]->key->about);
        self::assertSame(['over'], $formula->accepted[2]->key->about);
    }

    public function test_a_phrase_of_the_second_format_means_something_in_two_findings_only(): void
    {
        $kept = self::kept('formula-2');
        $kept['accepted'][0]['finding']['about'] = ['no oil of mine'];

        self::assertSame(['no oil of mine'], FormulaDocument::read($kept)->accepted[0]->key->about);
    }

    public function test_a_formula_of_the_third_format_which_says_the_same(): void
    {
        self::assertEquals(
            FormulaDocument::read(self::kept('formula-2')),
            FormulaDocument::read(self::kept('formula-3')),
        );
    }

    public function test_a_constituent_that_stood_in_the_name_of_a_figure(): void
    {
        $kept = self::kept('formula-3');
        $kept['accepted'][0]['finding'] = [
            'code' => 'load.constituent',
            'severity' => 'stop',
            'about' => ['clove-eo'],
            'figures' => ['eugenol, % at worst' => '0.62', 'limit, %' => '0.5', 'never heard of' => '1'],
        ];
        $key = FormulaDocument::read($kept)->accepted[0]->key;

        self::assertSame(['clove-eo', 'eugenol'], $key->about);
        self::assertSame(['constituent' => '0.62', 'limit' => '0.5', 'never heard of' => '1'], $key->figures);
    }

    public function test_a_formula_of_the_fourth_format_which_says_the_same(): void
    {
        $formula = FormulaDocument::read(self::kept('formula-4'));

        self::assertEquals(FormulaDocument::read(self::kept('formula-3')), $formula);
        self::assertEquals(self::kept('formula-4'), json_decode(json_encode(FormulaDocument::write($formula)), true));
    }

    public function test_a_jar_and_its_journal(): void
    {
        $journal = array_map(
            static fn (array $row): Entry => new Entry(
                EntryKind::from($row['kind']),
                new DateTimeImmutable($row['on']),
                $row['data'],
            ),
            self::kept('journal-1'),
        );
        $plan = (new SteepDocument(self::kept('steep-1'), new DateTimeImmutable('2026-09-01')))->plan(
            self::catalogue(),
            $journal,
        );

        self::assertGreaterThan(0.0, $plan->charge->plantGrams());
        self::assertEqualsWithDelta(3.8, $plan->water->lostGrams(), 1e-9);
        foreach ($journal as $entry) {
            self::assertNotSame('', $entry->words(self::catalogue()));
        }
    }

    public function test_an_ingredient_of_ones_own(): void
    {
        $own = OwnEntry::read('own-1', self::kept('own-ingredient-1'), self::catalogue())->ingredient();

        self::assertSame(IngredientKind::CarrierOil, $own->kind);
        self::assertTrue($own->facts->has(Property::Density20));
    }

    public function test_each_step_is_taken_once_and_a_later_format_is_refused(): void
    {
        $format = new Format('test', [
            static fn (array $d): array => [...$d, 'first' => true],
            static fn (array $d): array => [...$d, 'second' => isset($d['first'])],
        ]);

        self::assertSame(3, $format->number());
        self::assertSame(['format' => 'test', 'version' => 3], $format->head());
        self::assertSame(['first' => true, 'second' => true], $format->upcast([]));
        self::assertSame(['version' => 2, 'second' => false], $format->upcast(['version' => 2]));
        self::assertSame(['version' => 3], $format->upcast(['version' => 3]));
        foreach ([4, 0, 'two'] as $number) {
            try {
                $format->upcast(['version' => $number]);
                self::fail('It was read.');
            } catch (JsonError $problem) {
                self::assertSame('version', $problem->path);
            }
        }
    }

    public function test_a_kit_of_the_first_format(): void
    {
        $kit = Kit::read(self::kept('kit-1'));
        $kitchen = $kit->kitchen(CupSize::Metric, 1.0, null);

        self::assertSame([1, 2, 4], array_map(static fn (KitItem $i): int => $i->id, $kit->items));
        self::assertSame(0.1, $kitchen->stepFor(20.0));
        $drop = $kitchen->calibrations['Rosemary essential oil']->gramsPerDrop();
        self::assertEqualsWithDelta(0.0275, $drop->best, 1e-9);
        self::assertSame('wet', $kit->items[2]->choices['wet']);
        self::assertSame(5, $kit->with(Node::of(['kind' => 'strainer', 'name' => 'Cloth']))->items[3]->id);
    }
}
