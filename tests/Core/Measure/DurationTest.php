<?php

declare(strict_types=1);

namespace Crown\Tests\Measure;

use Crown\Measure\Duration;
use Crown\Measure\MeasureError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DurationTest extends TestCase
{
    /** @return iterable<string, array{string, float, float}> */
    public static function times(): iterable
    {
        yield 'a bare figure counts minutes' => ['30', 30.0, 30.0];
        yield 'minutes' => ['5 minutes', 5.0, 5.0];
        yield 'short' => ['5 min', 5.0, 5.0];
        yield 'a range' => ['45 to 60', 45.0, 60.0];
        yield 'a range with its unit' => ['45-60 min', 45.0, 60.0];
        yield 'a range the wrong way round' => ['60 to 45 min', 45.0, 60.0];
        yield 'words' => ['two hours', 120.0, 120.0];
        yield 'one hour' => ['an hour', 60.0, 60.0];
        yield 'half an hour' => ['half an hour', 30.0, 30.0];
        yield 'an hour and a half' => ['an hour and a half', 90.0, 90.0];
        yield 'hours and minutes' => ['1 h 30', 90.0, 90.0];
        yield 'hours and minutes in words' => ['1 hour and 20 minutes', 80.0, 80.0];
        yield 'a half' => ['1½ hours', 90.0, 90.0];
        yield 'a comma' => ['1,5 h', 90.0, 90.0];
        yield 'seconds' => ['90 seconds', 1.5, 1.5];
        yield 'overnight' => ['overnight', 480.0, 480.0];
        yield 'days' => ['2 days', 2880.0, 2880.0];
        yield 'weeks' => ['4-6 weeks', 40_320.0, 60_480.0];
        yield 'a month' => ['one month', 43_800.0, 43_800.0];
    }

    #[DataProvider('times')]
    public function testTimesAreReadAsTheyAreWritten(string $written, float $low, float $high): void
    {
        $minutes = Duration::minutes($written);

        self::assertEqualsWithDelta($low, $minutes->low, 1e-9);
        self::assertEqualsWithDelta($high, $minutes->high, 1e-9);
        self::assertEqualsWithDelta(($low + $high) / 2, $minutes->best, 1e-9);
    }

    /** @return iterable<string, array{string}> */
    public static function nonsense(): iterable
    {
        yield 'nothing' => [''];
        yield 'no time' => ['a while'];
        yield 'no figure' => ['minutes'];
        yield 'none at all' => ['0'];
    }

    #[DataProvider('nonsense')]
    public function testWhatIsNoTimeIsRefusedWithWhatIsAllowed(string $written): void
    {
        $this->expectException(MeasureError::class);
        $this->expectExceptionMessage('Write it as "30 minutes"');
        Duration::minutes($written);
    }

    public function testTheFirstTimeOfASentenceIsFound(): void
    {
        self::assertSame(20.0, Duration::in('Melt it, then whip for 20 minutes at medium speed.')?->best);
        self::assertSame(15.0, Duration::in('Chill for 10 to 20 min, whip again for 5 min')?->best);
    }

    public function testWhatOnlyLooksLikeATimeIsNone(): void
    {
        self::assertNull(Duration::in('Pour it into a second bowl.'));
        self::assertNull(Duration::in('Add 2 mini jars of oil.'));
        self::assertNull(Duration::in('Stir until it is clear.'));
    }
}
