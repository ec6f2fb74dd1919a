<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Crown\Measure\AmountReader;
use Crown\Measure\Basis;
use Crown\Measure\Converter;
use Crown\Measure\CupSize;
use Crown\Measure\Kitchen;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** Every unit, worked by hand: written amount, ingredient, form, grams low, best and high, and how it is known. */
final class UnitsTest extends CoreTestCase
{
    /** @return iterable<string, array{string, string, string, float, float, float, Basis}> */
    public static function conversions(): iterable
    {
        // Olive oil 0.910 / 0.914 / 0.916 g/ml; the hand 3 % for a marked vessel.
        yield '100 ml' => ['100 ml', 'olive-oil', '', 97 * 0.91, 91.4, 103 * 0.916, Basis::Converted];
        yield '1 l' => ['1 l', 'olive-oil', '', 970 * 0.91, 914.0, 1030 * 0.916, Basis::Converted];
        yield '4 fl oz' => [
            '4 fl oz',
            'olive-oil',
            '',
            118.294 * 0.97 * 0.91,
            118.294 * 0.914,
            118.294 * 1.03 * 0.916,
            Basis::Converted,
        ];
        yield '1 cup' => [
            '1 cup',
            'olive-oil',
            '',
            236.588 * 0.93 * 0.91,
            236.588 * 0.914,
            236.588 * 1.07 * 0.916,
            Basis::Converted,
        ];
        yield '1 tbsp' => [
            '1 tbsp',
            'olive-oil',
            '',
            14.7868 * 0.9 * 0.91,
            14.7868 * 0.914,
            14.7868 * 1.1 * 0.916,
            Basis::Converted,
        ];
        yield '1 tsp' => [
            '1 tsp',
            'olive-oil',
            '',
            4.92892 * 0.88 * 0.91,
            4.92892 * 0.914,
            4.92892 * 1.12 * 0.916,
            Basis::Converted,
        ];
        yield 'about 1 tsp' => [
            'about 1 tsp',
            'olive-oil',
            '',
            4.92892 * 0.78 * 0.91,
            4.92892 * 0.914,
            4.92892 * 1.22 * 0.916,
            Basis::Estimated,
        ];
        yield '1 oz' => ['1 oz', 'shea-butter', '', 27.849523, 28.349523, 28.849523, Basis::Measured];
        yield '1 lb' => ['1 lb', 'shea-butter', '', 453.09237, 453.59237, 454.09237, Basis::Measured];
        yield '2 kg' => ['2 kg', 'shea-butter', '', 1999.5, 2000.0, 2000.5, Basis::Measured];
        yield '20 to 30 g' => ['20 to 30 g', 'shea-butter', '', 19.5, 25.0, 30.5, Basis::Measured];
        yield 'about 50 g' => ['about 50 g', 'shea-butter', '', 44.5, 50.0, 55.5, Basis::Estimated];
        // Thick oil: 0.03 / 0.04 / 0.06 ml a drop, castor 0.952 / 0.958 / 0.965.
        yield '25 drops of a thick oil' => [
            '25 drops',
            'castor-oil',
            '',
            25 * 0.03 * 0.952,
            25 * 0.04 * 0.958,
            25 * 0.06 * 0.965,
            Basis::Estimated,
        ];
        yield '2 to 4 drops' => [
            '2 to 4 drops',
            'peppermint-eo',
            '',
            2 * 0.025 * 0.9,
            3 * 0.035 * 0.908,
            4 * 0.05 * 0.916,
            Basis::Estimated,
        ];
        yield 'a pinch' => ['a pinch', 'kaolin', '', 0.2, 0.35, 0.6, Basis::Estimated];
        yield '4 capsules' => ['4 capsules of 250 mg', 'saw-palmetto', 'powder', 0.9, 1.0, 1.1, Basis::Converted];
        yield '10 cloves' => ['10 pieces', 'clove-bud', 'dried', 0.56, 0.8, 1.04, Basis::Estimated];
        yield 'an aloe leaf' => ['1 leaf', 'aloe-leaf', 'fresh', 150.0, 300.0, 450.0, Basis::Estimated];
        yield 'a spoon of powder' => [
            '1 tsp',
            'fenugreek',
            'powder',
            4.92892 * 0.88 * 0.5,
            4.92892 * 0.56,
            4.92892 * 1.12 * 0.62,
            Basis::Estimated,
        ];
        yield 'a cup of wax pellets' => [
            '1 cup',
            'beeswax',
            '',
            236.588 * 0.93 * 0.45,
            236.588 * 0.55,
            236.588 * 1.07 * 0.62,
            Basis::Estimated,
        ];
    }

    #[DataProvider('conversions')]
    public function test_by_hand(
        string $amount,
        string $ingredient,
        string $form,
        float $low,
        float $best,
        float $high,
        Basis $basis,
    ): void {
        $figure = (new Converter(new Kitchen()))->grams(
            AmountReader::read($amount),
            self::catalogue()->get($ingredient)->substance($form),
        );

        self::assertEqualsWithDelta(
            [$low, $best, $high],
            [$figure->band->low, $figure->band->best, $figure->band->high],
            1e-4,
        );
        self::assertSame($basis, $figure->basis);
    }

    public function test_sums_add_their_bands(): void
    {
        $converter = new Converter(new Kitchen());
        $olive = self::catalogue()->get('olive-oil')->substance('');
        $both = $converter->grams(AmountReader::read('1 cup + 2 tbsp'), $olive)->band;
        $cup = $converter->grams(AmountReader::read('1 cup'), $olive)->band;
        $spoons = $converter->grams(AmountReader::read('2 tbsp'), $olive)->band;

        self::assertEqualsWithDelta(
            [$cup->low + $spoons->low, $cup->best + $spoons->best, $cup->high + $spoons->high],
            [$both->low, $both->best, $both->high],
            1e-9,
        );
    }

    public function test_spoons_and_fluid_ounces_follow_the_country(): void
    {
        self::assertEqualsWithDelta(
            [14.7868, 4.92892, 29.5735],
            [
                CupSize::UsCustomary->tablespoonMillilitres(),
                CupSize::UsCustomary->teaspoonMillilitres(),
                CupSize::UsCustomary->fluidOunceMillilitres(),
            ],
            1e-9,
        );
        self::assertEqualsWithDelta(
            [15.0, 5.0, 28.4131],
            [
                CupSize::Imperial->tablespoonMillilitres(),
                CupSize::Imperial->teaspoonMillilitres(),
                CupSize::Imperial->fluidOunceMillilitres(),
            ],
            1e-9,
        );
        self::assertEqualsWithDelta(
            16.0,
            CupSize::UsCustomary->cupMillilitres() / CupSize::UsCustomary->tablespoonMillilitres(),
            1e-4,
        );
        self::assertEqualsWithDelta(
            3.0,
            CupSize::UsCustomary->tablespoonMillilitres() / CupSize::UsCustomary->teaspoonMillilitres(),
            1e-4,
        );
    }

    public function test_a_number_is_known_only_as_well_as_its_worst_part(): void
    {
        self::assertSame(Basis::Estimated, Basis::weakest(Basis::Measured, Basis::Estimated, Basis::Converted));
        self::assertSame(Basis::Converted, Basis::weakest(Basis::Measured, Basis::Converted));
        self::assertSame(Basis::Measured, Basis::weakest(Basis::Measured));
    }
}
