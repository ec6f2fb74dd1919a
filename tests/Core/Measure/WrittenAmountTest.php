<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Crown\Measure\Unit;
use Crown\Measure\WrittenAmount;
use PHPUnit\Framework\TestCase;

/** An amount is read once, and says why it cannot be. */
final class WrittenAmountTest extends TestCase
{
    public function test_what_can_be_read_says_so(): void
    {
        $amount = new WrittenAmount('2 tbsp');

        self::assertSame(
            [2.0, Unit::Tablespoon, null],
            [$amount->read?->count->best, $amount->read?->unit, $amount->problem],
        );
        self::assertSame('"2 tbsp"', json_encode($amount));
        self::assertTrue($amount->equals(new WrittenAmount('2 tbsp')));
        self::assertFalse($amount->equals(new WrittenAmount('2 tablespoons')));
    }

    public function test_nothing_is_no_mistake_and_a_mistake_names_what_was_written(): void
    {
        $nothing = new WrittenAmount('');
        $handful = new WrittenAmount('3 wheelbarrows');

        self::assertSame(
            [null, true, 'No amount is given yet.'],
            [$nothing->read, $nothing->isBlank(), $nothing->problem],
        );
        self::assertNull($handful->read);
        self::assertFalse($handful->isBlank());
        self::assertStringContainsString('3 wheelbarrows', $handful->problem);
    }
}
