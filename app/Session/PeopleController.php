<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\CurrentStudio;
use App\Studio\Role;
use App\Studio\Studio;
use App\Studio\User;
use App\Support\Refused;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** The people of a studio, over HTTP: who they are, what their part is, and who is asked to join. */
final class PeopleController
{
    public function __construct(private readonly CurrentStudio $studio)
    {
    }

    #[Speaks('People', does: 'Who is in this studio, and who was asked to join')]
    public function index(Request $request): JsonResponse
    {
        $me = User::in($request);

        return new JsonResponse([
            'people' => $this->everybody()
                ->map(static fn (User $u): array => [
                    'id' => $u->id,
                    'name' => $u->name,
                    'email' => $u->email,
                    'role' => $u->role->value,
                    'you' => $u->id === $me->id,
                ])
                ->all(),
            'invitations' => Invitations::open($this->studio->get()->id),
        ]);
    }

    #[Speaks('People', 'RoleAsk', does: 'Give somebody another part; an owner passes her own on')]
    public function update(int $person, RoleRequest $request): JsonResponse
    {
        $me = User::in($request);
        $one = $this->other($person, $me);
        $role = $request->role();
        $request->confirms($me);
        DB::transaction(static function () use ($one, $me, $role): void {
            // Held, so that of two that pass it on at once one finds that it is not hers any more.
            Studio::query()->whereKey($me->studio_id)->lockForUpdate()->firstOrFail();
            if ($me->refresh()->role !== Role::Owner) {
                throw Refused::now('person', 'You are not the owner any more.');
            }
            $one->refresh();
            if ($role === Role::Owner) {
                // There is one owner: whoever passes it on makes with the others.
                $me->update(['role' => Role::Maker]);
            }
            $one->update(['role' => $role]);
            SecurityLog::write($me->studio_id, $me->name, SecurityKind::RoleChanged, "$one->name: $role->value");
        });

        return $this->index($request);
    }

    #[Speaks('People', does: 'Take somebody out of the studio; her name stays on what she did')]
    public function destroy(int $person, Request $request): JsonResponse
    {
        $me = User::in($request);
        $one = $this->other($person, $me);
        DB::transaction(static function () use ($one, $me): void {
            Entering::endOthers($one->id, null);
            DB::table('recovery_codes')->where('user_id', $one->id)->delete();
            DB::table('password_reset_tokens')->where('email', $one->email)->delete();
            // Her address is free again, for her or for another studio.
            $one->forceFill(['email' => sprintf('gone %d %s', $one->id, Token::fresh()), 'password' => Token::fresh()]);
            $one->save();
            $one->delete();
            SecurityLog::write($me->studio_id, $me->name, SecurityKind::Removed, $one->name);
        });

        return $this->index($request);
    }

    #[Speaks('Invitation', 'RoleAsk', 201, 'A link by which one person can join, for seven days')]
    public function invite(RoleRequest $request): JsonResponse
    {
        $me = User::in($request);
        if ($me->studio->demo) {
            throw Refused::because('role', 'Nobody is asked into the demo studio: everyone can enter it.');
        }
        if ($request->role() === Role::Owner) {
            throw Refused::because('role', 'Ask her as a maker or a helper. An owner can be made of her then.');
        }

        return new JsonResponse(Invitations::make($me, $request->role()), 201);
    }

    #[Speaks('People', does: 'End an invitation that nobody has used')]
    public function uninvite(int $invitation, Request $request): JsonResponse
    {
        $ended = DB::table('invitations')
            ->where('studio_id', $this->studio->get()->id)
            ->where('id', $invitation)
            ->whereNull('used_at')
            ->update(['expires_at' => Carbon::now()]);
        if ($ended === 0) {
            throw Refused::missing('invitation', 'This invitation is gone already.');
        }

        return $this->index($request);
    }

    #[Speaks('SecurityEvents', does: 'What concerned the safety of this studio, the latest first')]
    public function log(LogRequest $request): JsonResponse
    {
        $items = SecurityLog::of($this->studio->get()->id, $request->before());

        return new JsonResponse(['items' => $items, 'more' => count($items) === SecurityLog::SHOWN]);
    }

    /** @throws Refused for oneself, and for nobody of this studio */
    private function other(int $id, User $me): User
    {
        if ($id === $me->id) {
            throw Refused::because('person', 'Your own part is not changed by yourself. Make another the owner first.');
        }

        return $this->everybody()->firstWhere('id', $id)
            ?? throw Refused::missing('person', 'There is no such person in this studio.');
    }

    /** @return \Illuminate\Database\Eloquent\Collection<int, User> */
    private function everybody(): \Illuminate\Database\Eloquent\Collection
    {
        return User::query()->where('studio_id', $this->studio->get()->id)->orderBy('id')->get();
    }
}
