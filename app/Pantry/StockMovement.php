<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Studio\BelongsToStudio;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Grams that came to a lot, or left it. Never changed: what was wrong is put right by another.
 *
 * @property int $id
 * @property int $lot_id
 * @property string $kind a MovementKind
 * @property float $grams above nothing when they came, below when they left
 * @property Carbon $on_date
 * @property string $by_name
 * @property string $note
 * @property int|null $batch_id for which they were taken
 * @property int|null $steep_id likewise
 * @property string $to_name who has it now
 * @property int $jars how many, where they were counted
 * @property float|null $price for all of it
 * @property Carbon|null $ended_on when an opened jar was empty
 */
final class StockMovement extends Model
{
    use BelongsToStudio;

    protected $table = 'stock_movements';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = [
        'grams' => 'float',
        'on_date' => 'date',
        'price' => 'float',
        'jars' => 'integer',
        'ended_on' => 'date',
    ];
}
