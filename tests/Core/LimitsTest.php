<?php

declare(strict_types=1);

namespace Tests\Core;

use Closure;
use Crown\Catalogue\CatalogueError;
use Crown\Problem;
use Crown\Rhythm\Routine;
use Crown\Steep\Way;
use Crown\Steep\Weighing;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is taken and what is refused, at the very edge of what is allowed. */
final class LimitsTest extends TestCase
{
    /** @return iterable<string, array{Closure(): object}> */
    public static function allowed(): iterable
    {
        yield 'a bowl that lost nothing' => [static fn () => new Weighing(0.1, 0.1)];
        yield 'one day' => [static fn () => new Way(days: 1)];
        yield 'the longest stay' => [static fn () => new Way(days: Way::MOST_DAYS)];
        yield 'the hottest for the longest' => [static fn () => new Way(celsius: 150.0, minutes: 1440.0)];
        yield 'nothing of the method changed' => [static fn () => new Way(celsius: 0.0, minutes: 0.0)];
        yield 'every day of a year' => [static fn () => self::routine(7, 52, 500.0)];
        yield 'once' => [static fn () => self::routine(1, 1, 0.1)];
    }

    /** @param  Closure(): object  $made */
    #[DataProvider('allowed')]
    public function test_the_edge_itself_is_taken(Closure $made): void
    {
        $this->expectNotToPerformAssertions();
        $made();
    }

    /** @return iterable<string, array{string, Closure(): object}> path, and what is about it */
    public static function refused(): iterable
    {
        yield 'an empty bowl before' => ['after', static fn () => new Weighing(0.0, 0.0)];
        yield 'an empty bowl after' => ['after', static fn () => new Weighing(500.0, 0.0)];
        yield 'a bowl that gained' => ['after', static fn () => new Weighing(500.0, 500.1)];
        yield 'no day' => ['days', static fn () => new Way(days: 0)];
        yield 'a day too long' => ['days', static fn () => new Way(days: Way::MOST_DAYS + 1)];
        yield 'a degree too hot' => ['celsius', static fn () => new Way(celsius: 150.1)];
        yield 'frozen' => ['celsius', static fn () => new Way(celsius: -0.1)];
        yield 'a minute too long' => ['held_for', static fn () => new Way(minutes: 1440.1)];
        yield 'less than no time' => ['held_for', static fn () => new Way(minutes: -0.1)];
        yield 'no application' => ['per_week', static fn () => self::routine(0, 1, 1.0)];
        yield 'eight days a week' => ['per_week', static fn () => self::routine(8, 1, 1.0)];
        yield 'no week' => ['weeks', static fn () => self::routine(1, 0, 1.0)];
        yield 'more than a year' => ['weeks', static fn () => self::routine(1, 53, 1.0)];
        yield 'nothing at a time' => ['grams_per_use', static fn () => self::routine(1, 1, 0.0)];
        yield 'half a kilogram and more at a time' => ['grams_per_use', static fn () => self::routine(1, 1, 500.1)];
    }

    /** @param  Closure(): object  $made */
    #[DataProvider('refused')]
    public function test_what_lies_beyond_is_refused_by_name(string $path, Closure $made): void
    {
        try {
            $made();
            self::fail('taken');
        } catch (Problem $problem) {
            self::assertSame($path, $problem->path);
        }
    }

    public function test_no_ingredient_at_all_is_told_apart_from_an_unknown_one(): void
    {
        self::assertSame('Choose an ingredient of the catalogue.', CatalogueError::unknown(' ')->getMessage());
        self::assertStringContainsString('"moon-oil"', CatalogueError::unknown('moon-oil')->getMessage());
    }

    private static function routine(int $perWeek, int $weeks, float $gramsPerUse): Routine
    {
        return new Routine(new DateTimeImmutable('2027-03-10'), $perWeek, $weeks, $gramsPerUse, 50.0);
    }
}
