<?php

declare(strict_types=1);

namespace App\Make;

use App\Studio\BelongsToStudio;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A clock that runs for a task at the counter. It is kept here and not on the screen, so that it goes on while the
 * screen sleeps, is closed, or the server is started again.
 *
 * @property int $id
 * @property int $batch_id
 * @property string $task the id of a task of the batch
 * @property string $label
 * @property Carbon $started_at
 * @property Carbon $ends_at
 * @property Carbon|null $stopped_at when it was stopped, or its bell heard; null while it runs or rings
 * @property string $by_name
 */
final class BatchTimer extends Model
{
    use BelongsToStudio;

    protected $table = 'batch_timers';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['started_at' => 'datetime', 'ends_at' => 'datetime', 'stopped_at' => 'datetime'];
}
