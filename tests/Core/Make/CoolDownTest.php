<?php

declare(strict_types=1);

namespace Tests\Core\Make;

use Crown\Formula\ProductKind;
use Crown\Make\MakeSheet;
use Crown\Make\TaskKind;
use Tests\Core\CoreTestCase;

/** How cool a blend may become before the scent goes in: never cooler than it pours. */
final class CoolDownTest extends CoreTestCase
{
    /** @param  array<string, string>  $lines */
    private static function coolDown(array $lines): string
    {
        $sheet = new MakeSheet(self::assess(self::formula($lines, ProductKind::Balm)));
        $said = '';
        foreach ($sheet->tasks() as $task) {
            if (in_array($task->kind, [TaskKind::Cool, TaskKind::CoolDown], true)) {
                $said .= $task->words().' '.$task->gate->reason.' ';
            }
        }

        return $said;
    }

    public function test_a_soft_butter_cools_to_forty(): void
    {
        self::assertStringContainsString(
            'At or under 40 °C',
            self::coolDown(['shea-butter' => '60 g', 'olive-oil' => '39 g', 'lavender-eo' => '0.5 g']),
        );
    }

    public function test_what_sets_before_forty_takes_its_scent_just_above_that(): void
    {
        $said = self::coolDown(['beeswax' => '14 g', 'olive-oil' => '85 g', 'lavender-eo' => '0.5 g']);

        self::assertSame(1, preg_match('/to about (\d+) °C/', $said, $m));
        self::assertGreaterThan(45, (int) $m[1]);
        self::assertLessThan(63, (int) $m[1]);
        self::assertStringContainsString('It sets before 40 °C', $said);
    }

    public function test_no_more_than_all_of_it_is_solid(): void
    {
        $texture = self::assess(self::formula(['beeswax' => '95 g', 'candelilla-wax' => '5 g']))->subject->texture;

        self::assertLessThanOrEqual(100.0, $texture->solids(10.0)->high);
        self::assertLessThanOrEqual(100.0, $texture->solids(25.0)->best);
    }
}
