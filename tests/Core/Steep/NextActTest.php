<?php

declare(strict_types=1);

namespace Tests\Core\Steep;

use Crown\Steep\JarState;
use Crown\Steep\NextAct;
use Crown\Steep\NextKind;
use Crown\Steep\ShakeStrip;
use Crown\Steep\Standing;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** A jar begun on 1 March, cold and dark: settles on the 27th, is strained on the 29th, ready on the 30th. */
final class NextActTest extends CoreTestCase
{
    private static function day(string $day): DateTimeImmutable
    {
        return new DateTimeImmutable('2027-'.$day);
    }

    private static function jar(SteepMethod $method = SteepMethod::ColdDark, bool $shaken = true): SteepPlan
    {
        return self::onePlant(
            self::catalogue()->get('calendula'),
            'dried',
            40,
            self::catalogue()->get('olive-oil'),
            360,
            $method,
            self::day('03-01'),
            $shaken,
        );
    }

    /** @return iterable<string, array{Standing, string, NextKind, string, string}> standing, today, kind, day, words */
    public static function jars(): iterable
    {
        $shaken = static fn (string ...$days): Standing => new Standing(
            JarState::Running,
            array_map(self::day(...), array_values($days)),
        );
        yield 'just begun' => [$shaken(), '03-01', NextKind::Shake, '03-01', 'Shake it today.'];
        yield 'shaken today' => [$shaken('03-04'), '03-04', NextKind::Waiting, '03-05', 'Shaken today.'];
        yield 'shaken yesterday' => [$shaken('03-03'), '03-04', NextKind::Shake, '03-04', 'Shake it today.'];
        yield 'one day missed' => [$shaken('03-02'), '03-04', NextKind::Shake, '03-04', 'Shake it today.'];
        yield 'two days missed' => [
            $shaken('03-02'),
            '03-05',
            NextKind::Shake,
            '03-03',
            'Shake it: not shaken for 3 days.',
        ];
        yield 'the last day of shaking' => [$shaken('03-25'), '03-26', NextKind::Shake, '03-26', 'Shake it today.'];
        yield 'to be left to settle' => [
            $shaken('03-26'),
            '03-27',
            NextKind::StopShaking,
            '03-27',
            'Leave it to settle: no more shaking.',
        ];
        yield 'not left to settle yet' => [
            $shaken('03-26'),
            '03-28',
            NextKind::StopShaking,
            '03-27',
            'Leave it to settle: no more shaking, 1 day late.',
        ];
        yield 'settling' => [
            new Standing(settling: true),
            '03-28',
            NextKind::Settling,
            '03-29',
            'Settling, untouched, until it is strained.',
        ];
        yield 'to be strained' => [new Standing(settling: true), '03-29', NextKind::Strain, '03-29', 'Strain it.'];
        yield 'late' => [new Standing(settling: true), '04-05', NextKind::Strain, '03-29', 'Strain it, 7 days late.'];
        yield 'clearing' => [
            new Standing(JarState::Strained),
            '03-29',
            NextKind::Ready,
            '03-30',
            'Clearing until it is ready.',
        ];
        yield 'ready' => [
            new Standing(JarState::Strained),
            '03-31',
            NextKind::Ready,
            '03-30',
            'Ready: put it away, 1 day late.',
        ];
        yield 'put away' => [
            new Standing(JarState::Strained, putAway: true),
            '03-31',
            NextKind::Done,
            '03-31',
            'Strained and put away.',
        ];
        yield 'spoiled' => [
            new Standing(JarState::Spoiled),
            '03-09',
            NextKind::Spoiled,
            '03-09',
            'Spoiled: throw it away.',
        ];
    }

    #[DataProvider('jars')]
    public function test_what_a_jar_needs_next(
        Standing $standing,
        string $today,
        NextKind $kind,
        string $on,
        string $words,
    ): void {
        $next = NextAct::of(self::jar(), $standing, self::day($today));

        self::assertSame(
            ['kind' => $kind->value, 'on' => '2027-'.$on, 'overdue' => $on < $today, 'words' => $words],
            $next->jsonSerialize(),
        );
    }

    public function test_a_jar_that_is_not_shaken_or_is_heated_waits(): void
    {
        $still = NextAct::of(self::jar(shaken: false), new Standing(), self::day('03-05'));
        self::assertSame([NextKind::Waiting, false], [$still->kind, $still->isForHands()]);

        $heated = NextAct::of(self::jar(SteepMethod::WaterBath), new Standing(), self::day('03-02'));
        self::assertSame([NextKind::Strain, true], [$heated->kind, $heated->isForHands()]);
    }

    public function test_the_strip_holds_a_fortnight_until_it_settles(): void
    {
        $standing = new Standing(JarState::Running, [self::day('03-01'), self::day('03-03')]);
        $strip = static fn (string $today): array => (new ShakeStrip(
            self::jar()->timeline,
            $standing,
            self::day($today),
        ))->jsonSerialize();

        self::assertSame(
            [
                ['date' => '2027-03-01', 'done' => true],
                ['date' => '2027-03-02', 'done' => false],
                ['date' => '2027-03-03', 'done' => true],
            ],
            $strip('03-03'),
        );
        self::assertCount(14, $strip('03-20'));
        self::assertSame('2027-03-26', $strip('04-02')[13]['date']);
        $heated = self::jar(SteepMethod::WaterBath)->timeline;
        self::assertSame([], (new ShakeStrip($heated, $standing, self::day('03-03')))->jsonSerialize());
    }
}
