<?php

declare(strict_types=1);

namespace Tests\Core\Formula;

use Crown\Catalogue\CatalogueError;
use Crown\Formula\Change;
use Crown\Formula\Formula;
use Crown\Formula\FormulaError;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

final class ChangeTest extends CoreTestCase
{
    private static function base(): Formula
    {
        return self::formula(
            ['shea-butter' => '50 g', 'fresh:rosemary' => '10 g', 'rosemary-eo' => '20 drops'],
            wetUse: true,
        );
    }

    /** @return list<string> */
    private static function picture(Formula $formula): array
    {
        return array_map(
            static fn (Line $l): string => implode(' ', [
                $l->id,
                $l->ingredient,
                $l->amount->text,
                $l->form,
                $l->phase->value,
            ]),
            $formula->lines,
        );
    }

    /** @return iterable<string, array{Change, list<string>}> */
    public static function changes(): iterable
    {
        $shea = 'l1 shea-butter 50 g  melt';
        $leaf = 'l2 rosemary 10 g fresh warm';
        $oil = 'l3 rosemary-eo 20 drops  cool-down';
        yield 'amounts' => [
            Change::amounts(['l1' => '60 g', 'l3' => '5 drops']),
            ['l1 shea-butter 60 g  melt', $leaf, 'l3 rosemary-eo 5 drops  cool-down'],
        ];
        yield 'an amount of nothing' => [Change::amounts(['l3' => '']), [$shea, $leaf]];
        yield 'phase' => [
            Change::phase(Phase::Melt, 'l2', 'l3'),
            [$shea, 'l2 rosemary 10 g fresh melt', 'l3 rosemary-eo 20 drops  melt'],
        ];
        yield 'form' => [Change::form('l2', 'dried'), [$shea, 'l2 rosemary 10 g dried warm', $oil]];
        yield 'ingredient' => [Change::ingredient('l1', 'jojoba-oil'), ['l1 jojoba-oil 50 g  warm', $leaf, $oil]];
        yield 'removal' => [Change::remove('l1', 'l2'), [$oil]];
        yield 'addition' => [Change::add('vitamin-e', '0.5 %'), [$shea, $leaf, $oil, 'l4 vitamin-e 0.5 %  cool-down']];
    }

    /** @param  list<string>  $expected */
    #[DataProvider('changes')]
    public function test_does_what_it_says_also_after_a_journey_as_json(Change $change, array $expected): void
    {
        self::assertSame($expected, self::picture($change->applyTo(self::base(), self::catalogue())));
        $sent = Change::fromArray((array) json_decode((string) json_encode($change), true));
        self::assertSame($expected, self::picture($sent->applyTo(self::base(), self::catalogue())));
        self::assertSame(
            ['l1 shea-butter 50 g  melt', 'l2 rosemary 10 g fresh warm', 'l3 rosemary-eo 20 drops  cool-down'],
            self::picture(self::base()),
            'the formula itself is not changed',
        );
    }

    public function test_a_share_that_comes_into_a_whole_of_shares_is_taken_from_the_largest(): void
    {
        $with = static fn (array $lines, string $amount): array => array_map(
            static fn (Line $l): string => $l->amount->text,
            Change::add('phenoxyethanol-ehg', $amount)->applyTo(self::formula($lines), self::catalogue())->lines,
        );

        self::assertSame(
            ['73.1 %', '20 %', '6 %', '0.9 %'],
            $with(['water' => '74 %', 'olive-oil' => '20 %', 'emulsifying-wax' => '6 %'], '0.9 %'),
        );
        // Beside grams, or short of the whole, a share is a share of what there is then.
        self::assertSame(['74 g', '20 %', '0.9 %'], $with(['water' => '74 g', 'olive-oil' => '20 %'], '0.9 %'));
        self::assertSame(['60 %', '20 %', '0.9 %'], $with(['water' => '60 %', 'olive-oil' => '20 %'], '0.9 %'));
        self::assertSame(['74 %', '26 %', '1 g'], $with(['water' => '74 %', 'olive-oil' => '26 %'], '1 g'));
        self::assertSame(['80 %', 'to fill', '0.9 %'], $with(['water' => '80 %', 'olive-oil' => 'to fill'], '0.9 %'));

        $locked = self::formula(['water' => '74 %', 'olive-oil' => '26 %']);
        [$water] = $locked->lines;
        $locked = $locked->replacing(
            new Line($water->id, $water->ingredient, $water->name, $water->amount, $water->form, $water->phase, true),
        );
        self::assertSame(
            ['74 %', '25.1 %', '0.9 %'],
            array_map(
                static fn (Line $l): string => $l->amount->text,
                Change::add('phenoxyethanol-ehg', '0.9 %')->applyTo($locked, self::catalogue())->lines,
            ),
        );
    }

    public function test_an_added_line_never_takes_a_taken_id(): void
    {
        $formula = Change::remove('l1')->applyTo(self::base(), self::catalogue());
        $added = Change::add('olive-oil', '1 g')->applyTo($formula, self::catalogue());

        self::assertSame(['l2', 'l3', 'l4'], array_map(static fn (Line $l): string => $l->id, $added->lines));
    }

    public function test_keeping_it_dry(): void
    {
        self::assertFalse(Change::keptDry()->applyTo(self::base(), self::catalogue())->wetUse);
    }

    public function test_refuses_what_cannot_be(): void
    {
        foreach (
            [
                ['op' => 'melt'],
                [],
                ['op' => 'set-phase', 'lines' => ['l1' => 'dawn']],
                ['op' => 'set-amounts', 'lines' => ['l9' => '1 g']],
                ['op' => 'set-amounts', 'lines' => ['l1' => 5]],
            ] as $json
        ) {
            try {
                Change::fromArray($json)->applyTo(self::base(), self::catalogue());
                self::fail('Taken: '.json_encode($json));
            } catch (FormulaError $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
        $this->expectException(CatalogueError::class);
        Change::fromArray(['op' => 'add-line', 'ingredient' => 'unicorn', 'amount' => '1 g'])->applyTo(
            self::base(),
            self::catalogue(),
        );
    }
}
