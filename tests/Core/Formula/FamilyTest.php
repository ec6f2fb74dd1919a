<?php

declare(strict_types=1);

namespace Tests\Core\Formula;

use Crown\Formula\Audience;
use Crown\Formula\Family;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Measure\WrittenAmount;
use Tests\Core\CoreTestCase;

final class FamilyTest extends CoreTestCase
{
    private static function base(): Formula
    {
        return self::formula(
            ['shea-butter' => '60 g', 'olive-oil' => '39 g', 'vitamin-e' => '1 g'],
            ProductKind::WhippedButter,
        );
    }

    private static function scent(string $id, string $oil, string $amount): Line
    {
        return new Line($id, $oil, $oil, new WrittenAmount($amount), '', Phase::CoolDown);
    }

    /** @return array<string, string> */
    private static function amounts(Formula $formula): array
    {
        return array_combine(
            array_map(static fn (Line $l): string => $l->ingredient, $formula->lines),
            array_map(static fn (Line $l): string => $l->amount->text, $formula->lines),
        );
    }

    public function test_a_changed_amount_reaches_the_variant_and_its_scent_stays(): void
    {
        $was = self::base();
        $variant = $was->withLines([...$was->lines, self::scent('l4', 'lavender-eo', '8 drops')]);
        $is = $was->replacing($was->lines[0]->withAmount(new WrittenAmount('55 g')));

        self::assertSame(
            ['shea-butter' => '55 g', 'olive-oil' => '39 g', 'vitamin-e' => '1 g', 'lavender-eo' => '8 drops'],
            self::amounts(Family::pass($was, $is, $variant)),
        );
    }

    public function test_what_the_variant_made_its_own_stays(): void
    {
        $was = self::base();
        $variant = $was->replacing($was->lines[0]->withAmount(new WrittenAmount('50 g')));
        $is = $was
            ->replacing($was->lines[0]->withAmount(new WrittenAmount('55 g')))
            ->replacing($was->lines[1]->withAmount(new WrittenAmount('44 g')));

        self::assertSame(
            ['shea-butter' => '50 g', 'olive-oil' => '44 g', 'vitamin-e' => '1 g'],
            self::amounts(Family::pass($was, $is, $variant)),
        );
    }

    public function test_a_line_that_came_or_went(): void
    {
        $was = self::base();
        $is = $was->withLines([
            $was->lines[0],
            $was->lines[1],
            new Line('l4', 'jojoba-oil', 'Jojoba oil', new WrittenAmount('5 g'), '', Phase::Warm),
        ]);

        self::assertSame(
            ['shea-butter' => '60 g', 'olive-oil' => '39 g', 'jojoba-oil' => '5 g'],
            self::amounts(Family::pass($was, $is, $was)),
        );
        // Vitamin E went from the base, but this variant had doubled it.
        $more = $was->replacing($was->lines[2]->withAmount(new WrittenAmount('2 g')));
        self::assertSame(
            ['shea-butter' => '60 g', 'olive-oil' => '39 g', 'jojoba-oil' => '5 g', 'vitamin-e' => '2 g'],
            self::amounts(Family::pass($was, $is, $more)),
        );
    }

    public function test_what_the_variant_took_out_stays_out(): void
    {
        $was = self::base();
        $variant = $was->withLines([$was->lines[0], $was->lines[1]]);
        $is = $was->replacing($was->lines[2]->withAmount(new WrittenAmount('0.5 g')));

        self::assertSame(
            ['shea-butter' => '60 g', 'olive-oil' => '39 g'],
            self::amounts(Family::pass($was, $is, $variant)),
        );
    }

    public function test_two_new_lines_under_one_id_are_both_kept(): void
    {
        $was = self::base();
        $variant = $was->withLines([...$was->lines, self::scent('l4', 'lavender-eo', '8 drops')]);
        $is = $was->withLines([
            ...$was->lines,
            new Line('l4', 'jojoba-oil', 'Jojoba oil', new WrittenAmount('5 g'), '', Phase::Warm),
        ]);
        $passed = Family::pass($was, $is, $variant);

        self::assertSame(
            [
                'shea-butter' => '60 g',
                'olive-oil' => '39 g',
                'vitamin-e' => '1 g',
                'jojoba-oil' => '5 g',
                'lavender-eo' => '8 drops',
            ],
            self::amounts($passed),
        );
        self::assertCount(5, array_unique(array_map(static fn (Line $l): string => $l->id, $passed->lines)));
        // And again, once the base has moved on: the scent is still the variant's own.
        $next = $is->replacing($is->lines[3]->withAmount(new WrittenAmount('6 g')));
        self::assertSame('6 g', self::amounts(Family::pass($is, $next, $passed))['jojoba-oil']);
        self::assertSame('8 drops', self::amounts(Family::pass($is, $next, $passed))['lavender-eo']);
    }

    public function test_the_order_is_the_bases(): void
    {
        $was = self::base();
        $is = $was->withLines(array_reverse($was->lines));

        self::assertSame(
            ['vitamin-e', 'olive-oil', 'shea-butter'],
            array_keys(self::amounts(Family::pass($was, $is, $was))),
        );
    }

    public function test_what_it_is_for_follows_where_the_variant_did_not_choose(): void
    {
        $was = self::base();
        $is = $was
            ->withAudience(Audience::Child6To12)
            ->withUse(true, true, 5.0)
            ->withSize(Size::mass(400))
            ->inClearGlass();
        $child = $was->withAudience(Audience::Pregnancy)->withNotes('For Ama.');
        $passed = Family::pass($was, $is, $child);

        self::assertSame(
            [Audience::Pregnancy, true, true, 5.0, 400.0, 'For Ama.', true],
            [
                $passed->audience,
                $passed->wetUse,
                $passed->forSale,
                $passed->storageCelsius,
                $passed->size->grams,
                $passed->notes,
                $passed->clearGlass,
            ],
        );
        $own = $was->withUse(true, false, 12.0);
        self::assertSame(
            [true, true, 12.0],
            [
                Family::pass($was, $is, $own)->wetUse,
                Family::pass($was, $is, $own)->forSale,
                Family::pass($was, $is, $own)->storageCelsius,
            ],
        );
    }

    public function test_passing_on_nothing_changes_nothing_and_twice_is_once(): void
    {
        $was = self::base();
        $variant = $was->withLines([
            $was->lines[0]->withAmount(new WrittenAmount('50 g')),
            $was->lines[1],
            self::scent('x', 'lavender-eo', '8 drops'),
        ]);
        self::assertEquals($variant, Family::pass($was, $was, $variant));

        $is = $was->replacing($was->lines[1]->withAmount(new WrittenAmount('44 g')));
        $once = Family::pass($was, $is, $variant);
        self::assertEquals($once, Family::pass($is, $is, $once));
    }
}
