<?php

declare(strict_types=1);

namespace Tests\Core\Formula;

use Crown\Formula\Audience;
use Crown\Formula\Edits;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Measure\WrittenAmount;
use Tests\Core\CoreTestCase;

final class EditsTest extends CoreTestCase
{
    public function test_nothing_changed_is_nothing_said(): void
    {
        $formula = self::formula(['olive-oil' => '40 g']);

        self::assertSame([], Edits::between($formula, $formula->withNotes('Shaken, not stirred.')));
    }

    public function test_lines_that_came_went_and_changed(): void
    {
        $from = self::formula([
            'shea-butter' => '60 g',
            'olive-oil' => '40 g',
            'vitamin-e' => '1 g',
            'beeswax' => '5 g',
        ]);
        $lines = $from->lines;
        $to = $from->withLines([
            $lines[0]->withAmount(new WrittenAmount('50 g')),
            $lines[1]->withIngredient('jojoba-oil', 'Jojoba oil', Phase::Warm),
            $lines[2]->withPhase(Phase::Melt),
            self::formula(['a' => '', 'b' => '', 'c' => '', 'd' => '', 'castor-oil' => '12 g'])->lines[4],
        ]);

        self::assertSame(
            [
                'shea-butter 50 g instead of 60 g.',
                'Jojoba oil in the place of olive-oil, 40 g.',
                'vitamin-e goes in at melt instead of '.$lines[2]->phase->value.'.',
                'castor-oil added, 12 g.',
                'beeswax taken out, 5 g.',
            ],
            Edits::between($from, $to),
        );
    }

    public function test_what_it_is_for(): void
    {
        $from = self::formula(['olive-oil' => '40 g']);
        $to = self::formula(['olive-oil' => '40 g'], ProductKind::ScalpOil, Audience::Child6To12, true)
            ->withUse(true, true, 5.0)
            ->withSize(Size::mass(100));

        self::assertSame(
            [
                'Scalp oil instead of hair oil.',
                'For: '.lcfirst(Audience::Child6To12->label()).' instead of adult, stays in the hair.',
                'Meets wet fingers now.',
                'For sale now.',
                'Stored at 5 °C instead of 20.',
                'Another batch size.',
            ],
            Edits::between($from, $to),
        );
        self::assertContains('Kept dry now.', Edits::between($to, $from));
        self::assertContains('No longer for sale.', Edits::between($to, $from));
    }
}
