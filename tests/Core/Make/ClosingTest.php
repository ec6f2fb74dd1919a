<?php

declare(strict_types=1);

namespace Tests\Core\Make;

use Crown\Formula\Formula;
use Crown\Formula\ProductKind;
use Crown\Make\BatchClosing;
use Crown\Make\Inspection;
use Crown\Make\LotCode;
use Crown\Make\MakeError;
use Crown\Make\MakeSheet;
use Crown\Make\Put;
use Crown\Make\PutHow;
use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

/** When a batch may be closed, what its code is, and what may be said of it afterwards. */
final class ClosingTest extends CoreTestCase
{
    private static function day(string $day): DateTimeImmutable
    {
        return new DateTimeImmutable('2027-'.$day);
    }

    /** @param  array<string, float>  $grams */
    private static function closed(array $grams, int $jars, float $net, float $remainder = 0.0): float
    {
        $formula = self::oil();
        $sheet = new MakeSheet(self::assess($formula));

        return BatchClosing::actual(
            $formula,
            $sheet->weighings(),
            array_map(static fn (float $g): Put => Put::kept(PutHow::Weighed, $g, null), $grams),
            $jars,
            $net,
            $remainder,
            self::context(),
        )->subject->composition->totalGrams->best;
    }

    private static function oil(): Formula
    {
        return self::formula(['jojoba-oil' => '80 g', 'olive-oil' => '20 g']);
    }

    public function test_what_was_weighed_is_the_batch(): void
    {
        [$jojoba, $olive] = array_map(static fn ($line): string => $line->id, self::oil()->lines);

        self::assertSame(101.0, self::closed([$jojoba => 81.0, $olive => 20.0], 2, 50.0));
        self::assertSame(81.0, self::closed([$jojoba => 81.0, $olive => 0.0], 1, 80.0), 'one was left out');
        // A gram more in the jars is what scales differ by.
        self::assertSame(100.0, self::closed([$jojoba => 80.0, $olive => 20.0], 2, 50.5));
    }

    public function test_what_is_left_over_was_weighed_too(): void
    {
        [$jojoba, $olive] = array_map(static fn ($line): string => $line->id, self::oil()->lines);
        $grams = [$jojoba => 80.0, $olive => 20.0];

        self::assertSame(100.0, self::closed($grams, 2, 45.0, 10.0));
        try {
            self::closed($grams, 2, 45.0, 15.0);
            self::fail('More was left over than there was.');
        } catch (MakeError $problem) {
            self::assertSame(['remainder_grams', 'more-left-than-weighed'], [$problem->path, $problem->cause]);
        }
    }

    /** @return iterable<string, array{array<int, float>, int, float, string, string}> grams, jars, net, path, cause */
    public static function open(): iterable
    {
        yield 'a line is not weighed' => [[80.0], 1, 10.0, 'weighings', 'not-weighed'];
        yield 'nothing was weighed' => [[0.0, 0.0], 1, 10.0, 'weighings', 'nothing-weighed'];
        yield 'more in the jars' => [[80.0, 20.0], 2, 55.0, 'net_grams', 'more-than-weighed'];
    }

    /** @param  array<int, float>  $grams in the order of the lines */
    #[DataProvider('open')]
    public function test_it_cannot_be_closed(array $grams, int $jars, float $net, string $path, string $cause): void
    {
        $ids = array_map(static fn ($line): string => $line->id, self::oil()->lines);
        try {
            self::closed(array_combine(array_slice($ids, 0, count($grams)), $grams), $jars, $net);
            self::fail('It was closed.');
        } catch (MakeError $problem) {
            self::assertSame([$path, $cause], [$problem->path, $problem->cause]);
        }
    }

    public function test_codes_count_within_their_day(): void
    {
        self::assertSame('270301-1', LotCode::next(self::day('03-01'), []));
        self::assertSame('270301-10', LotCode::next(self::day('03-01'), ['270301-2', '270301-9', '270228-40']));
    }

    public function test_a_batch_is_looked_at_from_its_day_to_today(): void
    {
        $on = static fn (string $day, ProductKind $kind = ProductKind::WhippedButter): Inspection => new Inspection(
            $kind,
            self::day('03-01'),
            self::day($day),
        );
        $on('03-01')->check(self::day('03-01'), true, false);
        $on('03-31')->check(self::day('04-01'), false, true);
        self::assertEqualsWithDelta(30 / 30.44, $on('03-31')->months(), 1e-9);

        $wrong = [
            'before it was made' => [$on('02-28'), false, false, 'on'],
            'a day that has not come' => [$on('03-09'), false, false, 'on'],
            'air in an oil' => [$on('03-02', ProductKind::HairOil), true, false, 'overrun_percent'],
            'good on its first day' => [$on('03-01'), false, true, 'state'],
        ];
        foreach ($wrong as $what => [$inspection, $air, $state, $path]) {
            try {
                $inspection->check(self::day('03-08'), $air, $state);
                self::fail($what);
            } catch (MakeError $problem) {
                self::assertSame($path, $problem->path, $what);
            }
        }
    }
}
