<?php

declare(strict_types=1);

namespace Tests\Core\Catalogue;

use Crown\Catalogue\CatalogueError;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Internal\NameIndex;
use Crown\Catalogue\Name;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

final class NamesTest extends CoreTestCase
{
    /** @return iterable<string, array{string, string}> as a maker may write it, and what is meant */
    public static function written(): iterable
    {
        $table = [
            'castor-oil' => [
                'castor',
                'Castor Oil',
                'CASTOR OIL',
                'caster oil',
                'castor seed oil',
                'cold pressed castor oil',
                'huile de ricin',
                'Rizinusöl',
            ],
            'black-castor-oil' => ['black castor oil', 'roasted castor oil', 'dark castor oil'],
            'jojoba-oil' => ['jojoba', 'jojoba oil', 'jojobba', 'golden jojoba', 'jo joba oil'],
            'olive-oil' => ['olive oil', 'extra virgin olive oil', 'EVOO', 'olive', 'oliv oil'],
            'coconut-oil' => ['coconut', 'virgin coconut oil', 'coconut  oil', 'cocnut oil', 'Kokosöl'],
            'fractionated-coconut-oil' => ['MCT oil', 'fractionated coconut oil', 'caprylic/capric triglyceride'],
            'sunflower-oil-high-oleic' => ['high oleic sunflower oil', 'sunflower oil high oleic', 'HO sunflower oil'],
            'sweet-almond-oil' => ['almond oil', 'sweet almond', 'sweet almnd oil'],
            'shea-butter' => ['shea', 'raw shea butter', 'sheabutter', 'karité', 'shae butter'],
            'mango-butter' => ['mango butter', 'mangp butter', 'mango seed butter'],
            'cupuacu-butter' => ['cupuaçu butter', 'cupuacu', 'cupuassu butter'],
            'beeswax' => ['bees wax', 'beeswax pellets', 'yellow beeswax', 'Bienenwachs'],
            'candelilla-wax' => ['candelilla', 'candellila wax', 'candelila wax'],
            'fenugreek' => ['methi', 'fenugreek seeds', 'fenugrek seed'],
            'hibiscus' => ['hibiscus', 'hibiscus flowers', 'hibiscus petals', 'hibiscuss'],
            'nettle' => ['stinging nettle', 'nettle leaves', 'Brennnessel'],
            'aloe-gel' => ['aloe vera gel', 'aloe gel', 'aloe vera juice'],
            'amla' => ['amla', 'indian gooseberry', 'amla powder'],
            'rosemary-eo' => ['rosemary essential oil', 'rosemary oil', 'rosmary essential oil', 'rosemary eo'],
            'rosemary' => ['rosemary', 'dried rosemary', 'rosemary leaves'],
            'peppermint-eo' => ['peppermint', 'peppermint oil', 'pepermint essential oil'],
            'tea-tree-eo' => ['tea tree', 'teatree oil', 'ti tree oil'],
            'vitamin-e' => ['vitamin e', 'Vit E', 'tocopherol', 'vitamin e oil', 'mixed tocopherols'],
            'dimethyl-sulfone' => ['MSM', 'msm powder', 'methylsulfonylmethane'],
            'btms-25' => ['BTMS', 'btms-25', 'behentrimonium methosulfate'],
            'glycerine' => ['glycerin', 'glycerol', 'vegetable glycerine', 'glycerene'],
            'water' => ['water', 'distilled water', 'aqua'],
            'saw-palmetto' => ['saw palmetto', 'saw palmeto powder'],
            'wintergreen-eo' => ['wintergreen oil', 'wintergreen essential oil'],
            'pennyroyal-eo' => ['pennyroyal oil', 'pennyroyal essential oil'],
            'oregano-eo' => ['oregano oil', 'oil of oregano'],
            'rolled-oats' => ['oats', 'rolled oats', 'porridge oats'],
            'oatmeal' => ['colloidal oatmeal', 'oat flour'],
            'rice-flour' => ['rice flour', 'rice powder', 'ground rice'],
            'rice-starch' => ['rice starch'],
            'arrowroot' => ['arrowroot', 'arrow root powder', 'arrowroot starch'],
        ];
        foreach ($table as $id => $names) {
            foreach ($names as $name) {
                yield $name => [$name, $id];
            }
        }
    }

