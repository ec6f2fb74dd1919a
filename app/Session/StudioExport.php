<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\Studio;
use Crown\Json\Node;
use Generator;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** All rows of a studio, table by table: every table of ours says whose its rows are. */
final class StudioExport
{
    /** What is nobody's to take away: hashes of secrets. */
    private const WITHHELD = ['password', 'remember_token', 'hash'];

    /** Rows that are read at once. */
    private const AT_ONCE = 1_000;

    /**
     * Read as it is written out: a studio of many years needs no more memory than a small one.
     *
     * @return array<string, mixed> with the rows of each table as they come
     */
    public static function of(Studio $studio): array
    {
        $documents = self::documents();
        $tables = ['studios' => self::rows('studios', 'id', $studio->id, $documents['studios'] ?? [])];
        foreach (Schema::getTables() as $table) {
            $name = $table['name'];
            if (Schema::hasColumn($name, 'studio_id')) {
                $tables[$name] = self::rows($name, 'studio_id', $studio->id, $documents[$name] ?? []);
            }
        }

        return ['format' => 'honest-crown/studio', 'version' => 1, 'tables' => $tables];
    }

    /** @return array<string, array<string, true>> columns that hold documents, by table: their rows are JSON */
    private static function documents(): array
    {
        $found = [];
        $checks = DB::select(
            'select table_name as t, constraint_name as c from information_schema.check_constraints '
                ."where constraint_schema = database() and check_clause like 'json_valid%'",
        );
        foreach ($checks as $check) {
            $row = Node::of((array) $check);
            $found[$row->text('t')][$row->text('c')] = true;
        }

        return $found;
    }

    /**
     * @param  array<string, true>  $documents
     * @return Generator<int, array<string, mixed>>
     */
    private static function rows(string $table, string $column, int $studio, array $documents): Generator
    {
        $query = DB::table($table)->where($column, $studio);
        $rows = Schema::hasColumn($table, 'id')
            ? $query->lazyById(self::AT_ONCE)
            : $query->orderBy($column)->get();
        foreach ($rows as $row) {
            $told = [];
            foreach (array_diff_key((array) $row, array_flip(self::WITHHELD)) as $name => $value) {
                // A document as what it says, not as a text of it; a word that only looks like one stays a word.
                $told[(string) $name] = is_string($value) && isset($documents[(string) $name])
                    ? json_decode($value, true)
                    : $value;
            }
            yield $told;
        }
    }
}
