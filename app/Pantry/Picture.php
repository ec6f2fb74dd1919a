<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Studio\BelongsToStudio;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A picture of a jar that stands on its plants, or of a bottle, kept on this machine.
 *
 * @property int $id
 * @property int|null $steep_id
 * @property int|null $lot_id
 * @property Carbon $on_date
 * @property string $file
 * @property int $width
 * @property int $height
 */
final class Picture extends Model
{
    use BelongsToStudio;

    protected $table = 'pictures';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['on_date' => 'date'];

    /** @return array{id: int, on: string, width: int, height: int} $defs/Picture */
    public function row(): array
    {
        return [
            'id' => $this->id,
            'on' => $this->on_date->toDateString(),
            'width' => $this->width,
            'height' => $this->height,
        ];
    }
}
