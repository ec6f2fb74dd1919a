<?php

declare(strict_types=1);

namespace App\Rhythm;

use App\Head\Head;
use App\Make\Batch;
use App\Studio\BelongsToStudio;
use App\Studio\Revised;
use App\Studio\Touched;
use Crown\Rhythm\Act;
use Crown\Rhythm\DayState;
use Crown\Rhythm\PatchTest;
use Crown\Rhythm\Routine as Plan;
use Crown\Rhythm\RoutineState;
use DateTimeImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;

/**
 * One finished batch used on one head.
 *
 * @property int $id
 * @property int $revision
 * @property int $head_id
 * @property int $batch_id
 * @property string $state patch, running or stopped
 * @property int $per_week
 * @property int $weeks
 * @property float $grams_per_use
 * @property string $way
 * @property Carbon $starts_on
 * @property Head $head
 * @property Batch $batch
 * @property \Illuminate\Database\Eloquent\Collection<int, RoutineDay> $days
 */
final class Routine extends Model
{
    use BelongsToStudio;
    use Revised;
    use SoftDeletes;
    use Touched;

    protected $table = 'routines';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['grams_per_use' => 'float', 'starts_on' => 'date'];

    /** Of a batch, what a list or a plan needs: its documents are large and are left in the database. */
    public const BATCH_IN_SHORT = 'batch:id,studio_id,title,net_grams,best_before,label';

    /** @return BelongsTo<Head, $this> */
    public function head(): BelongsTo
    {
        return $this->belongsTo(Head::class);
    }

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    /** @return HasMany<RoutineDay, $this> */
    public function days(): HasMany
    {
        return $this->hasMany(RoutineDay::class)->orderBy('date')->orderBy('id');
    }

    public function patchTest(): PatchTest
    {
        return new PatchTest(
            RoutineState::from($this->state),
            $this->days()->where('act', Act::PatchTest->value)->where('state', DayState::Done->value)->exists(),
        );
    }

    public function plan(): Plan
    {
        return new Plan(
            new DateTimeImmutable($this->starts_on->toDateString()),
            $this->per_week,
            $this->weeks,
            $this->grams_per_use,
            $this->batch->net_grams,
        );
    }
}
