<?php

declare(strict_types=1);

namespace Tests\Core\Make;

use Crown\Assessment\Composition;
use Crown\Assessment\Examined;
use Crown\Formula\ProductKind;
use Crown\Make\Cooling;
use Crown\Make\CoolingTrace;
use Crown\Make\Gate;
use Crown\Make\MakeError;
use Crown\Make\ProbeReading;
use Crown\Make\Surroundings;
use Crown\Make\Task;
use Crown\Make\TaskKind;
use Crown\Measure\Band;
use Crown\Measure\Point;
use Crown\Measure\Vessel;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\CoreTestCase;

final class CoolingTest extends CoreTestCase
{
    /** @param  array<string, string>  $lines */
    private static function blend(array $lines): Composition
    {
        return self::examined($lines)->composition;
    }

    /** @param  array<string, string>  $lines */
    private static function examined(array $lines): Examined
    {
        return self::assess(self::formula($lines, ProductKind::Balm))->subject;
    }

    /** 22 ln(54 / 19) = 22.98. */
    public function test_newton_with_a_known_tau(): void
    {
        $cooling = Cooling::known(Band::exact(22.0), 21.0, 75.0);

        self::assertEqualsWithDelta(22.98, $cooling->minutesTo(40.0)->best ?? 0.0, 0.005);
        self::assertEqualsWithDelta(21.0 + 54.0 * exp(-1.0), $cooling->celsiusAfter(22.0), 0.02);
        self::assertSame(0.0, $cooling->minutesTo(75.0)?->best);
        self::assertSame(0.0, $cooling->minutesTo(80.0)?->best);
        self::assertNull($cooling->minutesTo(21.0), 'it never gets as cold as the room');
        self::assertNull($cooling->minutesTo(4.0));
        self::assertEqualsWithDelta(21.0, $cooling->celsiusAfter(100_000.0), 0.06);
    }

    /** 10 / ln(54 / 39) = 30.73; with half a degree either way 10 / ln(54.5 / 38.5) to 10 / ln(53.5 / 39.5). */
    public function test_two_readings_give_tau(): void
    {
        $readings = [new ProbeReading(10.0, 60.0), new ProbeReading(0.0, 75.0)];
        $tau = Cooling::fitted($readings, 21.0)->tau;

        self::assertEqualsWithDelta(30.73, $tau->best, 0.005);
        self::assertEqualsWithDelta(28.77, $tau->low, 0.01);
        self::assertEqualsWithDelta(32.96, $tau->high, 0.01);
        self::assertSame(60.0, Cooling::fitted($readings, 21.0)->from, 'it goes on from the last of them');
        $fine = Cooling::fitted($readings, 21.0, 0.1)->tau;
        self::assertLessThan(0.6, $fine->high - $fine->low, 'a finer probe tells more');
    }

    /** Readings of a curve whose tau is known, one of them off by half a degree, lie near it. */
    public function test_many_readings_smooth_each_other(): void
    {
        $true = Cooling::known(Band::exact(25.0), 20.0, 80.0);
        $readings = [];
        foreach ([0, 5, 10, 15, 20, 25] as $n => $minutes) {
            $readings[] = new ProbeReading($minutes, $true->celsiusAfter($minutes) + ($n === 3 ? 0.5 : 0.0));
        }

        self::assertEqualsWithDelta(25.0, Cooling::fitted($readings, 20.0)->tau->best, 0.2);
    }

    /**
     * 300 g in a glass bowl of 667 ml: 600 J/K of fat and 0.7 x 367 g x 0.84 = 215.6 of glass; 333 ml are 9.47 cm
     * across, 282 cm2; 10 W/m2K are 0.2817 W/K: 2895 s.
     */
    public function test_before_anything_is_measured(): void
    {
        $tau = Cooling::estimated(300.0, null, Surroundings::Air, 21.0, 75.0)->tau;

        self::assertEqualsWithDelta(48.25, $tau->best, 0.05);
        self::assertLessThan(30.0, $tau->low);
        self::assertGreaterThan(80.0, $tau->high);
        $steel = new Vessel('Steel bowl', 667.0, 'steel');
        self::assertLessThan($tau->best, Cooling::estimated(300.0, $steel, Surroundings::Air, 21.0, 75.0)->tau->best);
        $weighed = new Vessel('Heavy', 667.0, 'glass', 1000.0);
        self::assertEqualsWithDelta(
            (600.0 + 0.7 * 1000.0 * 0.84) / 0.2817 / 60.0,
            Cooling::estimated(300.0, $weighed, Surroundings::Air, 21.0, 75.0)->tau->best,
            0.1,
        );
    }

