<?php

declare(strict_types=1);

namespace App\Make;

use App\Studio\BelongsToStudio;
use Crown\Formula\Learned\Learned;
use Crown\Formula\Learned\Observation;
use Crown\Formula\Learned\Predicted;
use Crown\Formula\Learned\TextureFamily;
use Crown\Formula\Learned\TextureFound;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What was found on a finished batch. The batch itself is a record and does not change; findings stand beside it.
 *
 * @property int $id
 * @property int $batch_id
 * @property Carbon $on_date
 * @property string $texture a TextureFound, or ""
 * @property float|null $overrun_percent
 * @property float|null $whipped_minutes
 * @property string $state good, off, or ""
 * @property string $note
 * @property string $family
 * @property float $predicted_months
 * @property Batch $batch
 */
final class BatchFinding extends Model
{
    use BelongsToStudio;

    private const DAYS_PER_MONTH = 30.44;

    /** A studio's latest findings are what it is now: another stove, other hands and other butters were another studio. */
    private const LATEST = 200;

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['on_date' => 'date', 'overrun_percent' => 'float', 'whipped_minutes' => 'float', 'predicted_months' => 'float'];

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    public static function learned(): Learned
    {
        $latest = self::query()->with('batch:id,made_on')->orderByDesc('id')->limit(self::LATEST)->get();

        return Learned::from(...array_values($latest->filter(static fn (self $f): bool => $f->teaches())->map(static fn (self $f): Observation => $f->observation())->all()));
    }

    /** Whether it is more than a note. */
    public function teaches(): bool
    {
        return $this->texture !== '' || $this->overrun_percent !== null || $this->state !== '' && $this->months() > 0.0;
    }

    /** Age of the batch on the day of the finding, months. */
    public function months(): float
    {
        return max(0.0, $this->batch->made_on->diffInDays($this->on_date, false) / self::DAYS_PER_MONTH);
    }

    public function observation(): Observation
    {
        return new Observation(
            new Predicted(TextureFamily::from($this->family), $this->predicted_months),
            TextureFound::tryFrom($this->texture),
            $this->overrun_percent ?? -1.0,
            $this->whipped_minutes ?? 0.0,
            $this->state === '' ? 0.0 : $this->months(),
            $this->state === 'off',
        );
    }

    /** @return array<string, mixed> as $defs/BatchFinding */
    public function view(): array
    {
        return [
            'id' => $this->id,
            'on' => $this->on_date->toDateString(),
            'texture' => $this->texture,
            'texture_label' => TextureFound::tryFrom($this->texture)?->label() ?? '',
            'overrun_percent' => $this->overrun_percent,
            'whipped_minutes' => $this->whipped_minutes,
            'state' => $this->state,
            'months' => round($this->months(), 1),
            'note' => $this->note,
        ];
    }
}
