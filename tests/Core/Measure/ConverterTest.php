<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Crown\Measure\AmountReader;
use Crown\Measure\Band;
use Crown\Measure\Basis;
use Crown\Measure\CannotTell;
use Crown\Measure\Converter;
use Crown\Measure\CupSize;
use Crown\Measure\DropCalibration;
use Crown\Measure\Figure;
use Crown\Measure\Kitchen;
use Crown\Measure\MeasureError;
use Crown\Measure\Temperature;
use Tests\Core\CoreTestCase;

final class ConverterTest extends CoreTestCase
{
    private static function grams(
        string $amount,
        string $ingredient,
        string $form = '',
        Kitchen $kitchen = new Kitchen(),
    ): Figure {
        return (new Converter($kitchen))->grams(
            AmountReader::read($amount),
            self::catalogue()->get($ingredient)->substance($form),
        );
    }

    public function test_two_tablespoons_of_castor_oil(): void
    {
        // By hand: 2 x 14.7868 ml = 29.5736 ml; x 0.958 = 28.33 g; low 26.616 x 0.952, high 32.531 x 0.965.
        $figure = self::grams('2 tbsp', 'castor-oil');

        self::assertEqualsWithDelta(28.3315, $figure->band->best, 1e-3);
        self::assertEqualsWithDelta(25.3387, $figure->band->low, 1e-3);
        self::assertEqualsWithDelta(31.3924, $figure->band->high, 1e-3);
        self::assertSame(Basis::Converted, $figure->basis);
        self::assertSame('ph-eur', $figure->working->inputs[1]->source);
    }

    public function test_cups_of_three_lands(): void
    {
        foreach (['us' => 236.588, 'metric' => 250.0, 'imperial' => 284.131] as $cup => $millilitres) {
            $figure = self::grams('1 cup', 'olive-oil', '', new Kitchen(CupSize::from($cup)));
            self::assertEqualsWithDelta($millilitres * 0.914, $figure->band->best, 1e-6);
        }
    }

    public function test_a_weighed_amount_has_half_the_resolution(): void
    {
        $figure = self::grams('2.3 g', 'castor-oil');

        self::assertSame(Basis::Measured, $figure->basis);
        // Half of a whole gram either way.
        self::assertEqualsWithDelta([1.8, 2.8], [$figure->band->low, $figure->band->high], 1e-9);
    }

    public function test_butter_in_a_cup_is_mostly_air(): void
    {
        $chunks = self::grams('1 cup', 'shea-butter');
        $melted = self::grams('1 cup', 'shea-butter', 'melted');

        self::assertEqualsWithDelta(0.72, $chunks->band->best / $melted->band->best, 1e-9);
        self::assertEqualsWithDelta(0.6, $chunks->band->low / $melted->band->low, 1e-9);
        self::assertEqualsWithDelta(0.85, $chunks->band->high / $melted->band->high, 1e-9);
        self::assertSame(Basis::Estimated, $chunks->basis);
    }

    public function test_powder_uses_its_bulk_density(): void
    {
        $figure = self::grams('1 tbsp', 'amla', 'powder');

        self::assertEqualsWithDelta(14.7868 * 0.52, $figure->band->best, 1e-6);
    }

    public function test_heaped_is_half_again_within_a_quarter(): void
    {
        $level = self::grams('1 tbsp', 'amla', 'powder');
        $heaped = self::grams('1 heaped tbsp', 'amla', 'powder');

        self::assertEqualsWithDelta(1.5, $heaped->band->best / $level->band->best, 1e-9);
        self::assertEqualsWithDelta(14.7868 * 1.5 * 0.75 * 0.45, $heaped->band->low, 1e-6);
    }

    public function test_drops_come_from_a_dropper_or_thick(): void
    {
        self::assertEqualsWithDelta(10 * 0.035 * 0.908, self::grams('10 drops', 'rosemary-eo')->band->best, 1e-9);
        self::assertEqualsWithDelta(10 * 0.06 * 0.965, self::grams('10 drops', 'castor-oil')->band->high, 1e-9);
    }

    public function test_a_calibrated_bottle_replaces_the_band(): void
    {
        // 40 drops weighed 1.1 g on a 0.01 g scale: 0.0275 g each, within 0.000125 g.
        $kitchen = new Kitchen(calibrations: ['Rosemary essential oil' => new DropCalibration(40, 1.1, 0.01)]);
        $figure = self::grams('20 drops', 'rosemary-eo', '', $kitchen);

        self::assertEqualsWithDelta(0.55, $figure->band->best, 1e-9);
        self::assertEqualsWithDelta(0.5525, $figure->band->high, 1e-9);
        self::assertSame(Basis::Converted, $figure->basis);
    }

    public function test_what_cannot_be_known_is_said(): void
    {
        foreach (
            [
                ['3 capsules', 'amla', '500 mg'],
                ['10 drops', 'shea-butter', 'drops'],
                ['2 pieces', 'castor-oil', 'one piece'],
                ['10 %', 'castor-oil', 'proportion'],
            ] as [$amount, $id, $says]
        ) {
            try {
                self::grams($amount, $id);
                self::fail('Expected "cannot tell" for '.$amount);
            } catch (CannotTell $e) {
                self::assertStringContainsString($says, $e->getMessage());
            }
        }
    }

    public function test_volume_and_warmth(): void
    {
        $converter = new Converter(new Kitchen());
        $millilitres = $converter->millilitres(
            self::grams('100 g', 'olive-oil'),
            self::catalogue()->get('olive-oil')->substance(''),
            60.0,
        );

        // 0.914 - 40 x 0.00068 = 0.8868 g/ml at 60 °C.
        self::assertEqualsWithDelta(100 / 0.8868, $millilitres->band->best, 1e-6);
        self::assertEqualsWithDelta(0.8868, Converter::densityAt(Band::exact(0.914), 60.0)->best, 1e-9);
        self::assertEqualsWithDelta(75.0, Temperature::fahrenheit(167)->celsius, 1e-9);
        self::assertEqualsWithDelta(2.0, Temperature::speed(30.0), 1e-9, 'twice as fast for ten degrees');
    }

    public function test_a_scale_must_have_a_resolution(): void
    {
        $this->expectException(MeasureError::class);
        new Kitchen(scaleGrams: 0.0);
    }
}
