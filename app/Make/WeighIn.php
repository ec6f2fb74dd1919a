<?php

declare(strict_types=1);

namespace App\Make;

use App\Studio\BelongsToStudio;
use Crown\Make\Put;
use Crown\Make\PutHow;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What the scale showed for one line of a batch, who read it and when.
 *
 * @property int $id
 * @property int $batch_id
 * @property string $line
 * @property bool $gathered whether it stands ready
 * @property float|null $grams null while it is not weighed
 * @property PutHow $how
 * @property int|null $drops when they were counted
 * @property int|null $lot_id from which it was taken, when that was said
 * @property string $by_name
 * @property Carbon $updated_at
 */
final class WeighIn extends Model
{
    use BelongsToStudio;

    protected $table = 'weigh_ins';

    protected $guarded = ['id', 'studio_id'];

    protected $attributes = ['how' => 'weighed'];

    protected $casts = ['gathered' => 'boolean', 'grams' => 'float', 'how' => PutHow::class, 'drops' => 'integer'];

    /** What went in; null while that is not known. */
    public function put(): ?Put
    {
        return $this->grams === null ? null : Put::kept($this->how, $this->grams, $this->drops);
    }
}