    #[DataProvider('written')]
    public function test_the_best_match_is_what_is_meant(string $name, string $id): void
    {
        $matches = self::catalogue()->search($name);

        self::assertSame($id, $matches[0]->ingredient->id ?? 'nothing');
        self::assertGreaterThanOrEqual(0.62, $matches[0]->score);
    }

    public function test_every_name_of_every_entry_finds_it(): void
    {
        foreach (self::catalogue()->all() as $ingredient) {
            foreach ([$ingredient->id, $ingredient->name, ...$ingredient->synonyms] as $name) {
                $found = self::catalogue()->search($name, 1)[0];
                self::assertSame([$ingredient->id, 1.0], [$found->ingredient->id, $found->score], $name);
            }
        }
    }

    public function test_one_wrong_letter_still_finds_long_names(): void
    {
        foreach (self::catalogue()->all() as $ingredient) {
            $plain = Name::normalised($ingredient->name);
            if (strlen($plain) < 10) {
                continue;
            }
            $slip = substr_replace($plain, $plain[4] === 'x' ? 'y' : 'x', 4, 1);
            $ids = array_map(static fn ($m): string => $m->ingredient->id, self::catalogue()->search($slip, 3));
            self::assertContains($ingredient->id, $ids, $slip);
        }
    }

    public function test_matches_come_best_first_and_no_more_than_asked(): void
    {
        $matches = self::catalogue()->search('rosemary', 3);
        self::assertCount(3, $matches);
        $scores = array_map(static fn ($m): float => $m->score, $matches);
        $sorted = $scores;
        rsort($sorted);
        self::assertSame($sorted, $scores);
    }

    public function test_a_common_name_belongs_to_one_entry(): void
    {
        $castor = self::catalogue()->get('castor-oil');
        $this->expectException(CatalogueError::class);
        $this->expectExceptionMessage('claimed by both');
        NameIndex::of([
            'castor-oil' => $castor,
            'other' => (static fn ($i) => new \Crown\Catalogue\Ingredient(
                'other',
                'Castor oil',
                'Other',
                ...array_slice(array_values(get_object_vars($i)), 3),
            ))($castor),
        ]);
    }

    public function test_names_are_compared_without_accents_case_or_plural(): void
    {
        foreach (
            [
                'Cupuaçu Butters' => 'cupuacu butter',
                "Bee's wax" => 'bees wax',
                '  SHEA--butter ' => 'shea butter',
                'Hibiscus' => 'hibiscus',
                '🧴' => '',
            ] as $written => $plain
        ) {
            self::assertSame($plain, Name::normalised($written));
        }
    }

    /** @return iterable<string, array{string, list<string>}> what a name must never be taken for with any certainty */
    public static function otherNatures(): iterable
    {
        $table = [
            'fenugreek water' => ['fenugreek'],
            'clove water' => ['clove-bud'],
            'green tea water' => ['green-tea'],
            'coconut water' => ['coconut-oil', 'coconut-oil-refined'],
            'coconut milk' => ['coconut-oil'],
            'tea tree water' => ['tea-tree-eo'],
            'lemon juice' => ['lemon-expressed-eo'],
            'onion juice' => ['onion'],
            'neem water' => ['neem-oil', 'neem-leaf'],
            'amla oil' => ['amla'],
            'bhringraj oil' => ['bhringraj'],
            'nettle oil' => ['nettle', 'nettle-tea'],
            'garlic oil' => ['garlic', 'garlic-juice'],
            'silk protein' => ['hydrolysed-rice-protein'],
            'vitamin e acetate' => ['vitamin-e'],
            'banana' => ['batana-oil'],
            'beer' => ['beeswax'],
            'baby oil' => ['babassu-oil'],
            'black soap' => ['nigella-seed', 'black-seed-oil'],
            'sulfur powder' => ['dimethyl-sulfone'],
            'sulfur' => ['dimethyl-sulfone'],
            'vitamin c' => ['vitamin-e'],
            'castor wax' => ['castor-oil'],
            'olive wax' => ['olive-oil'],
            'marula butter' => ['marula-oil'],
            'sandalwood powder' => ['sandalwood-eo'],
            'cocoa powder' => ['cocoa-butter'],
            'gluconolactone' => ['gluconolactone-benzoate'],
            'dehydroacetic acid' => ['benzyl-alcohol-dha'],
            'caprylyl glycol' => ['caprylyl-glycol-phenoxyethanol'],
        ];
        foreach ($table as $name => $never) {
            yield $name => [$name, $never];
        }
    }

