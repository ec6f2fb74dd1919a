<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Steep\Steep;
use App\Studio\BelongsToStudio;
use Crown\Pantry\LotSource;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepYield;
use Crown\Steep\WaterChoice;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One container of something: an oil that came out of a steep, a finished batch, or what was bought.
 *
 * @property int $id
 * @property string $source a LotSource
 * @property string $ingredient what it is, by the id under which formulas name it; "" for a finished batch
 * @property int|null $steep_id of what was steeped
 * @property int|null $batch_id of what was made
 * @property string $name
 * @property float|null $grams that came; null while nobody said
 * @property float|null $left_grams the sum of its movements; null while nobody knows
 * @property float $loss_grams
 * @property Carbon|null $made_on
 * @property Carbon|null $best_before
 * @property Carbon|null $emptied_on when it was gone
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
        'left_grams' => 'float',
        'loss_grams' => 'float',
        'made_on' => 'date',
        'best_before' => 'date',
        'emptied_on' => 'date',
        'withdrawn_on' => 'date',
    ];

    protected $attributes = ['choice' => 'kept', 'withdrawn' => ''];

    /** @return Builder<self> the oils that were steeped here */
    public static function steeped(): Builder
    {
        return self::query()->where('source', LotSource::Steeped->value);
    }

    /** @return BelongsTo<Steep, $this> */
    public function steep(): BelongsTo
    {
        return $this->belongsTo(Steep::class);
    }

    /** What it is called: a part that was drawn by its day as well. */
    public function title(): string
    {
        return self::titled($this->name, $this->event_id !== null, (string) $this->made_on?->toDateString());
    }

    /** @param  string  $on the day, as 2026-11-27 */
    public static function titled(string $name, bool $drawn, string $on): string
    {
        return $drawn ? sprintf('%s, drawn %s', $name, Carbon::parse($on)->format('j M')) : $name;
    }

    /** Why it must not be used any more, and since when; "" while it may. */
    public function withdrawnWords(): string
    {
        return Withdrawal::words($this->withdrawn, $this->withdrawn_on);
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
            (float) $this->grams,
            $this->loss_grams,
            WaterChoice::from($this->choice),
            $this->withdrawnWords(),
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
            'name' => $this->title(),
            'grams' => $this->grams,
            'dry' => $yield->isDry(),
            'water_percent' => round($yield->waterShare() * 100, 3),
            'made_on' => $this->made_on?->toDateString(),
            'best_before' => $this->best_before?->toDateString(),
            'steep_id' => $this->steep_id,
            'code' => $this->code(),
            'drawn' => $this->event_id !== null,
            'withdrawn' => $this->withdrawnWords(),
            'withdrawn_on' => $this->withdrawn_on?->toDateString(),
        ];
    }
}
