<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Studio\BelongsToStudio;
use App\Studio\CurrentStudio;
use Crown\Pantry\Paid;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

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
 * @property string $supplier
 * @property string $batch_number
 * @property Carbon|null $bought_on
 * @property Carbon|null $printed_on best before, as it stands on it
 * @property Carbon|null $opened_on
 * @property float|null $opened_months as it stands on it
 * @property float|null $tare_grams of the empty container
 * @property float|null $cost of all that came; null while nobody said
 * @property string $currency
 * @property float|null $rate the studio's money for one of that; null where it is the same, or nobody said
 * @property string $place by the name it has in the kit
 * @property float|null $place_celsius in its warmest months
 * @property string $note
 * @property Carbon|null $created_at
 * @property Carbon $use_by the order in which things are to be used; NEVER where nothing tells
 */
class Lot extends Model
{
    use BelongsToStudio;

    /** What has no day to be used by comes after all that has one. */
    public const NEVER = '9999-12-31';

    /** How a formula names what came out of a steep, and one lot of it. */
    public const OF_STEEP = 'steep-';

    public const OF_LOT = 'lot-';

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
        'bought_on' => 'date',
        'printed_on' => 'date',
        'opened_on' => 'date',
        'opened_months' => 'float',
        'tare_grams' => 'float',
        'cost' => 'float',
        'rate' => 'float',
        'place_celsius' => 'float',
        'use_by' => 'date',
    ];

    protected $attributes = ['choice' => 'kept', 'withdrawn' => '', 'use_by' => self::NEVER];

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

    /** Why it must not be used any more, and since when; null while it may. */
    public function withdrawnWords(): ?string
    {
        return Withdrawal::words($this->withdrawn, $this->withdrawn_on);
    }

    /** Grams in one jar of a batch; null for what is not in jars. */
    public function netGrams(): ?float
    {
        $of = $this->batch_id === null ? null : DB::table('batches')->where('id', $this->batch_id)->value('net_grams');

        return is_numeric($of) && (float) $of > 0.0 ? (float) $of : null;
    }

    /** The day from which it stands here. */
    public function came(): Carbon
    {
        return ($this->bought_on ?? $this->made_on ?? $this->created_at ?? Carbon::now())->copy()->startOfDay();
    }

    /** Whether it was paid for in the money of another country. */
    public function isForeign(): bool
    {
        return Paid::isForeign($this->currency, app(CurrentStudio::class)->get()->currency);
    }

    /** What all of it cost, in the studio's own money; null where nobody said, or what that is. */
    public function paid(): ?float
    {
        return $this->cost === null ? null : (new Paid($this->cost, $this->currency, $this->rate))
            ->in(app(CurrentStudio::class)->get()->currency);
    }

    /** The studio's money for a gram, as it came; null where that cannot be told. */
    public function costPerGram(): ?float
    {
        $paid = $this->paid();

        return $paid !== null && ($this->grams ?? 0.0) > 0.0 ? $paid / $this->grams : null;
    }

    /** The day by which it is to be used; null where nothing tells. */
    public function useBy(): ?string
    {
        $day = $this->use_by->toDateString();

        return $day === self::NEVER ? null : $day;
    }

    /** The id under which formulas name this lot. */
    public function ingredientId(): string
    {
        return self::OF_LOT.$this->id;
    }
}
