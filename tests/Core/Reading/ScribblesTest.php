<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use Crown\Console\Cli;
use Tests\Core\CoreTestCase;

/** Sixty recipes as people scribble them, held against what a careful practitioner reads in each. */
final class ScribblesTest extends CoreTestCase
{
    private const LEAST = 97.0;

    public function test_scribbles_are_read_as_a_careful_practitioner_reads_them(): void
    {
        [$kinds, $missed] = self::scores();
        $held = array_sum(array_column($kinds, 0));
        $all = array_sum(array_column($kinds, 1));

        self::assertGreaterThan(1_200, $all);
        self::assertGreaterThanOrEqual(self::LEAST, 100 * $held / $all, implode("\n", $missed));
    }

    public function test_the_method_page_gives_the_score_of_each_kind(): void
    {
        [$kinds] = self::scores();
        $rows = [];
        foreach ($kinds as $kind => [$held, $all]) {
            $rows[] = sprintf('| %s | %.1f %% | %d of %d |', $kind, 100 * $held / $all, $held, $all);
        }

        self::assertStringContainsString(
            implode("\n", $rows),
            (string) file_get_contents(dirname(__DIR__, 3).'/docs/methods/reading.md'),
        );
    }

    /** @return array{array<string, array{int, int}>, list<string>} held and looked at by kind, and what did not hold */
    private static function scores(): array
    {
        static $scores = null;
        if ($scores !== null) {
            return $scores;
        }
        $folder = __DIR__.'/scribbles';
        $cases = json_decode((string) file_get_contents("$folder/expectations.json"), true, flags: JSON_THROW_ON_ERROR);
        $cli = new Cli(
            self::catalogue(),
            static fn (string $path): string => (string) file_get_contents($path),
            '2026-11-02',
        );
        $kinds = [];
        $missed = [];
        foreach ($cases as $case) {
            $file = "$folder/texts/{$case['file']}";
            $read = $cli->run(['read', $file, '--json']);
            $assessed = $cli->run(['assess', $file, '--json', ...$case['options']]);
            $rows = (new Scribbles(
                $case,
                json_decode($read->output, true) ?? [],
                json_decode($assessed->output, true) ?? [],
                $assessed->exit,
            ))->rows();
            foreach ($rows as [$what, $held]) {
                [$sum, $all] = $kinds[$case['kind']] ?? [0, 0];
                $kinds[$case['kind']] = [$sum + ($held ? 1 : 0), $all + 1];
                $missed = $held ? $missed : [...$missed, "{$case['file']}: $what"];
            }
        }
        ksort($kinds);

        return $scores = [$kinds, $missed];
    }
}
