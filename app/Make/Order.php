<?php

declare(strict_types=1);

namespace App\Make;

use App\Studio\BelongsToStudio;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Jars that somebody wants by a day.
 *
 * @property int $id
 * @property int|null $formula_id null when the formula is gone
 * @property string $title what was ordered, as it was called then
 * @property string $who
 * @property int $jars
 * @property float $jar_ml
 * @property Carbon $due_on
 * @property float|null $price for all of it
 * @property string $note
 * @property string $state open, given, or off
 * @property string $by_name
 */
final class Order extends Model
{
    use BelongsToStudio;

    protected $table = 'orders';

    protected $guarded = ['id', 'studio_id'];

    protected $attributes = ['state' => 'open', 'note' => ''];

    protected $casts = ['due_on' => 'date', 'jars' => 'integer', 'jar_ml' => 'float', 'price' => 'float'];
}