    public function test_water_cools_faster_than_air_and_a_freezer_sooner_than_a_fridge(): void
    {
        $to = static fn (Surroundings $where): float => Cooling::estimated(
            300.0,
            null,
            $where,
            $where->celsius(),
            75.0,
        )->minutesTo(40.0)->best ?? INF;

        self::assertLessThan($to(Surroundings::Air), $to(Surroundings::Fridge));
        self::assertLessThan($to(Surroundings::Fridge), $to(Surroundings::Freezer));
        self::assertLessThan($to(Surroundings::Freezer), $to(Surroundings::Water));
        self::assertSame(25.0, Surroundings::Air->celsius(25.0), 'a room may be warmer');
        self::assertSame(-18.0, Surroundings::Freezer->celsius(25.0));
    }

    /** Cocoa butter sets below 35 °C: its heat is given off there, and it stays warm longer than olive oil does. */
    public function test_what_sets_stays_warm_while_it_sets(): void
    {
        $cocoa = Cooling::known(Band::exact(20.0), 15.0, 60.0, self::blend(['cocoa-butter' => '100 g']));
        $olive = Cooling::known(Band::exact(20.0), 15.0, 60.0, self::blend(['olive-oil' => '100 g']));

        self::assertEqualsWithDelta(
            $olive->minutesTo(42.0)->best ?? 0.0,
            $cocoa->minutesTo(42.0)->best ?? 0.0,
            0.01,
            'above its melting there is no difference',
        );
        self::assertGreaterThan(1.5 * ($olive->minutesTo(25.0)->best ?? 0.0), $cocoa->minutesTo(25.0)->best);
        $minutes = $cocoa->minutesTo(28.0)->best ?? 0.0;
        self::assertEqualsWithDelta(28.0, $cocoa->celsiusAfter($minutes), 0.1, 'there and back');
    }

    /** In cocoa butter from 34 to 31 °C: (1 + k / 100 x 150 / 2) times as long, where k per cent set in each degree. */
    public function test_how_much_longer_it_stays_warm(): void
    {
        $fat = self::catalogue()->get('cocoa-butter')->composition->solidFat;
        $k = ($fat->at(31.0) - $fat->at(34.0)) / 3.0;
        self::assertEqualsWithDelta($k, ($fat->at(32.0) - $fat->at(33.0)) / 1.0, 1e-9, 'no bend in between');
        $blend = self::blend(['cocoa-butter' => '100 g']);
        $cooling = Cooling::known(Band::exact(20.0), 15.0, 34.0, $blend);

        self::assertEqualsWithDelta(
            20.0 * (1 + ($k / 100) * 75.0) * log(19.0 / 16.0),
            $cooling->minutesTo(31.0)->best ?? 0.0,
            1e-6,
        );
        self::assertEqualsWithDelta(
            Cooling::known(Band::exact(20.0), 15.0, 60.0, $blend)->minutesTo(31.0)->best ?? 0.0,
            (Cooling::known(Band::exact(20.0), 15.0, 60.0, $blend)->minutesTo(34.0)->best ?? 0.0)
                + ($cooling->minutesTo(31.0)->best ?? 0.0),
            1e-6,
            'stretch by stretch',
        );
    }

    /** The curve of a blend is straight between its bends. */
    public function test_bends_of_a_blend_are_all_of_them(): void
    {
        $blend = self::blend(
            ['beeswax' => '20 g', 'shea-butter' => '40 g', 'cocoa-butter' => '20 g', 'olive-oil' => '20 g'],
        );
        $curve = $blend->solidCurve();
        for ($celsius = 10.0; $celsius < 80.0; $celsius += 0.7) {
            $before = array_filter($curve, static fn (Point $p): bool => $p->across <= $celsius);
            $after = array_filter($curve, static fn (Point $p): bool => $p->across >= $celsius);
            $here = new Point($celsius, $blend->solidPercent($celsius));
            $cold = end($before) ?: $here;
            $warm = reset($after) ?: $here;
            $straight = $warm->across > $cold->across
                ? $cold->up + (($warm->up - $cold->up) * ($celsius - $cold->across)) / ($warm->across - $cold->across)
                : $cold->up;
            self::assertEqualsWithDelta($straight, $blend->solidPercent($celsius), 1e-9, (string) $celsius);
        }
    }

