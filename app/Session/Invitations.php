<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\Role;
use App\Studio\User;
use App\Support\Refused;
use Crown\Json\Node;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Links by which one person can join a studio, for seven days and once. */
final class Invitations
{
    private const DAYS = 7;

    /** @return array{link: string, role: string, expires_at: string} the link is shown this once */
    public static function make(User $by, Role $role): array
    {
        $token = Token::fresh();
        $until = Carbon::now()->addDays(self::DAYS);
        DB::table('invitations')->insert([
            'studio_id' => $by->studio_id,
            'role' => $role->value,
            'hash' => Token::hash($token),
            'by_name' => $by->name,
            'expires_at' => $until,
            'created_at' => Carbon::now(),
            'updated_at' => Carbon::now(),
        ]);
        SecurityLog::write($by->studio_id, $by->name, SecurityKind::Invited, $role->value);

        return ['link' => url('/join/'.$token), 'role' => $role->value, 'expires_at' => $until->toIso8601String()];
    }

    /** @return list<array<string, mixed>> that can still be used, without their links */
    public static function open(int $studio): array
    {
        $rows = DB::table('invitations')
            ->where('studio_id', $studio)
            ->whereNull('used_at')
            ->where('expires_at', '>', Carbon::now())
            ->orderByDesc('id')
            ->get(['id', 'role', 'by_name', 'expires_at'])
            ->all();

        return array_values(array_map(static fn (object $row): array => [
            'id' => (int) Node::of((array) $row)->whole('id'),
            'role' => Node::of((array) $row)->text('role'),
            'by' => Node::of((array) $row)->text('by_name'),
            'expires_at' => Carbon::parse(Node::of((array) $row)->text('expires_at'))->toIso8601String(),
        ], $rows));
    }

    /**
     * @return array{id: int, studio_id: int, studio: string, role: Role, by: string}
     *
     * @throws Refused when it has run out, was used, or never was
     */
    public static function find(string $token): array
    {
        $row = DB::table('invitations')
            ->join('studios', 'studios.id', '=', 'invitations.studio_id')
            ->where('invitations.hash', Token::hash($token))
            ->whereNull('invitations.used_at')
            ->where('invitations.expires_at', '>', Carbon::now())
            ->lockForUpdate()
            ->first([
                'invitations.id',
                'invitations.studio_id',
                'studios.name',
                'invitations.role',
                'invitations.by_name',
            ]);
        if ($row === null) {
            throw Refused::missing('token', 'This link has run out, or was used already. Ask for a new one.');
        }
        $of = Node::of((array) $row);

        return [
            'id' => (int) $of->whole('id'),
            'studio_id' => (int) $of->whole('studio_id'),
            'studio' => $of->text('name'),
            'role' => $of->one('role', Role::class),
            'by' => $of->text('by_name'),
        ];
    }
}
