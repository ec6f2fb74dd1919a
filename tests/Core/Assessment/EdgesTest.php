<?php

declare(strict_types=1);

namespace Tests\Core\Assessment;

use Crown\Assessment\Decision;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Keeping;
use Crown\Assessment\Severity;
use Crown\Formula\Audience;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** What a line at the very limit does, and what a finding says of its line. */
final class EdgesTest extends CoreTestCase
{
    /** @return iterable<string, array{int, bool}> per cent of flaxseed oil, whether it counts */
    public static function shortLived(): iterable
    {
        yield 'under a twentieth' => [4, false];
        yield 'a twentieth' => [5, true];
        yield 'a fifth' => [20, true];
    }

    #[DataProvider('shortLived')]
    public function test_once_opened_a_jar_keeps_as_its_shortest_line_of_a_twentieth_or_more(
        int $percent,
        bool $counts,
    ): void {
        $assessment = self::assess(
            self::formula(['olive-oil' => 100 - $percent.' %', 'flaxseed-oil' => $percent.' %']),
        );
        $keeping = Keeping::of($assessment->subject, new DateTimeImmutable('2027-03-10'));

        // Opened, olive oil keeps nine months and flaxseed oil two (the catalogue).
        self::assertSame($counts, $keeping->openedMonths <= 2);
    }

    /** @return iterable<string, array{string, Audience, array<string, string>}> code, audience, lines */
    public static function shares(): iterable
    {
        yield 'pregnancy' => [
            'pregnancy.avoid',
            Audience::Pregnancy,
            ['olive-oil' => '99.5 g', 'clove-bud-eo' => '0.5 g'],
        ];
        yield 'its own maximum' => [
            'load.oil',
            Audience::AdultLeaveOn,
            ['olive-oil' => '97 g', 'clove-bud-eo' => '3 g'],
        ];
    }

    /** @param  array<string, string>  $lines the last one is what is found fault with */
    #[DataProvider('shares')]
    public function test_a_finding_says_the_share_of_the_line_it_is_about(
        string $code,
        Audience $audience,
        array $lines,
    ): void {
        $finding = self::finding(self::assess(self::formula($lines, audience: $audience)), $code);

        $share = $finding->figure(FigureName::Share);
        self::assertEqualsWithDelta((float) end($lines), $share->best, 1e-9);
        self::assertSame(array_key_last($lines), $finding->portions[0]->ingredient->id);
    }

    public function test_the_worst_comes_first_and_what_was_accepted_last(): void
    {
        $rank = static fn (Severity $severity, ?string $accepted): int => (new Decision(true, $accepted))->rank(
            new Finding('x', $severity, [], [], ''),
        );
        $order = [
            $rank(Severity::Stop, null),
            $rank(Severity::Caution, null),
            $rank(Severity::Note, null),
            $rank(Severity::Stop, 'So be it.'),
            $rank(Severity::Caution, 'So be it.'),
            $rank(Severity::Note, 'So be it.'),
        ];
        $sorted = $order;
        sort($sorted);

        self::assertSame($sorted, $order);
        self::assertCount(6, array_unique($order));
    }

    public function test_shares_alone_that_do_not_make_a_whole_are_told_and_those_that_do_are_not(): void
    {
        $problems = static fn (array $lines): ?float => self::assess(self::formula($lines))->subject->composition
            ->sharesPercent;

        self::assertNull($problems(['olive-oil' => '60 %', 'jojoba-oil' => '40 %']));
        self::assertSame(90.0, $problems(['olive-oil' => '60 %', 'jojoba-oil' => '30 %']));
        self::assertEqualsWithDelta(110.0, $problems(['olive-oil' => '60 %', 'jojoba-oil' => '50 %']), 1e-9);
        // Parts, or something to fill, or something weighed, take up what the shares leave.
        self::assertNull($problems(['olive-oil' => '60 %', 'jojoba-oil' => '2 parts']));
        self::assertNull($problems(['olive-oil' => '60 %', 'jojoba-oil' => 'to fill']));
        self::assertNull($problems(['olive-oil' => '60 %', 'jojoba-oil' => '20 g']));
    }
}
