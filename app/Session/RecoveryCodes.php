<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use App\Support\Refused;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;

/** One-time codes of a person: only their hashes are kept. */
final class RecoveryCodes
{
    private const HOW_MANY = 10;

    /** Letters and figures that nobody takes for one another. */
    private const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';

    /** Of thirty-one letters each: some 118 bits, so that a plain hash of one tells nothing. */
    private const LONG = 24;

    /** Failures in an hour from one address. */
    private const TRIES = 10;

    /** @return list<string> shown this once */
    public function renew(User $user): array
    {
        $codes = [];
        for ($n = 0; $n < self::HOW_MANY; $n++) {
            $codes[] = self::fresh();
        }
        DB::table('recovery_codes')->where('user_id', $user->id)->delete();
        DB::table('recovery_codes')->insert(array_map(static fn (string $code): array => [
            'user_id' => $user->id,
            'hash' => self::hash($code),
            'created_at' => Carbon::now(),
            'updated_at' => Carbon::now(),
        ], $codes));
        SecurityLog::write($user->studio_id, $user->name, SecurityKind::Codes);

        return $codes;
    }

    /**
     * Opens an account with one of its codes, which is used up by it. All its sessions end.
     *
     * @throws Refused|TooManyTries
     */
    public function open(string $written, string $code, string $new, string $from): User
    {
        $key = 'recover-from:'.$from;
        $user = User::query()->where('email', Login::spelt($written))->first();
        $fits = $user === null ? null : DB::table('recovery_codes')
            ->where('user_id', $user->id)
            ->where('hash', self::hash($code))
            ->whereNull('used_at')
            ->first(['id']);
        if ($user === null || $fits === null) {
            // Only what fails is counted, so that nobody's failures keep a right code out.
            if (RateLimiter::tooManyAttempts($key, self::TRIES)) {
                throw new TooManyTries(RateLimiter::availableIn($key));
            }
            RateLimiter::hit($key, 3600);
            SecurityLog::write($user?->studio_id, $user->name ?? '', SecurityKind::Failed, 'with a recovery code');
            throw Refused::because(
                'code',
                'This address and code do not belong together, or the code was used already.',
            );
        }
        Strength::demand($new, [$user->name, $user->studio->name, $user->email], 'new');
        DB::transaction(static function () use ($user, $fits, $new): void {
            // Looked at and used up in one: of two that come at once, one finds it used.
            $used = DB::table('recovery_codes')
                ->where('id', $fits->id)
                ->whereNull('used_at')
                ->update(['used_at' => Carbon::now()]);
            if ($used !== 1) {
                throw Refused::because('code', 'This code was used already, in this very moment. Take another.');
            }
            $user->update(['password' => $new]);
            Entering::endOthers($user->id, null);
            SecurityLog::write($user->studio_id, $user->name, SecurityKind::Recovered);
        });
        MailedLinks::tell($user, 'with one of your codes');

        return $user;
    }

    private static function fresh(): string
    {
        $code = '';
        for ($n = 0; $n < self::LONG; $n++) {
            $code .= self::LETTERS[random_int(0, strlen(self::LETTERS) - 1)];
        }

        return implode('-', str_split($code, 6));
    }

    private static function hash(string $code): string
    {
        return hash('sha256', preg_replace('/[^a-z0-9]/', '', mb_strtolower($code)) ?? '');
    }
}
