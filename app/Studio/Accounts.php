<?php

declare(strict_types=1);

namespace App\Studio;

use Illuminate\Auth\EloquentUserProvider;

/** Finds who is signed in together with her studio, in one question: every request asks for both. */
final class Accounts extends EloquentUserProvider
{
    /** All columns of users: the two tables have names in common. */
    public const COLUMNS = ['id', 'studio_id', 'name', 'email', 'password', 'remember_token', 'created_at', 'updated_at'];

    private const MARK = 'of_user_';

    public function retrieveById($identifier): ?User
    {
        $columns = array_map(static fn (string $name): string => 'users.'.$name.' as '.self::MARK.$name, self::COLUMNS);
        $row = (array) User::query()->join('studios', 'studios.id', '=', 'users.studio_id')->where('users.id', $identifier)->toBase()->first(['studios.*', ...$columns]);
        if ($row === []) {
            return null;
        }
        $user = [];
        foreach (self::COLUMNS as $name) {
            $user[$name] = $row[self::MARK.$name];
            unset($row[self::MARK.$name]);
        }

        return (new User)->newFromBuilder($user)->setRelation('studio', (new Studio)->newFromBuilder($row));
    }
}
