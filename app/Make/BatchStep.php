<?php

declare(strict_types=1);

namespace App\Make;

use App\Studio\BelongsToStudio;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A task at the counter that was done for a batch, by whom and when.
 *
 * @property int $id
 * @property int $batch_id
 * @property string $task the id of a task of the batch
 * @property string $skipped why it was passed over; "" where it was done
 * @property string $by_name
 * @property Carbon $created_at
 */
final class BatchStep extends Model
{
    use BelongsToStudio;

    protected $table = 'batch_steps';

    protected $guarded = ['id', 'studio_id'];
}
