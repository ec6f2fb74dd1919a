<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Studio\BelongsToStudio;
use App\Studio\CurrentStudio;
use Crown\Catalogue\Correction;
use Crown\Measure\Band;
use Crown\Measure\Property;
use Illuminate\Database\Eloquent\Model;
use stdClass;

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

    protected $table = 'own_figures';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['low' => 'float', 'best' => 'float', 'high' => 'float'];

    public function correction(): Correction
    {
        return self::correct($this);
    }

    /**
     * All of the studio's, in the order in which they were given.
     *
     * @return list<Correction>
     */
    public static function corrections(): array
    {
        return array_map(self::correct(...), app(CurrentStudio::class)->rows('own_figures'));
    }

    private static function correct(self|stdClass $row): Correction
    {
        return new Correction(
            $row->ingredient,
            $row->form,
            Property::from($row->property),
            Band::of((float) $row->low, (float) $row->best, (float) $row->high),
            $row->source,
        );
    }
}
