<?php

declare(strict_types=1);

namespace App\Studio;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Http\Request;
use LogicException;

/**
 * @property int $id
 * @property int $studio_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property Role $role
 * @property Studio $studio
 */
final class User extends Authenticatable
{
    use SoftDeletes;

    protected $table = 'users';

    /** Whoever signs in enters her studio: nothing can be asked for outside of one. */
    protected $with = ['studio'];

    protected $guarded = ['id'];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'role' => Role::class];

    protected $attributes = ['role' => Role::Owner->value];

    /** @return BelongsTo<Studio, $this> */
    public function studio(): BelongsTo
    {
        return $this->belongsTo(Studio::class);
    }

    /** Whoever asks. Only behind a route that wants somebody to be signed in. */
    public static function in(Request $request): self
    {
        $user = $request->user();

        return $user instanceof self ? $user : throw new LogicException('Nobody is signed in.');
    }

    /** Who asks, as she is written down beside what she did; "" for nobody. */
    public static function nameIn(Request $request): string
    {
        $user = $request->user();

        return $user instanceof self ? $user->name : '';
    }
}
