<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Steep\Steep;
use App\Studio\BelongsToStudio;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepYield;
use Crown\Steep\WaterChoice;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One made container: the oil that came out of a steep.
 *
 * @property int $id
 * @property int $steep_id
 * @property string $name
 * @property float $grams
 * @property float $loss_grams
 * @property Carbon $made_on
 * @property Carbon $best_before
 * @property int|null $event_id of the draw, when it was not strained
 * @property string $choice what was done about water
 * @property string $withdrawn why it must not be used any more; "" while it may
 * @property Carbon|null $withdrawn_on
 * @property Steep $steep
 */
final class Lot extends Model
{
    use BelongsToStudio;

    protected $table = 'lots';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = [
        'grams' => 'float',
        'loss_grams' => 'float',
        'made_on' => 'date',
        'best_before' => 'date',
        'withdrawn_on' => 'date',
    ];

    protected $attributes = ['choice' => 'kept', 'withdrawn' => ''];

    /** @return BelongsTo<Steep, $this> */
    public function steep(): BelongsTo
    {
        return $this->belongsTo(Steep::class);
    }

    /** The id under which formulas name this lot. */
    public function ingredientId(): string
    {
        return 'lot-'.$this->id;
    }

    /** The code on its label. */
    public function code(): string
    {
        return sprintf('S%d-%d', $this->steep_id, $this->id);
    }

    public function yield(SteepPlan $plan): SteepYield
    {
        return new SteepYield(
            $plan,
            $this->grams,
            $this->loss_grams,
            WaterChoice::from($this->choice),
            $this->withdrawn,
            $this->event_id !== null,
        );
    }

    /** @return array<string, mixed> */
    public function view(SteepPlan $plan): array
    {
        $yield = $this->yield($plan);

        return [
            'id' => $this->id,
            'ingredient' => $this->ingredientId(),
            'name' => $this->name,
            'grams' => $this->grams,
            'dry' => $yield->isDry(),
            'water_percent' => round($yield->waterShare() * 100, 3),
            'made_on' => $this->made_on->toDateString(),
            'best_before' => $this->best_before->toDateString(),
            'steep_id' => $this->steep_id,
            'code' => $this->code(),
            'drawn' => $this->event_id !== null,
            'withdrawn' => $this->withdrawn,
            'withdrawn_on' => $this->withdrawn_on?->toDateString(),
        ];
    }
}
