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
 * @property string $although why it is used although something speaks against it there; "" where nothing does
 * @property Carbon $starts_on
 * @property Head $head
 * @property Batch $batch
 * @property \Illuminate\Database\Eloquent\Collection<int, RoutineDay> $days
 * @property \Illuminate\Database\Eloquent\Collection<int, self> $sharing
 */
final class Routine extends Model
{
    use BelongsToStudio;
    use Revised;
    use SoftDeletes;
    use Touched;

    protected $table = 'routines';

    protected $guarded = ['id', 'studio_id'];

    protected $attributes = ['state' => 'patch', 'weeks' => 8, 'although' => ''];

    protected $casts = ['grams_per_use' => 'float', 'starts_on' => 'date'];

    /** Of a batch, what a list or a plan needs: its documents are large and are left in the database. */
    public const BATCH_IN_SHORT = 'batch:id,studio_id,title,net_grams,jars,although,best_before,label';

    /** All that its plan is made from. */
    public const FOR_PLAN = [self::BATCH_IN_SHORT, 'sharing'];

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

    /** @return HasMany<self, $this> all that use of the same jars at present, this one too unless it was stopped */
    public function sharing(): HasMany
    {
        return $this->hasMany(self::class, 'batch_id', 'batch_id')
            ->where('state', '!=', RoutineState::Stopped->value);
    }

    public function patchTest(): PatchTest
    {
        return new PatchTest(
            RoutineState::from($this->state),
            $this->days()->where('act', Act::PatchTest->value)->where('state', DayState::Done->value)->exists(),
        );
    }

    /** How it goes, beside all others that use of the same jars. */
    public function plan(): Plan
    {
        $others = $this->sharing
            ->reject(fn (self $other): bool => $other->id === $this->id)
            ->map(static fn (self $other): Plan => $other->planned(null, null));

        return $this->batch->isOneDose()
            ? $this->planned(null, null)
            : $this->planned(
                $this->batch->net_grams * $this->batch->jars,
                $this->batch->best_before?->toDateTimeImmutable(),
                array_values($others->all()),
            );
    }

    /** @param  list<Plan>  $others */
    private function planned(?float $grams, ?DateTimeImmutable $lastDay, array $others = []): Plan
    {
        return new Plan(
            new DateTimeImmutable($this->starts_on->toDateString()),
            $this->per_week,
            $this->weeks,
            $this->grams_per_use,
            $grams,
            $lastDay,
            $others,
        );
    }
}
