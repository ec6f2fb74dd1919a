<?php

declare(strict_types=1);

namespace App\Session;

use App\Catalogue\CatalogueStore;
use App\Studio\CurrentStudio;
use App\Studio\Studio;
use App\Studio\User;
use App\Support\Refused;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;

/** Signing in and out, the password, and what the studio measures with. */
final class SessionController
{
    public function __construct(private readonly CatalogueStore $catalogue)
    {
    }

    #[Speaks('Session', does: 'Who is signed in')]
    public function show(): JsonResponse
    {
        $user = Auth::guard('web')->user();

        return new JsonResponse([
            'signed_in' => $user instanceof User,
            'demo' => (bool) config('app.demo'),
            'user' => $user instanceof User ? ['name' => $user->name, 'email' => $user->email] : null,
            'studio' => $user instanceof User ? self::studio($user->studio) : null,
            'sources' => (object) ($user instanceof User ? $this->catalogue->reference()->sources() : []),
        ]);
    }

    #[Speaks('Session', 'SignIn', does: 'Sign in')]
    public function signIn(SignInRequest $request): JsonResponse
    {
        self::needsSession($request);
        if (! Auth::guard('web')->attempt($request->only(['email', 'password']))) {
            throw Refused::because('email', 'This address and password do not belong together.');
        }
        $request->session()->regenerate();

        return $this->show();
    }

    #[Speaks('Session', does: 'Enter the demo studio, where that is allowed')]
    public function demo(Request $request): JsonResponse
    {
        self::needsSession($request);
        $user = config('app.demo')
            ? User::query()->whereRelation('studio', 'demo', true)->orderBy('id')->first()
            : null;
        if ($user === null) {
            throw Refused::missing('demo', 'There is no demo studio here. Sign in with your own account.');
        }
        Auth::guard('web')->login($user);
        $request->session()->regenerate();

        return $this->show();
    }

    #[Speaks('Session', does: 'Sign out')]
    public function signOut(Request $request): JsonResponse
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return $this->show();
    }

    #[Speaks('Session', 'PasswordChange', does: 'Change the password')]
    public function password(PasswordRequest $request): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        if ($user->studio->demo) {
            throw Refused::because('current', 'The demo studio keeps its password, so that everyone can enter it.');
        }
        if (! Hash::check($request->string('current')->value(), $user->password)) {
            throw Refused::because('current', 'This is not your present password.');
        }
        $user->update(['password' => $request->string('new')->value()]);
        // Every other session of this person was opened with the old password.
        Auth::guard('web')->login($user);
        $request->session()->regenerate();

        return $this->show();
    }

    #[Speaks('Session', 'StudioDraft', does: 'Change what the studio measures with')]
    public function update(StudioRequest $request, CurrentStudio $current): JsonResponse
    {
        $current->get()->update($request->columns());

        return $this->show();
    }

    /** @return array<string, mixed> */
    private static function studio(Studio $studio): array
    {
        return [
            'name' => $studio->name,
            'cup' => $studio->cup,
            'scale_grams' => $studio->scale_grams,
            'maker' => $studio->maker,
            'southern' => $studio->southern,
            'bowl_ml' => $studio->bowl_ml,
            'time_zone' => $studio->time_zone,
        ];
    }

    /** A request that does not come from our own pages has no session to sign in to. */
    private static function needsSession(Request $request): void
    {
        if (! $request->hasSession()) {
            throw Refused::unreadable('email', 'Sign in from the application\'s own page.');
        }
    }
}
