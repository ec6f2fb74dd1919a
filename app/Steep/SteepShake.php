<?php

declare(strict_types=1);

namespace App\Steep;

use App\Studio\BelongsToStudio;
use DateTimeImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * One day on which a jar was shaken.
 *
 * @property int $id
 * @property int $steep_id
 * @property Carbon $date
 */
final class SteepShake extends Model
{
    use BelongsToStudio;

    protected $table = 'steep_shakes';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['date' => 'date'];

    /** Read plainly: a jar has a shake for every day of its weeks. */
    public function day(): DateTimeImmutable
    {
        $day = $this->getRawOriginal('date');

        return new DateTimeImmutable(is_string($day) ? substr($day, 0, 10) : 'today');
    }
}
