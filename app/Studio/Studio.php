<?php

declare(strict_types=1);

namespace App\Studio;

use Crown\Measure\CupSize;
use Crown\Measure\Kitchen;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * The people and things of one workshop. Every other row belongs to one.
 *
 * @property int $id
 * @property string $name
 * @property string $maker
 * @property string $cup
 * @property float $scale_grams
 * @property bool $demo
 */
final class Studio extends Model
{
    protected $guarded = ['id'];

    protected $casts = ['scale_grams' => 'float', 'demo' => 'bool'];

    /** @return HasMany<User, $this> */
    public function users(): HasMany
    {
        return $this->hasMany(User::class);
    }

    /** What this studio measures with. */
    public function kitchen(): Kitchen
    {
        return new Kitchen(CupSize::from($this->cup), $this->scale_grams);
    }
}
