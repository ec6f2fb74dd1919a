<?php

declare(strict_types=1);

namespace Tests\Core\Figures;

/** What was so when it was last looked at; "CROWN_RECORD=1" writes it down anew. */
trait Recorded
{
    /** @var array<string, array<array-key, mixed>> what is kept, by file */
    private static array $read = [];

    /** @param  array<array-key, mixed>|string  $now */
    private static function same(string $file, int|string $case, mixed $now): void
    {
        $path = __DIR__.'/'.$file.'.json';
        $kept = self::$read[$file] ??= is_file($path)
            ? (array) json_decode((string) file_get_contents($path), true)
            : [];
        if (getenv('CROWN_RECORD') === '1') {
            $kept[(string) $case] = $now;
            self::$read[$file] = $kept;
            $rows = array_map(
                static fn (mixed $row, int|string $i): string => sprintf('"%s": %s', $i, json_encode($row)),
                $kept,
                array_keys($kept),
            );
            file_put_contents($path, "{\n".implode(",\n", $rows)."\n}\n");
        }

        self::assertSame($kept[(string) $case] ?? null, $now);
    }
}
