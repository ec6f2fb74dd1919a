<?php

declare(strict_types=1);

namespace App\Make;

use App\Studio\BelongsToStudio;
use Crown\Make\Surroundings;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What a probe showed during a task at the counter, who read it and when.
 *
 * @property int $id
 * @property int $batch_id
 * @property string $task the id of a task of the batch
 * @property Surroundings $surroundings where it stood
 * @property float $celsius
 * @property float|null $around_celsius how warm it was there; null where nobody measured it
 * @property Carbon $read_at
 * @property string $by_name
 */
final class BatchReading extends Model
{
    use BelongsToStudio;

    protected $table = 'batch_readings';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = [
        'surroundings' => Surroundings::class,
        'celsius' => 'float',
        'around_celsius' => 'float',
        'read_at' => 'datetime',
    ];

    /** Kept to the thousandth of a second. */
    public function getDateFormat(): string
    {
        return 'Y-m-d H:i:s.v';
    }
}
