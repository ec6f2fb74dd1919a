<?php

declare(strict_types=1);

namespace Tests\Core;

use Crown\Formula\FormulaError;
use Crown\Measure\MeasureError;
use Crown\Problem;
use PHPUnit\Framework\TestCase;

final class ProblemTest extends TestCase
{
    public function test_a_field_is_named_in_the_path_and_in_the_sentence(): void
    {
        $problem = FormulaError::field('kind', 'balm, hair-oil');

        self::assertSame(['kind', 'not-allowed'], [$problem->path, $problem->cause]);
        self::assertSame(['allowed' => 'balm, hair-oil'], $problem->parameters);
        self::assertSame('kind is not allowed as it is. Allowed: balm, hair-oil.', $problem->getMessage());
    }

    public function test_who_asked_knows_the_field_by_a_longer_path(): void
    {
        try {
            Problem::within('formula', static fn () => Problem::within(
                'lines.2',
                static fn () => throw FormulaError::field('amount', 'a text'),
            ));
        } catch (FormulaError $problem) {
            self::assertSame('formula.lines.2.amount', $problem->path);
            self::assertSame(
                'formula.lines.2.amount is not allowed as it is. Allowed: a text.',
                $problem->getMessage(),
            );
        }
        self::assertSame('done', Problem::within('formula', static fn (): string => 'done'));
    }

    public function test_a_sentence_of_its_own_stays_as_it_is(): void
    {
        $problem = MeasureError::negativeAmount('-3 g')->of('grams');

        self::assertSame(['grams', 'negative-amount', ['text' => '-3 g']], [
            $problem->path,
            $problem->cause,
            $problem->parameters,
        ]);
        self::assertStringContainsString('"-3 g" is negative or zero', $problem->getMessage());
    }
}
