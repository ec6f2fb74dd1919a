<?php

declare(strict_types=1);

namespace App\Steep;

use App\Studio\BelongsToStudio;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A picture of a jar, kept on this machine.
 *
 * @property int $id
 * @property int $steep_id
 * @property Carbon $on_date
 * @property string $file
 * @property int $width
 * @property int $height
 */
final class SteepPhoto extends Model
{
    use BelongsToStudio;

    protected $table = 'steep_photos';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['on_date' => 'date'];
}