    /** @return iterable<string, array{list<array{float, float}>, string}> */
    public static function useless(): iterable
    {
        yield 'one' => [[[0.0, 60.0]], 'too-few-readings'];
        yield 'none' => [[], 'too-few-readings'];
        yield 'at one moment' => [[[5.0, 60.0], [5.0, 58.0]], 'too-few-readings'];
        yield 'warming' => [[[0.0, 50.0], [5.0, 58.0]], 'does-not-cool'];
        yield 'standing' => [[[0.0, 50.0], [5.0, 50.0]], 'does-not-cool'];
        yield 'as cold as the room' => [[[0.0, 50.0], [90.0, 21.2]], 'as-cold-as-around'];
    }

    /** @param  list<array{float, float}>  $readings */
    #[DataProvider('useless')]
    public function test_readings_that_tell_nothing_are_refused(array $readings, string $code): void
    {
        try {
            Cooling::fitted(array_map(static fn (array $r): ProbeReading => new ProbeReading(...$r), $readings), 21.0);
            self::fail('It was taken.');
        } catch (MakeError $e) {
            self::assertSame($code, $e->cause);
            self::assertSame('readings', $e->path);
        }
    }

    public function test_where_it_stands_is_read_from_what_is_to_be_done(): void
    {
        $where = static fn (string $act, TaskKind $kind): Surroundings => Surroundings::during(
            new Task($kind, $act, new Gate('')),
        );
        self::assertSame(Surroundings::Freezer, $where('Freeze for 30 minutes.', TaskKind::Chill));
        self::assertSame(Surroundings::Water, $where('Stand it in cold water.', TaskKind::Cool));
        self::assertSame(Surroundings::Fridge, $where('Put it in the fridge.', TaskKind::Chill));
        self::assertSame(Surroundings::Fridge, $where('Chill to 20 °C.', TaskKind::Chill));
        self::assertSame(Surroundings::Air, $where('Let it cool to 24 to 30 °C, no colder.', TaskKind::Chill));
        self::assertSame(Surroundings::Air, $where('Slice off the heat, then let it cool.', TaskKind::Cool));
    }

    public function test_a_trace_says_when_it_comes_to_its_gate_and_when_it_sets(): void
    {
        $balm = self::examined(['beeswax' => '20 g', 'olive-oil' => '80 g']);
        $pours = $balm->texture->coolestPour();
        $gate = new Gate('', Band::of($pours + 1.0, $pours + 1.0, $pours + 3.0));
        $readings = [new ProbeReading(0.0, 75.0), new ProbeReading(4.0, 70.0)];
        $trace = CoolingTrace::of($readings, $gate, Surroundings::Air, 21.0, $balm);

        self::assertNotNull($trace->minutesToGate());
        self::assertGreaterThan($trace->minutesToGate()->best, $trace->minutesToSet()?->best, 'it is poured before');
        $curve = $trace->curve();
        self::assertEqualsWithDelta(70.0, $curve[0]->up, 0.01);
        self::assertEqualsWithDelta(4.0, $curve[0]->across, 0.01);
        $degrees = array_column($curve, 'up');
        $sorted = $degrees;
        rsort($sorted);
        self::assertSame($sorted, $degrees, 'it only cools');

        $warm = CoolingTrace::of($readings, $gate, Surroundings::Air, 30.0, $balm);
        self::assertLessThan(
            $trace->minutesToGate()->best * 30.0,
            $warm->minutesToGate()->best ?? INF,
            'the same readings in a warmer room mean that it loses its heat faster',
        );
        self::assertSame(30.0, $warm->jsonSerialize()['surroundings_c']);
        $one = CoolingTrace::of([$readings[0]], $gate, Surroundings::Air, 21.0, $balm)->jsonSerialize();
        self::assertFalse($one['fitted'], 'one reading is an estimate');
        self::assertNotNull($one['to_gate_minutes']);
        $none = CoolingTrace::of([], $gate, Surroundings::Air, 21.0, $balm)->jsonSerialize();
        self::assertNull($none['tau_minutes']);
        self::assertSame([], $none['curve']);
        $warms = CoolingTrace::of(
            [$readings[0], new ProbeReading(3.0, 78.0)],
            $gate,
            Surroundings::Air,
            21.0,
            $balm,
        )->jsonSerialize();
        self::assertStringContainsString('does not cool', $warms['problem']);
        self::assertNull($warms['to_gate_minutes']);
        $endless = CoolingTrace::of($readings, new Gate('Firm.'), Surroundings::Air, 21.0, $balm);
        self::assertNull($endless->minutesToGate(), 'no temperature tells');
        self::assertCount(41, $endless->curve());
    }
}
