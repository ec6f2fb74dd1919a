<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\CurrentStudio;
use App\Studio\Studio;
use App\Studio\User;
use App\Support\Refused;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Symfony\Component\HttpFoundation\StreamedJsonResponse;

/** Taking everything away, and leaving: thirty days to think it over, then nothing is left. */
final class LeaveController
{
    public function __construct(private readonly CurrentStudio $studio, private readonly SessionView $view)
    {
    }

    #[Speaks('StudioExport', does: 'All that is this studio\'s, as JSON')]
    public function export(Request $request): StreamedJsonResponse
    {
        $user = User::in($request);
        SecurityLog::write($user->studio_id, $user->name, SecurityKind::Exported);

        return new StreamedJsonResponse(
            StudioExport::of($this->studio->get()),
            200,
            ['Content-Disposition' => 'attachment; filename="honest-crown-studio.json"'],
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }

    #[Speaks('Session', 'LeaveAsk', does: 'Leave: the studio and all in it is taken away in thirty days')]
    public function leave(LeaveRequest $request): JsonResponse
    {
        $user = User::in($request);
        $studio = $this->notTheDemo();
        if (trim($request->string('name')->value()) !== $studio->name) {
            throw Refused::because('name', sprintf('Type the studio\'s name just as it is: %s', $studio->name));
        }
        $request->confirms($user);
        $days = config('crown.leaving_days');
        $studio->update(['leaving_on' => Carbon::today()->addDays(is_int($days) ? $days : 30)]);
        SecurityLog::write($user->studio_id, $user->name, SecurityKind::Leaving);

        return new JsonResponse($this->view->toArray());
    }

    #[Speaks('Session', does: 'Stay after all')]
    public function stay(Request $request): JsonResponse
    {
        $user = User::in($request);
        $this->notTheDemo()->update(['leaving_on' => null]);
        SecurityLog::write($user->studio_id, $user->name, SecurityKind::Staying);

        return new JsonResponse($this->view->toArray());
    }

    private function notTheDemo(): Studio
    {
        $studio = $this->studio->get();

        return $studio->demo ? throw Refused::because('name', 'The demo studio stays.') : $studio;
    }
}
