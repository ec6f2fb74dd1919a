<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\Role;
use App\Studio\Studio;
use App\Studio\User;
use App\Support\Refused;
use Closure;
use Crown\Measure\Habits;
use Illuminate\Support\Facades\DB;

/** Opens a studio for somebody who is to be its owner. */
final class OpenStudio
{
    private const LOCK = 'crown opens a studio';

    /** Whether a visitor may, as this installation is set. */
    public static function isAllowed(): bool
    {
        return match (config('crown.open_studios')) {
            'anyone' => true,
            'first' => ! Studio::query()->where('demo', false)->exists(),
            default => false,
        };
    }

    /**
     * Whatever opens a studio, one after another: whether a visitor may is asked and answered under one lock.
     *
     * @template T
     *
     * @param  Closure(): T  $open
     * @return T
     *
     * @throws Refused where nobody may
     */
    public static function alone(Closure $open): mixed
    {
        DB::select('select get_lock(?, 5)', [self::LOCK]);
        try {
            if (! self::isAllowed()) {
                throw Refused::now(
                    'studio',
                    'Nobody can open a further studio here. Ask whoever runs this installation.',
                );
            }

            return DB::transaction($open);
        } finally {
            DB::select('select release_lock(?)', [self::LOCK]);
        }
    }

    /**
     * @param  array<string, mixed>  $also columns of the studio that are known already
     *
     * @throws Refused about "email" or "password"
     */
    public function __invoke(string $name, string $studio, string $login, string $password, array $also = []): User
    {
        $login = Login::free($login);
        Strength::demand($password, [$name, $studio, $login]);
        $opened = Studio::query()->create(['name' => trim($studio), 'maker' => '', ...$also]);
        $owner = User::query()->create([
            'studio_id' => $opened->id,
            'name' => trim($name),
            'email' => $login,
            'password' => $password,
            'role' => Role::Owner,
        ]);
        SecurityLog::write($opened->id, $owner->name, SecurityKind::Opened);

        return $owner->load('studio');
    }

    /** @return array<string, mixed> columns that follow from a country */
    public static function habits(string $country): array
    {
        $habits = Habits::of(strtoupper($country));

        return $habits === null ? [] : [
            'country' => $habits->country,
            'cup' => $habits->cup->value,
            'currency' => $habits->currency,
            'decimal_comma' => $habits->decimalComma,
            'date_style' => $habits->dates->value,
        ];
    }
}
