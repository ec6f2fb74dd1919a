<?php

declare(strict_types=1);

namespace App\Steep;

use App\Pantry\Lot;
use App\Studio\BelongsToStudio;
use App\Studio\Revised;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;

/**
 * One jar of plant in oil.
 *
 * @property int $id
 * @property int $revision
 * @property string $name
 * @property string $plant
 * @property string $form
 * @property float $plant_grams
 * @property string $oil
 * @property float $oil_grams
 * @property string $method
 * @property float $jar_ml
 * @property float $diameter_cm
 * @property bool $shaken_daily
 * @property bool $pressed
 * @property Carbon $started_on
 * @property string $state running, strained or spoiled
 * @property Lot|null $lot
 * @property \Illuminate\Database\Eloquent\Collection<int, SteepShake> $shakes
 */
final class Steep extends Model
{
    use BelongsToStudio;
    use Revised;

    protected $guarded = ['id', 'studio_id'];

    protected $attributes = ['pressed' => false, 'state' => 'running', 'name' => ''];

    protected $casts = [
        'plant_grams' => 'float', 'oil_grams' => 'float', 'jar_ml' => 'float', 'diameter_cm' => 'float', 'shaken_daily' => 'bool',
        'pressed' => 'bool', 'started_on' => 'date', 'strained_on' => 'date',
    ];

    /** @return HasMany<SteepShake, $this> */
    public function shakes(): HasMany
    {
        return $this->hasMany(SteepShake::class)->orderBy('date');
    }

    /** @return HasOne<Lot, $this> */
    public function lot(): HasOne
    {
        return $this->hasOne(Lot::class);
    }
}
