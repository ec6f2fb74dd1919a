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
            'for my toddler',
            'an eight month old',
        ],
        'child-2-6' => [
            'age 4 girl',
            'a girl aged 4',
            'four year old',
            'two-year-old',
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
}