    /** @param  list<string>  $never */
    #[DataProvider('otherNatures')]
    public function test_a_name_never_slides_to_a_thing_of_another_nature(string $name, array $never): void
    {
        foreach (self::catalogue()->search($name, 3) as $match) {
            self::assertTrue(
                $match->score < 0.85 || ! in_array($match->ingredient->id, $never, true),
                $match->ingredient->id,
            );
        }
        $first = self::catalogue()->search($name, 1)[0] ?? null;
        self::assertNotContains($first?->ingredient->id, $never);
    }

    public function test_a_name_means_the_thing_that_is_called_so(): void
    {
        foreach (
            [
                'shea oil' => 'shea-olein',
                'olive squalene' => 'squalene',
                'amla oil' => 'amla-oil',
                'tea tree water' => 'tea-tree-hydrosol',
                'coconut water' => 'coconut-water',
                'castor wax' => 'castor-wax',
                'lemon juice' => 'lemon-juice',
                'vitamin e acetate' => 'tocopheryl-acetate',
            ] as $name => $id
        ) {
            self::assertSame($id, self::catalogue()->search($name, 1)[0]->ingredient->id, $name);
        }
    }

    public function test_what_calls_itself_a_water_and_is_not_known_counts_as_water(): void
    {
        $water = static fn (string $name): float => Ingredient::unplaced($name)->freeWater('')->best;

        self::assertSame([0.95, 0.95, 0.95], [$water('Fenugreek water'), $water('pear juice'), $water('black tea')]);
        self::assertSame([0.0, 0.0], [$water('moon dust'), $water('water lily oil')]);
    }

    public function test_a_name_inside_a_sentence_keeps_its_capitals_where_they_belong(): void
    {
        $said = [
            'Shea butter' => 'shea butter',
            'Vitamin E (mixed tocopherols)' => 'vitamin E (mixed tocopherols)',
            "St John's wort" => "St John's wort",
            'Roman chamomile' => 'Roman chamomile',
            'PEG-40 hydrogenated castor oil' => 'PEG-40 hydrogenated castor oil',
            'D-panthenol' => 'D-panthenol',
            '1,2-Hexanediol' => '1,2-Hexanediol',
            'Öl of the house' => 'öl of the house',
            '' => '',
        ];

        foreach ($said as $name => $inside) {
            self::assertSame($inside, Name::inSentence($name));
        }
    }

    /** Every letter with a mark that the seven languages and the catalogue write is the one that ICU makes of it. */
    public function test_letters_are_made_plain_as_unicode_does(): void
    {
        $files = glob(dirname(__DIR__, 3).'/data/{lexicons,catalogue,names}/*.json', GLOB_BRACE) ?: [];
        $text = implode('', array_map(static fn (string $f): string => (string) file_get_contents($f), $files));
        preg_match_all('/\p{Latin}/u', $text, $found);
        $letters = array_values(array_unique($found[0]));
        self::assertGreaterThan(70, count($letters));
        foreach ($letters as $letter) {
            self::assertSame(transliterator_transliterate('Latin-ASCII', $letter), Name::inAscii($letter));
        }
        self::assertSame('Grune Boeufstrasse', Name::inAscii('Grüne Bœufstraße'));
    }
}
