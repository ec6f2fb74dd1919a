<?php

declare(strict_types=1);

namespace App\Studio;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Http\Request;

/**
 * @property int $id
 * @property int $studio_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property Studio $studio
 */
final class User extends Authenticatable
{
    protected $table = 'users';

    /** Whoever signs in enters her studio: nothing can be asked for outside of one. */
    protected $with = ['studio'];

    protected $guarded = ['id'];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed'];

    /** @return BelongsTo<Studio, $this> */
    public function studio(): BelongsTo
    {
        return $this->belongsTo(Studio::class);
    }

    /** Who asks, as she is written down beside what she did; "" for nobody. */
    public static function nameIn(Request $request): string
    {
        $user = $request->user();

        return $user instanceof self ? $user->name : '';
    }
}
