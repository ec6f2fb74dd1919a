<?php

declare(strict_types=1);

namespace App\Studio;

use Illuminate\Auth\EloquentUserProvider;
use Illuminate\Support\Facades\DB;

/** Finds who is signed in together with her studio, in one question: every request asks for both. */
final class Accounts extends EloquentUserProvider
{
    /** All columns of users: the two tables have names in common. */
    public const COLUMNS = ['id', 'studio_id', 'name', 'email', 'password', 'remember_token', 'created_at', 'updated_at'];

    private const MARK = 'of_user_';

    private static ?string $question = null;

    public function retrieveById($identifier): ?User
    {
        $row = (array) DB::selectOne(self::$question ??= self::question(), [$identifier]);
        if ($row === []) {
            return null;
        }
        $shaped = (int) $row[self::MARK.'shaped'];
        unset($row[self::MARK.'shaped']);
        $user = [];
        foreach (self::COLUMNS as $name) {
            $user[$name] = $row[self::MARK.$name];
            unset($row[self::MARK.$name]);
        }
        $studio = (new Studio)->newFromBuilder($row);
        $studio->shaped = $shaped;

        return (new User)->newFromBuilder($user)->setRelation('studio', $studio);
    }

    /** Put together once: it is the same for everyone, and asked with every request. */
    private static function question(): string
    {
        return User::query()->join('studios', 'studios.id', '=', 'users.studio_id')
            ->leftJoin('studio_changes', 'studio_changes.studio_id', '=', 'studios.id')->where('users.id', 0)->limit(1)
            ->select(['studios.*', 'studio_changes.changes as '.self::MARK.'shaped', ...array_map(static fn (string $name): string => 'users.'.$name.' as '.self::MARK.$name, self::COLUMNS)])
            ->toBase()->toSql();
    }
}
