<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Studio\BelongsToStudio;
use App\Studio\CurrentStudio;
use Crown\Catalogue\Correction;
use Crown\Json\Node;
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

    protected $table = 'own_figures';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['low' => 'float', 'best' => 'float', 'high' => 'float'];

    public function correction(): Correction
    {
        return self::correct(Node::of($this->getAttributes()));
    }

    /**
     * All of the studio's, in the order in which they were given.
     *
     * @return list<Correction>
     */
    public static function corrections(): array
    {
        $rows = app(CurrentStudio::class)->rows('own_figures', 'ingredient, form, property, low, best, high, source');

        return array_map(self::correct(...), $rows);
    }

    private static function correct(Node $row): Correction
    {
        return new Correction(
            $row->text('ingredient'),
            $row->text('form'),
            $row->one('property', Property::class),
            Band::of($row->number('low') ?? 0.0, $row->number('best') ?? 0.0, $row->number('high') ?? 0.0),
            $row->text('source'),
        );
    }
}
