<?php

declare(strict_types=1);

namespace App\Steep;

use App\Studio\BelongsToStudio;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Something that happened to a running jar. Recorded, never edited away: the plan is worked out from all of them.
 *
 * @property int $id
 * @property int $steep_id
 * @property string $kind
 * @property Carbon $on_date
 * @property array<string, mixed> $data
 * @property string $note
 */
final class SteepEvent extends Model
{
    use BelongsToStudio;

    /**
     * note: colour and smell; weighed: the jar; bowl: before and after heating; the others change the plan or tick a
     * day.
     */
    public const KINDS = ['note', 'weighed', 'moved', 'herb', 'oil', 'drawn', 'bowl', 'sign', 'settling', 'ready'];

    protected $table = 'steep_events';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['on_date' => 'date', 'data' => 'array'];

    public function grams(): float
    {
        $grams = $this->data['grams'] ?? 0.0;

        return is_numeric($grams) ? (float) $grams : 0.0;
    }

    public function text(string $key): string
    {
        $text = $this->data[$key] ?? '';

        return is_string($text) ? $text : '';
    }
}
