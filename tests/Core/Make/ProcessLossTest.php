<?php

declare(strict_types=1);

namespace Tests\Core\Make;

use Crown\Formula\FormulaError;
use Crown\Formula\Size;
use Crown\Make\ProcessLoss;
use PHPUnit\Framework\TestCase;

final class ProcessLossTest extends TestCase
{
    /** @return array{weighed: float, filled: float} */
    private static function batch(float $weighed, float $filled): array
    {
        return ['weighed' => $weighed, 'filled' => $filled];
    }

    public function test_without_batches_it_is_the_usual_loss(): void
    {
        self::assertSame(Size::LOSS, ProcessLoss::of([])->share);
        self::assertSame(0, ProcessLoss::of([])->batches);
    }

    public function test_as_worked_on_the_method_page(): void
    {
        // (0.04 + 0.04 + 0.10 + 0.06) / 4 = 6 %.
        $loss = ProcessLoss::of([self::batch(400, 360), self::batch(500, 470)]);

        self::assertEqualsWithDelta(0.06, $loss->share, 1e-12);
        self::assertSame(2, $loss->batches);
        // Four jars of 100 ml at 0.9 g/ml, 3 % over: 370.8 g in the jars, 394.5 g to weigh.
        self::assertEqualsWithDelta(394.47, Size::jars(4, 100, loss: $loss->share)->target(0.9), 0.01);
    }

    public function test_many_batches_have_the_say(): void
    {
        self::assertEqualsWithDelta(
            (0.08 + 20 * 0.09) / 22,
            ProcessLoss::of(array_fill(0, 20, self::batch(100, 91)))->share,
            1e-12,
        );
    }

    public function test_what_is_no_loss_in_a_spout_teaches_nothing(): void
    {
        $loss = ProcessLoss::of([self::batch(400, 40), self::batch(0, 0), self::batch(400, 401)]);

        self::assertSame(1, $loss->batches, 'a rounded scale may show a gram more: that is no loss at all');
        self::assertEqualsWithDelta(0.08 / 3, $loss->share, 1e-12);
    }

    public function test_nonsense_is_refused(): void
    {
        $this->expectException(FormulaError::class);
        ProcessLoss::of([self::batch(-1, 5)]);
    }
}
