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
        // Of what comes in hundreds one row a minute is enough: more would hide the rest.
        if ($kind->comesInHundreds() && self::isJustWritten($studio, $name, $kind)) {
            return;
        }
        $row = [
            'studio_id' => $studio,
            'name' => mb_substr($name, 0, 120),
            'kind' => $kind->value,
            'what' => mb_substr($what, 0, 200),
            'address' => mb_substr((string) request()->ip(), 0, 45),
            'created_at' => Carbon::now(),
        ];
        $insert = static fn () => DB::table('security_events')->insert($row);
        // What is refused is undone as a whole; that it was tried has to stay, so it is written once that is over.
        $kind->isRefusal() ? defer($insert)->always() : $insert();
    }

    private static function isJustWritten(?int $studio, string $name, SecurityKind $kind): bool
    {
        return DB::table('security_events')
            ->where('studio_id', $studio)
            ->where('name', mb_substr($name, 0, 120))
            ->where('kind', $kind->value)
            ->where('created_at', '>', Carbon::now()->subMinute())
            ->exists();
    }

    /**
     * @param  int|null  $before the id of the last that was shown; null for the latest
     * @return list<array<string, mixed>> the latest first
     */
    public static function of(int $studio, ?int $before = null): array
    {
        return array_values(array_map(
            static fn (Node $row): array => [
                'id' => (int) $row->whole('id'),
                'address' => $row->text('address'),
                'kind' => $row->text('kind'),
                'name' => $row->text('name'),
                'what' => $row->text('what'),
                'at' => Carbon::parse($row->text('created_at'), 'UTC')->toIso8601String(),
            ],
            array_map(
                static fn (object $row): Node => Node::of((array) $row),
                DB::table('security_events')
                    ->where('studio_id', $studio)
                    ->when($before !== null, static fn ($q) => $q->where('id', '<', $before))
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
