<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use Crown\Formula\Audience;
use Crown\Measure\Kitchen;
use Crown\Reading\RecipeReader;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** Whom a recipe is for, as people say it; and what only looks so. */
final class WhomTest extends CoreTestCase
{
    private const SAID = [
        'infant' => [
            'for my 8 month old',
            'for an 8-month-old',
            'she is 10 months',
            '6 weeks old',
            'my lo is 9m',
            'cradle cap',
            'Baby oil for curls',
            'Baby hair oil',
            'Oil for baby hair',
            'Baby hair growth oil',
            'for my toddler',
            'an eight month old',
        ],
        'child-2-6' => [
            'age 4 girl',
            'a girl aged 4',
            'four year old',
            'two-year-old',
            'Two-year-old hair butter',
            'for girls',
            'for my preschooler',
            'Kinderöl',
        ],
        'child-6-12' => ['my eight-year-old', 'a boy of 9', 'aged 12'],
        'pregnancy' => [
            'for mums to be',
            'for the mother-to-be',
            'Expecting mother',
            'second trimester',
            'postnatal hair',
            'while lactating',
            'for a new mom',
            'I am nursing',
        ],
        'adult-leave-on' => [
            'three kids, no time',
            'for 4 years I have made this',
            'an 8 month old bottle',
            'keeps 8 months',
            'my 10 year old locs',
            'steep for 6 weeks',
            'Baby hair edges',
            'not for children under 6',
        ],
    ];

    /** @return iterable<string, array{string, string}> */
    public static function phrases(): iterable
    {
        foreach (self::SAID as $audience => $phrases) {
            foreach ($phrases as $phrase) {
                yield $phrase => [$phrase, $audience];
            }
        }
    }

    #[DataProvider('phrases')]
    public function test_whom_it_is_for(string $phrase, string $audience): void
    {
        $recipe = (new RecipeReader(self::catalogue(), new Kitchen()))->read(
            "Oil, $phrase, made at home\n100 g olive oil",
        );

        self::assertSame(Audience::from($audience), $recipe->toFormula()->audience);
    }

    /** @return iterable<string, array{string, string, string}> language, title, audience */
    public static function abroad(): iterable
    {
        $said = [
            'de' => [
                'Öl für mein 4-jähriges Kind' => 'child-2-6',
                'Babyöl für die Haare' => 'infant',
                'Haaröl für mein Baby, 8 Monate' => 'infant',
                'Schwangerschaftsöl' => 'pregnancy',
                'Haaröl für stillende Mütter' => 'pregnancy',
                'Kopfhautöl für meinen sechsjährigen Sohn' => 'child-6-12',
                'Öl für Schwangere' => 'pregnancy',
                'Gesichtsöl' => 'face',
                'Haaröl nicht für Kinder' => 'adult-leave-on',
            ],
            'es' => [
                'Aceite para mi niña de 3 años' => 'child-2-6',
                'Aceite para bebés' => 'infant',
                'Aceite para embarazadas' => 'pregnancy',
                'Aceite durante la lactancia' => 'pregnancy',
                'Aceite para cabello y cuerpo' => 'body',
            ],
            'fr' => [
                'Huile pour bébé' => 'infant',
                'Huile pour femme enceinte' => 'pregnancy',
                'Huile pour ma fille de 5 ans' => 'child-2-6',
                "Huile pour l'allaitement" => 'pregnancy',
                'Huile pour enfants' => 'child-2-6',
            ],
            'it' => [
                'Olio per bambini' => 'child-2-6',
                'Olio per neonati' => 'infant',
                'Olio in gravidanza' => 'pregnancy',
                'Olio per mia figlia di 4 anni' => 'child-2-6',
            ],
            'nl' => [
                'Olie voor mijn dochter van 4' => 'child-2-6',
                'Babyolie voor het haar' => 'infant',
                'Olie voor zwangere vrouwen' => 'pregnancy',
            ],
            'pt' => [
                'Óleo para bebê' => 'infant',
                'Óleo para grávidas' => 'pregnancy',
                'Óleo para minha filha de 6 anos' => 'child-6-12',
            ],
        ];
        foreach ($said as $language => $titles) {
            foreach ($titles as $title => $audience) {
                yield $title => [$language, $title, $audience];
            }
        }
    }

    #[DataProvider('abroad')]
    public function test_it_is_read_in_every_language(string $language, string $title, string $audience): void
    {
        $lists = [
            'de' => "50 g Jojobaöl\n20 g Mandelöl\n10 Tropfen Lavendelöl\nAlles gut mischen.\n",
            'es' => "50 ml aceite de oliva\n20 ml aceite de almendras\n10 gotas de lavanda\nMezclar todo bien.\n",
            'fr' => "50 ml huile d'olive\n20 ml huile de jojoba\n10 gouttes de lavande\nBien mélanger le tout.\n",
            'it' => "50 ml olio di oliva\n20 ml olio di jojoba\n10 gocce di lavanda\nMescolare bene il tutto.\n",
            'nl' => "50 ml olijfolie\n20 ml jojobaolie\n10 druppels lavendel\nAlles goed mengen.\n",
            'pt' => "50 ml óleo de oliva\n20 ml óleo de jojoba\n10 gotas de lavanda\nMisturar tudo bem.\n",
        ];
        $recipe = (new RecipeReader(self::catalogue(), new Kitchen()))->read("$title\n\n".$lists[$language]);

        self::assertSame($audience, $recipe->toFormula()->audience->value);
        self::assertCount(3, $recipe->lines);
    }

    public function test_where_it_goes_and_what_it_meets(): void
    {
        $read = static fn (string $text): \Crown\Formula\Formula => (new RecipeReader(self::catalogue(), new Kitchen()))
            ->read($text)
            ->toFormula();
        $list = "\n50 g olive oil\n20 g jojoba oil\n";

        self::assertSame(Audience::Face, $read('Face and hair oil'.$list)->audience);
        self::assertSame(Audience::Body, $read('Hair and body butter'.$list)->audience);
        $bar = $read("Conditioner bar\n60 g btms-50\n40 g cocoa butter\n");
        self::assertSame(Audience::AdultRinseOff, $bar->audience);
        self::assertTrue($read('Scalp oil'.$list.'Keep it in the shower.')->wetUse);
        self::assertFalse($read('Scalp oil'.$list.'Keep it in a cupboard.')->wetUse);
        self::assertCount(2, $read('Baby oil'.$list)->lines, 'a title is no mineral oil');
    }
}
