<?php

declare(strict_types=1);

namespace App\Session;

use Crown\Json\Node;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** What concerns the safety of a studio, as its owner sees it: kept a year, and never what was typed. */
final class SecurityLog
{
    public const KEPT_DAYS = 366;

    public const SHOWN = 100;

    /** @param  string  $what in a few words */
    public static function write(?int $studio, string $name, SecurityKind $kind, string $what = ''): void
    {
        DB::table('security_events')->insert([
            'studio_id' => $studio,
            'name' => mb_substr($name, 0, 120),
            'kind' => $kind->value,
            'what' => mb_substr($what, 0, 200),
            'created_at' => Carbon::now(),
        ]);
    }

    /** @return list<array<string, string>> the latest first */
    public static function of(int $studio): array
    {
        return array_values(array_map(
            static fn (Node $row): array => [
                'kind' => $row->text('kind'),
                'name' => $row->text('name'),
                'what' => $row->text('what'),
                'at' => Carbon::parse($row->text('created_at'), 'UTC')->toIso8601String(),
            ],
            array_map(
                static fn (object $row): Node => Node::of((array) $row),
                DB::table('security_events')
                    ->where('studio_id', $studio)
                    ->orderByDesc('id')
                    ->limit(self::SHOWN)
                    ->get()
                    ->all(),
            ),
        ));
    }

    public static function sweep(): void
    {
        DB::table('security_events')
            ->where('created_at', '<', Carbon::now()->subDays(self::KEPT_DAYS))
            ->delete();
    }
}
