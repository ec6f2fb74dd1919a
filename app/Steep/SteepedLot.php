<?php

declare(strict_types=1);

namespace App\Steep;

use App\Pantry\Lot;
use Crown\Pantry\LotSource;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepYield;
use Crown\Steep\WaterChoice;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * An oil that came out of a jar here: strained, or drawn while the rest went on.
 *
 * @property int $steep_id
 * @property float $grams
 * @property float $left_grams
 * @property Carbon $made_on
 * @property Carbon $best_before
 * @property Steep $steep
 */
final class SteepedLot extends Lot
{
    protected $attributes = [
        'choice' => 'kept',
        'withdrawn' => '',
        'source' => LotSource::Steeped->value,
        'use_by' => Lot::NEVER,
    ];

    protected static function booted(): void
    {
        self::addGlobalScope('steeped', static function (Builder $query): void {
            $query->where($query->getModel()->qualifyColumn('source'), LotSource::Steeped->value);
        });
    }

    /** @return BelongsTo<Steep, $this> also one that was put away: its oil is still here */
    public function steep(): BelongsTo
    {
        return $this->belongsTo(Steep::class)->withTrashed();
    }

    /** @return list<string> all ids under which formulas may name it: what was strained is also the oil of its jar */
    public function ingredientIds(): array
    {
        return $this->event_id === null
            ? [$this->ingredientId(), Steep::OIL.$this->steep_id]
            : [$this->ingredientId()];
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
            $this->withdrawnWords(),
            $this->event_id !== null,
        );
    }
}
