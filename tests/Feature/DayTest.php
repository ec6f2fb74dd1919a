<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Studio\Studio;
use Illuminate\Support\Carbon;
use PHPUnit\Framework\Attributes\DataProvider;

/** "Today" is the calendar date where the studio is, over midnight and over the turns of the clocks. */
final class DayTest extends StudioTestCase
{
    /** @return iterable<string, array{string, string, string}> */
    public static function moments(): iterable
    {
        yield 'east, before midnight' => ['Africa/Lagos', '2026-11-26T22:59:59Z', '2026-11-26'];
        yield 'east, after midnight' => ['Africa/Lagos', '2026-11-26T23:00:00Z', '2026-11-27'];
        yield 'far east, a morning that is yesterday in UTC' => [
            'Pacific/Auckland',
            '2026-11-26T19:30:00Z',
            '2026-11-27',
        ];
        yield 'west, an evening that is tomorrow in UTC' => [
            'America/Los_Angeles',
            '2026-11-27T05:00:00Z',
            '2026-11-26',
        ];
        yield 'a quarter of an hour' => ['Asia/Kathmandu', '2026-11-26T18:14:59Z', '2026-11-26'];
        yield 'a quarter of an hour later' => ['Asia/Kathmandu', '2026-11-26T18:15:00Z', '2026-11-27'];
        yield 'clocks go forward: the day has 23 hours' => ['Europe/Berlin', '2026-03-29T21:59:59Z', '2026-03-29'];
        yield 'and the next begins an hour sooner' => ['Europe/Berlin', '2026-03-29T22:00:00Z', '2026-03-30'];
        yield 'clocks go back: the day has 25 hours' => ['Europe/Berlin', '2026-10-25T22:59:59Z', '2026-10-25'];
        yield 'and the next begins an hour later' => ['Europe/Berlin', '2026-10-25T23:00:00Z', '2026-10-26'];
        yield 'a midnight that there is not' => ['America/Santiago', '2026-09-06T04:00:00Z', '2026-09-06'];
    }

    #[DataProvider('moments')]
    public function test_today_is_the_date_where_the_studio_is(string $zone, string $moment, string $date): void
    {
        $this->isIn($zone);
        $this->travelTo(Carbon::parse($moment));
        self::assertSame($date, $this->got('Today', 'GET', 'today')['date']);
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $this->formula()['id']]);
        self::assertSame($date, $batch['made_on']);
        self::assertStringStartsWith(Carbon::parse($date)->format('ymd').'-', $batch['lot_code']);
        self::assertSame(
            $date,
            $this->got('HeadExport', 'GET', 'heads/'.$this->headOf()['id'].'/export')['exported_on'],
        );
    }

    public function test_a_mornings_shake_is_of_that_morning(): void
    {
        $this->isIn('Pacific/Auckland');
        $this->travelTo(Carbon::parse('2026-11-20T19:30:00Z'));
        $jar = $this->steep(start: '2026-11-20');
        self::assertSame('shake', $jar['next']['kind']);
        $this->got('Steep', 'PUT', 'steeps/'.$jar['id'].'/shakes', ['date' => '2026-11-21', 'done' => true]);
        $this->ask('PUT', 'steeps/'.$jar['id'].'/shakes', ['date' => '2026-11-22', 'done' => true])->assertStatus(
            422,
        );
        self::assertSame(
            ['2026-11-21'],
            array_column(
                array_filter(
                    $this->got('Steep', 'GET', 'steeps/'.$jar['id'])['shakes'],
                    static fn (array $s): bool => $s['done'],
                ),
                'date',
            ),
        );
    }

    public function test_days_are_counted_over_the_turn_of_the_clocks(): void
    {
        $this->isIn('Europe/Berlin');
        // 28 days from 10 March are 7 April, although one of them has 23 hours.
        $this->travelTo(Carbon::parse('2026-03-10T12:00:00Z'));
        $jar = $this->steep(start: '2026-03-10');
        self::assertSame('2026-04-07', $jar['plan']['dates']['strain']);
        foreach (['2026-04-06T21:59:00Z' => 27, '2026-04-06T22:01:00Z' => 28] as $moment => $day) {
            $this->travelTo(Carbon::parse($moment));
            self::assertSame($day, $this->got('Steep', 'GET', 'steeps/'.$jar['id'])['day'], $moment);
        }
    }

    public function test_what_was_not_yet_cannot_be_said(): void
    {
        $this->isIn('America/Los_Angeles');
        $this->travelTo(Carbon::parse('2026-11-27T05:00:00Z'));
        $head = $this->headOf();
        $mark = ['zone' => 'crown', 'state' => 'dry', 'note' => ''];
        $this->ask('POST', 'heads/'.$head['id'].'/marks', ['on' => '2026-11-27', ...$mark])
            ->assertStatus(422)
            ->assertJsonValidationErrors('on');
        $this->ask('POST', 'heads/'.$head['id'].'/marks', ['on' => '2026-11-26', ...$mark])->assertCreated();
        $this->ask('POST', 'heads/'.$head['id'].'/marks', ['on' => '1999-12-31', ...$mark])->assertStatus(422);
    }

    public function test_the_zone_is_a_setting_and_only_a_zone_that_there_is(): void
    {
        $studio = [
            'name' => 'Loft',
            'maker' => '',
            'cup' => 'us',
            'scale_grams' => 1,
            'southern' => false,
            'bowl_ml' => 0,
        ];
        self::assertSame(
            'Africa/Lagos',
            $this->got('Session', 'PUT', 'studio', ['time_zone' => 'Africa/Lagos', ...$studio])['studio']['time_zone'],
        );
        foreach (['', 'Mars/Olympus', 'UTC+25', 12] as $wrong) {
            $this->ask('PUT', 'studio', ['time_zone' => $wrong, ...$studio])
                ->assertStatus(422)
                ->assertJsonValidationErrors('time_zone');
        }
    }

    private function isIn(string $zone): void
    {
        Studio::query()
            ->whereKey($this->amara->studio_id)
            ->update(['time_zone' => $zone]);
    }
}
