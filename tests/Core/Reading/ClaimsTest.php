<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use Crown\Measure\Kitchen;
use Crown\Reading\RecipeReader;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** What a recipe says of itself is held against what was reckoned of it. */
final class ClaimsTest extends CoreTestCase
{
    /** @param  list<string>  $said */
    #[DataProvider('recipes')]
    public function test_a_claim_that_does_not_fit_is_said(string $text, array $said): void
    {
        $recipe = (new RecipeReader(self::catalogue(), new Kitchen()))->read($text);

        self::assertSame($said, $recipe->claims->against(self::assess($recipe->toFormula())));
    }

    /**
     * Olive oil weighs 0.914 g/ml, jojoba oil 0.868: 150 g of one and 50 g of the other are 222 ml.
     *
     * @return iterable<string, array{string, list<string>}>
     */
    public static function recipes(): iterable
    {
        $oils = "Oil\n150 g olive oil\n50 g jojoba oil\n";

        yield 'it fits' => [$oils.'Makes 200 g', []];
        yield 'roughly' => [$oils.'Makes about 7 oz', []];
        yield 'by volume' => [$oils.'Fills 2 bottles of 100 ml', []];
        yield 'too little' => [$oils.'Makes 300 g', ['It says "Makes 300 g". Its amounts come to 200 g.']];
        yield 'too many jars' => [$oils.'Makes 4 jars of 100 ml', [
            'It says "Makes 4 jars of 100 ml". Its amounts come to 222 ml.',
        ]];
        yield 'bars without a size' => [$oils.'Makes 3 bars', ['It says "Makes 3 bars": 67 g each.']];
        yield 'shares have no sum' => ["Oil\n75 % olive oil\n25 % jojoba oil\nMakes 300 g", []];
        yield 'what is not weighed has no sum' => ["Oil\n150 g olive oil\na handful of rosemary\nMakes 300 g", []];
        yield 'a life that holds' => [$oils.'Keeps four to six months', []];
        yield 'no life' => [$oils.'One bottle lasts me 40 years', []];
        yield 'a life that does not' => ["Mist\n150 g water\n50 g aloe vera gel\nKeeps for 2 years in the cupboard", [
            'It says "Keeps for 2 years". As it was read it keeps 7 days.',
        ]];
    }
}
