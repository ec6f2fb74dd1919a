<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Reshare;
use Crown\Formula\Formula;
use Crown\Formula\FormulaError;
use Crown\Formula\Line;
use Crown\Formula\Size;
use Tests\Core\CoreTestCase;

final class ReshareTest extends CoreTestCase
{
    /** @return list<string> */
    private static function moved(Formula $formula, string $from, string $to, float $points): array
    {
        return array_map(
            static fn (Line $l): string => $l->amount->text,
            Reshare::between($formula, self::context(), $from, $to, $points)->lines,
        );
    }

    public function test_what_one_gives_the_other_takes(): void
    {
        $formula = self::formula(['shea-butter' => '60 g', 'olive-oil' => '30 g', 'jojoba-oil' => '10 g']);

        self::assertSame(['55 g', '35 g', '10 g'], self::moved($formula, 'l1', 'l2', 5.0));
        self::assertSame(['65 g', '25 g', '10 g'], self::moved($formula, 'l1', 'l2', -5.0));
    }

    public function test_the_other_shares_stay_to_the_last_digit(): void
    {
        $formula = self::formula([
            'shea-butter' => '2 oz',
            'olive-oil' => '30 g',
            'jojoba-oil' => '1 tbsp',
            'vitamin-e' => '20 drops',
        ]);
        $share = static fn (Formula $f, int $i): float => self::assess($f)->subject->composition->portions[
            $i
        ]->percent();
        $then = Reshare::between($formula, self::context(), 'l1', 'l2', 7.5);

        self::assertEqualsWithDelta($share($formula, 2), $share($then, 2), 0.02);
        self::assertEqualsWithDelta($share($formula, 3), $share($then, 3), 0.02);
        self::assertEqualsWithDelta($share($formula, 0) - 7.5, $share($then, 0), 0.05);
        self::assertEqualsWithDelta($share($formula, 1) + 7.5, $share($then, 1), 0.05);
    }

    public function test_each_in_its_own_unit(): void
    {
        $formula = self::formula(['shea-butter' => '0.06 kg', 'olive-oil' => '30 g', 'jojoba-oil' => '10 g']);
        self::assertSame(['0.05 kg', '40 g', '10 g'], self::moved($formula, 'l1', 'l2', 10.0));
        // A spoonful becomes grams: there is no spoon for it.
        self::assertMatchesRegularExpression(
            '/^[\d.]+ g$/',
            self::moved(self::formula(['shea-butter' => '60 g', 'olive-oil' => '2 tbsp']), 'l1', 'l2', 3.0)[1],
        );
        $shares = self::formula(['shea-butter' => '60 %', 'olive-oil' => '40 %']);
        self::assertSame(['57.5 %', '42.5 %'], self::moved($shares, 'l1', 'l2', 2.5));
    }

    public function test_what_fills_goes_on_filling(): void
    {
        $formula = self::formula(['shea-butter' => '60 %', 'olive-oil' => 'to fill', 'jojoba-oil' => '10 %']);
        self::assertSame(['55 %', 'to fill', '10 %'], self::moved($formula, 'l1', 'l2', 5.0));
        self::assertSame(['65 %', 'to fill', '10 %'], self::moved($formula, 'l2', 'l1', 5.0));
    }

    public function test_the_batch_size_does_not_change_what_is_written(): void
    {
        $formula = self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g'])->withSize(Size::mass(500));
        $then = Reshare::between($formula, self::context(), 'l1', 'l2', 10.0);

        self::assertSame(['50 g', '50 g'], array_map(static fn (Line $l): string => $l->amount->text, $then->lines));
        self::assertEqualsWithDelta(500.0, self::assess($then)->subject->composition->totalGrams->best, 1e-6);
    }

    public function test_no_more_than_there_is_can_be_given(): void
    {
        self::assertSame(
            ['0 g', '100 g'],
            self::moved(self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g']), 'l1', 'l2', 80.0),
        );
    }

    public function test_lines_that_cannot_move_are_named(): void
    {
        $formula = self::formula(['shea-butter' => '60 g', 'olive-oil' => '40 g', 'jojoba-oil' => 'some']);
        $shea = $formula->lines[0];
        $locked = $formula->replacing(
            new Line($shea->id, $shea->ingredient, $shea->name, $shea->amount, $shea->form, $shea->phase, true),
        );
        foreach (
            [
                ['from', $locked, 'l1', 'l2'],
                ['to', $locked, 'l2', 'l1'],
                ['to', $formula, 'l1', 'l3'],
                ['to', $formula, 'l1', 'l1'],
            ] as [$field, $of, $from, $to]
        ) {
            try {
                Reshare::between($of, self::context(), $from, $to, 5.0);
                self::fail($field);
            } catch (FormulaError $e) {
                self::assertSame($field, $e->path);
            }
        }
        $this->expectException(FormulaError::class);
        Reshare::between($formula, self::context(), 'l9', 'l1', 5.0);
    }
}
