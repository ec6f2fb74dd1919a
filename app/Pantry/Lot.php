<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Studio\BelongsToStudio;
use Illuminate\Database\Eloquent\Model;
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
 */
class Lot extends Model
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
}
