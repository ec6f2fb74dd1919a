<?php

declare(strict_types=1);

namespace App\Steep;

use App\Studio\BelongsToStudio;
use Crown\Steep\Entry;
use Crown\Steep\EntryKind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Something that happened to a running jar. Recorded, never edited away: the plan is worked out from all of them.
 *
 * @property int $id
 * @property int $steep_id
 * @property string $kind an EntryKind
 * @property Carbon $on_date
 * @property array<string, mixed> $data
 * @property string $note
 */
final class SteepEvent extends Model
{
    use BelongsToStudio;

    protected $table = 'steep_events';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['on_date' => 'date', 'data' => 'array'];

    public function entry(): Entry
    {
        return new Entry(
            EntryKind::from($this->kind),
            $this->on_date->toDateTimeImmutable(),
            $this->data,
        );
    }
}
