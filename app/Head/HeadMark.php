<?php

declare(strict_types=1);

namespace App\Head;

use App\Studio\BelongsToStudio;
use Crown\Head\Mark;
use Crown\Head\Scalp;
use Crown\Head\Zone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What one zone of a scalp was like on a day.
 *
 * @property int $id
 * @property int $head_id
 * @property string $zone
 * @property string $state
 * @property Carbon $on_date
 * @property string $note
 */
final class HeadMark extends Model
{
    use BelongsToStudio;

    protected $table = 'head_marks';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['on_date' => 'date'];

    public function mark(): Mark
    {
        return new Mark(
            Zone::from($this->zone),
            Scalp::from($this->state),
            $this->on_date->toDateTimeImmutable(),
            $this->note,
        );
    }
}
