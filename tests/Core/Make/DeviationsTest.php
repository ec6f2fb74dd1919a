<?php

declare(strict_types=1);

namespace Tests\Core\Make;

use Crown\Formula\ProductKind;
use Crown\Make\Deviation;
use Crown\Make\Deviations;
use Crown\Make\MakeSheet;
use Crown\Make\Put;
use Crown\Make\TaskDone;
use Crown\Make\Weighing;
use Tests\Core\CoreTestCase;

/** What went otherwise than planned. */
final class DeviationsTest extends CoreTestCase
{
    private MakeSheet $sheet;

    protected function setUp(): void
    {
        $this->sheet = new MakeSheet(self::assess(self::formula(
            ['shea-butter' => '60 g', 'olive-oil' => '40 g', 'lavender-eo' => '20 drops'],
            ProductKind::WhippedButter,
        )));
    }

    private function line(string $ingredient): Weighing
    {
        foreach ($this->sheet->weighings() as $weighing) {
            if ($weighing->ingredient === $ingredient) {
                return $weighing;
            }
        }
        self::fail($ingredient);
    }

    /**
     * @param  array<string, Put>  $put by ingredient
     * @param  array<string, TaskDone>  $done
     * @return list<string>
     */
    private function found(array $put, array $done = []): array
    {
        $byLine = [];
        foreach ($put as $ingredient => $one) {
            $byLine[$this->line($ingredient)->line] = $one;
        }

        return array_map(
            static fn (Deviation $d): string => $d->words(),
            Deviations::of($this->sheet->weighings(), $byLine, $this->sheet->tasks(), $done),
        );
    }

    public function test_what_is_as_planned_or_not_there_yet_is_not_said(): void
    {
        self::assertSame([], $this->found(['shea-butter' => Put::weighed(60.3)], ['melt' => new TaskDone()]));
        self::assertSame([], $this->found([]));
    }

    public function test_lines(): void
    {
        self::assertSame(
            ['Shea butter: 66 g for 60 g.', 'Olive oil was left out.', 'Lavender essential oil: 30 drops for 20.'],
            $this->found([
                'olive-oil' => Put::leftOut(),
                'shea-butter' => Put::weighed(66.0),
                'lavender-eo' => Put::counted($this->line('lavender-eo'), 30),
            ]),
        );
        self::assertSame(['Olive oil: 30.5 g for 40 g.'], $this->found(['olive-oil' => Put::weighed(30.5)]));
    }

    public function test_tasks(): void
    {
        self::assertSame(
            [
                'Passed over: Chill to 13 to 27 °C (It was firm already).',
                'Ticked too warm: Stir in the cool-down phase, then whip, at 52 °C and not at 24 or less.',
            ],
            preg_replace('/Chill it fast.*: to \d+ to \d+/', 'Chill to 13 to 27', $this->found([], [
                'cool-down' => new TaskDone(null, 52.0),
                'chill' => new TaskDone('It was firm already.'),
                'melt' => new TaskDone(null, 99.0),
            ])),
        );
        self::assertSame([], $this->found([], ['cool' => new TaskDone(null, 40.0)]), 'as warm as it may be');
    }
}
