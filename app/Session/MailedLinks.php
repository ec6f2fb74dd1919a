<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use App\Support\Refused;
use Illuminate\Auth\Passwords\PasswordBroker;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Facades\RateLimiter;

/** A lost password, by mail, where the installation sends any: a link that opens the account once, within the hour. */
final class MailedLinks
{
    /** Asked for in an hour, and failures in an hour, from one address of the network. */
    private const TRIES = 10;

    /** Whether this installation sends mail at all. */
    public static function canBeSent(): bool
    {
        return ! in_array(config('mail.default'), ['log', '', null], true);
    }

    /**
     * Answers the same whether there is such an account or not, and as fast: the mail goes out when the answer has.
     *
     * @throws Refused|TooManyTries
     */
    public function ask(string $written, string $from): void
    {
        if (! self::canBeSent()) {
            throw Refused::because('email', 'No mail is sent from here. Use one of your ten codes.');
        }
        self::count('mail-from:'.$from);
        $login = Login::spelt($written);
        if (! str_contains($login, '@')) {
            return;
        }
        defer(static fn (): string => Password::broker()->sendResetLink(
            ['email' => $login],
            static function (User $user, string $token): void {
                $link = url('/recover').'?'.http_build_query(['token' => $token, 'email' => $user->email]);
                Mail::to($user->email)->send(new NewPasswordMail($user->name, $link));
            },
        ));
    }

    /**
     * A new password by such a link, which is used up by it. All sessions of the person end.
     *
     * @throws Refused|TooManyTries
     */
    public function open(string $written, string $token, string $new, string $from): User
    {
        $key = 'mail-open:'.$from;
        $login = Login::spelt($written);
        $broker = Password::broker();
        $user = User::query()->where('email', $login)->first();
        if (
            $user === null
            || ! $broker instanceof PasswordBroker
            || ! $broker->tokenExists($user, $token)
        ) {
            self::count($key);
            throw Refused::because('code', 'This link has run out, or was used already. Ask for another.');
        }
        Strength::demand($new, [$user->name, $user->studio->name, $user->email], 'new');
        DB::transaction(static function () use ($user, $new): void {
            // The row is the link: of two that come at once, one finds it gone.
            if (DB::table('password_reset_tokens')->where('email', $user->email)->delete() !== 1) {
                throw Refused::because('code', 'This link was used already, in this very moment. Ask for another.');
            }
            $user->update(['password' => $new]);
            Entering::endOthers($user->id, null);
            SecurityLog::write($user->studio_id, $user->name, SecurityKind::Recovered, 'by mail');
        });
        self::tell($user, 'by a link that was sent by mail');

        return $user;
    }

    /** Tells of a changed password, where mail is sent and there is an address to send it to. */
    public static function tell(User $user, string $how): void
    {
        if (self::canBeSent() && str_contains($user->email, '@')) {
            defer(static fn (): mixed => Mail::to($user->email)->send(new PasswordSetMail($user->name, $how)));
        }
    }

    private static function count(string $key): void
    {
        if (RateLimiter::tooManyAttempts($key, self::TRIES)) {
            throw new TooManyTries(RateLimiter::availableIn($key));
        }
        RateLimiter::hit($key, 3600);
    }
}
