<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Json\Node;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Where somebody is signed in: each session can be ended by itself, or all the others at once. */
final class DeviceController
{
    #[Speaks('DeviceList', does: 'Where this person is signed in')]
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse(['items' => self::devices($request)]);
    }

    #[Speaks('DeviceList', does: 'End one of this person\'s sessions')]
    public function destroy(string $device, Request $request): JsonResponse
    {
        $user = User::in($request);
        self::ownAlone($user);
        $ended = 0;
        foreach (self::rows($user->id) as $row) {
            if (hash_equals(Token::hash($row->text('id')), $device)) {
                $ended += DB::table('sessions')->where('user_id', $user->id)->where('id', $row->text('id'))->delete();
            }
        }
        if ($ended === 0) {
            throw Refused::missing('device', 'This session has ended already.');
        }
        SecurityLog::write($user->studio_id, $user->name, SecurityKind::SessionEnded);

        return $this->index($request);
    }

    #[Speaks('DeviceList', does: 'End all of this person\'s sessions but this one')]
    public function others(Request $request): JsonResponse
    {
        $user = User::in($request);
        self::ownAlone($user);
        Entering::endOthers($user->id, $request);
        SecurityLog::write($user->studio_id, $user->name, SecurityKind::SessionEnded, 'all others');

        return $this->index($request);
    }

    /** @return list<array<string, mixed>> the one that asks first, then the latest */
    private static function devices(Request $request): array
    {
        $here = $request->hasSession() ? $request->session()->getId() : '';
        $devices = array_map(static fn (Node $row): array => [
            'id' => Token::hash($row->text('id')),
            'here' => $row->text('id') === $here,
            'on' => self::named($row->text('user_agent')),
            'address' => $row->text('ip_address'),
            'last' => Carbon::createFromTimestamp((int) $row->whole('last_activity'))->toIso8601String(),
        ], self::seen($request, $here));
        usort($devices, static fn (array $a, array $b): int => [$b['here'], $b['last']] <=> [$a['here'], $a['last']]);

        return $devices;
    }

    /**
     * In the demo studio everybody is one person: there each sees the session that asks, and no other's.
     *
     * @return list<Node>
     */
    private static function seen(Request $request, string $here): array
    {
        $user = User::in($request);

        return array_values(array_filter(
            self::rows($user->id),
            static fn (Node $row): bool => ! $user->studio->demo || $row->text('id') === $here,
        ));
    }

    /** @throws Refused in the demo studio, where other sessions are other people's */
    private static function ownAlone(User $user): void
    {
        if ($user->studio->demo) {
            throw Refused::because('device', 'The demo studio is everybody\'s: only your own session is yours to end.');
        }
    }

    /** @return list<Node> */
    private static function rows(int $user): array
    {
        return array_map(
            static fn (object $row): Node => Node::of((array) $row),
            array_values(DB::table('sessions')
                ->where('user_id', $user)
                ->get(['id', 'ip_address', 'user_agent', 'last_activity'])
                ->all()),
        );
    }

    /** "Firefox on Windows": enough to know it again. */
    private static function named(string $agent): string
    {
        $found = static fn (string $of): string => preg_match("/$of/i", $agent, $m) === 1 ? $m[0] : '';
        $browser = $found('Firefox|Edg|OPR|Chrome|Safari');
        $system = $found('Android|iPhone|iPad|Windows|Mac OS|Linux');

        return trim(($browser === '' ? 'A browser' : $browser).($system === '' ? '' : " on $system"));
    }
}
