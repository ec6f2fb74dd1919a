<?php

declare(strict_types=1);

namespace App\Session;

use App\Catalogue\CatalogueStore;
use App\Studio\Role;
use App\Studio\Studio;
use App\Studio\User;
use Crown\Measure\School;
use Crown\Rhythm\Beginnings;
use Illuminate\Support\Facades\Auth;

/** Who is signed in, and what the studio measures with: $defs/Session. */
final class SessionView
{
    public function __construct(private readonly CatalogueStore $catalogue)
    {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $user = Auth::guard('web')->user();
        $in = $user instanceof User;

        return [
            'signed_in' => $in,
            'demo' => (bool) config('app.demo'),
            'can_open' => OpenStudio::isAllowed(),
            'can_mail' => MailedLinks::canBeSent(),
            'user' => $in ? [
                'name' => $user->name,
                'email' => $user->email,
                'role' => $user->role->value,
                'rights' => self::rights($user->role),
            ] : null,
            'studio' => $in ? self::studio($user->studio) : null,
            'sources' => (object) ($in ? $this->catalogue->reference()->sources() : []),
        ];
    }

    /** @return list<string> */
    private static function rights(Role $role): array
    {
        return array_values(array_filter(Role::RIGHTS, $role->may(...)));
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
            'country' => $studio->country,
            'currency' => $studio->currency,
            'decimal_comma' => $studio->decimal_comma,
            'date_style' => $studio->date_style,
            'before_selling' => $studio->region()->beforeSelling(),
            'schools' => School::all($studio->schools ?? []),
            'begins' => Beginnings::of($studio->ways()),
            'demo' => $studio->demo,
            'set_up' => $studio->set_up_on !== null,
            'leaving_on' => $studio->leaving_on?->toDateString(),
        ];
    }
}
