<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Studio\BelongsToStudio;
use Crown\Catalogue\Correction;
use Crown\Measure\Band;
use Crown\Measure\Property;
use Illuminate\Database\Eloquent\Model;

/**
 * The studio's own figure in place of the catalogue's.
 *
 * @property int $id
 * @property string $ingredient
 * @property string $form
 * @property string $property
 * @property float $low
 * @property float $best
 * @property float $high
 * @property string $source
 */
final class OwnFigure extends Model
{
    use BelongsToStudio;

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['low' => 'float', 'best' => 'float', 'high' => 'float'];

    public function correction(): Correction
    {
        return new Correction($this->ingredient, $this->form, Property::from($this->property), Band::of($this->low, $this->best, $this->high), $this->source);
    }
}
