<?php

declare(strict_types=1);

namespace App\Rhythm;

use App\Studio\BelongsToStudio;
use Crown\Rhythm\Act;
use Crown\Rhythm\RoutineDay as PlannedDay;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One thing to do for a routine on one day.
 *
 * @property int $id
 * @property int $routine_id
 * @property Carbon $date
 * @property string $act
 * @property string $state a DayState
 * @property Routine $routine
 */
final class RoutineDay extends Model
{
    use BelongsToStudio;

    protected $table = 'routine_days';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['date' => 'date'];

    /** @return BelongsTo<Routine, $this> */
    public function routine(): BelongsTo
    {
        return $this->belongsTo(Routine::class);
    }

    /** As it stands in the database: a list has hundreds of them, and no date is made of each. */
    public function day(): string
    {
        $day = $this->getRawOriginal('date');

        return is_string($day) ? substr($day, 0, 10) : '';
    }

    public function kind(): Act
    {
        return Act::from($this->act);
    }

    public function planned(): PlannedDay
    {
        return new PlannedDay($this->date->toDateTimeImmutable(), $this->kind());
    }
}
