<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\CurrentStudio;
use App\Studio\User;
use App\Support\Refused;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;

/** Opening a studio, signing in and out, the password, and what the studio measures with. */
final class SessionController
{
    public function __construct(private readonly SessionView $view)
    {
    }

    #[Speaks('Session', does: 'Who is signed in')]
    public function show(): JsonResponse
    {
        return new JsonResponse($this->view->toArray());
    }

    #[Speaks('Session', 'StudioOpening', 201, 'Open a studio of one\'s own, where that is allowed')]
    public function open(OpenStudioRequest $request, OpenStudio $open): JsonResponse
    {
        Entering::needsSession($request);
        $user = OpenStudio::alone(static fn (): User => $open(
            $request->string('name')->value(),
            $request->string('studio')->value(),
            $request->string('email')->value(),
            $request->string('password')->value(),
            [
                ...OpenStudio::habits($request->string('country')->value()),
                ...$request->filled('time_zone') ? ['time_zone' => $request->string('time_zone')->value()] : [],
            ],
        ));
        Entering::begin($request, $user);

        return new JsonResponse($this->view->toArray(), 201);
    }

    #[Speaks('Session', 'SignIn', does: 'Sign in')]
    public function signIn(SignInRequest $request, SignIn $signIn): JsonResponse
    {
        Entering::needsSession($request);
        Entering::begin($request, $signIn(
            $request->string('email')->value(),
            $request->string('password')->value(),
            $request,
        ));

        return $this->show();
    }

    #[Speaks('Session', does: 'Enter the demo studio, where that is allowed')]
    public function demo(Request $request): JsonResponse
    {
        Entering::needsSession($request);
        $user = config('app.demo')
            ? User::query()->whereRelation('studio', 'demo', true)->orderBy('id')->first()
            : null;
        if ($user === null) {
            throw Refused::missing('demo', 'There is no demo studio here. Sign in with your own account.');
        }
        Entering::begin($request, $user);

        return $this->show();
    }

    #[Speaks('Session', does: 'Sign out')]
    public function signOut(Request $request): JsonResponse
    {
        $user = User::in($request);
        SecurityLog::write($user->studio_id, $user->name, SecurityKind::SignedOut);
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return $this->show();
    }

    #[Speaks('Session', 'PasswordChange', does: 'Change the password: every other session of this person ends')]
    public function password(PasswordRequest $request): JsonResponse
    {
        $user = User::in($request);
        if ($user->studio->demo) {
            throw Refused::because('current', 'The demo studio keeps its password, so that everyone can enter it.');
        }
        if (! Hash::check($request->string('current')->value(), $user->password)) {
            SecurityLog::write($user->studio_id, $user->name, SecurityKind::Failed, 'the present password');
            throw Refused::because('current', 'This is not your present password.');
        }
        $new = $request->string('new')->value();
        Strength::demand($new, [$user->name, $user->studio->name, $user->email], 'new');
        if (Hash::check($new, $user->password)) {
            throw Refused::because('new', 'This is your present password. Choose another.');
        }
        $user->update(['password' => $new]);
        Entering::endOthers($user->id, $request);
        SecurityLog::write($user->studio_id, $user->name, SecurityKind::Password);
        MailedLinks::tell($user, 'under Studio');
        Entering::begin($request, $user);

        return $this->show();
    }

    #[Speaks('Session', 'StudioDraft', does: 'Change what the studio measures with')]
    public function update(StudioRequest $request, CurrentStudio $current): JsonResponse
    {
        $studio = $current->get();
        $studio->update([...$request->columns(), 'set_up_on' => $studio->set_up_on ?? Carbon::today()]);

        return $this->show();
    }
}
