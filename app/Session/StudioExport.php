<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\Studio;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** All rows of a studio, table by table: every table of ours says whose its rows are. */
final class StudioExport
{
    /** What is nobody's to take away: hashes of secrets. */
    private const WITHHELD = ['password', 'remember_token', 'hash'];

    /** @return array<string, mixed> */
    public static function of(Studio $studio): array
    {
        $tables = ['studios' => self::rows('studios', 'id', $studio->id)];
        foreach (Schema::getTables() as $table) {
            $name = $table['name'];
            if (Schema::hasColumn($name, 'studio_id')) {
                $tables[$name] = self::rows($name, 'studio_id', $studio->id);
            }
        }

        return ['format' => 'honest-crown/studio', 'version' => 1, 'tables' => $tables];
    }

    /** @return list<array<string, mixed>> */
    private static function rows(string $table, string $column, int $studio): array
    {
        return array_values(array_map(
            static fn (object $row): array => self::row((array) $row),
            DB::table($table)->where($column, $studio)->get()->all(),
        ));
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @return array<string, mixed>
     */
    private static function row(array $row): array
    {
        $told = [];
        foreach (array_diff_key($row, array_flip(self::WITHHELD)) as $column => $value) {
            $told[(string) $column] = self::readable($value);
        }

        return $told;
    }

    /** A document as what it says, not as a text of it. */
    private static function readable(mixed $value): mixed
    {
        return is_string($value) && preg_match('/^[{\[]/', $value) === 1 ? json_decode($value, true) ?? $value : $value;
    }
}
