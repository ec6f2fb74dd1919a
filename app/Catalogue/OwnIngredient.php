<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Studio\BelongsToStudio;
use App\Studio\CurrentStudio;
use App\Studio\Revised;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\OwnEntry;
use Crown\Json\Node;
use Crown\Measure\Property;
use Illuminate\Database\Eloquent\Model;

/**
 * An ingredient the studio wrote itself.
 *
 * @phpstan-type OwnFigureRow array{
 *     form: string, property: string, low: float|int, best: float|int, high: float|int, source: string,
 * }
 * @phpstan-type OwnDocument array{
 *     name: string, inci: string, kind: string, like: string, synonyms: list<string>, allergens: list<string>,
 *     vegan: bool, figures: list<OwnFigureRow>,
 * }
 *
 * @property int $id
 * @property int $revision
 * @property string $name
 * @property OwnDocument $document
 */
final class OwnIngredient extends Model
{
    use BelongsToStudio;
    use Revised;

    protected $table = 'own_ingredients';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['document' => 'array'];

    /** The id under which formulas name it. */
    public function ingredientId(): string
    {
        return 'own-'.$this->id;
    }

    /**
     * All of the studio's, in the order in which they were written.
     *
     * @return list<Ingredient>
     */
    public static function ingredients(Catalogue $reference): array
    {
        return array_map(
            static fn (Node $row): Ingredient => OwnEntry::read(
                'own-'.$row->whole('id'),
                (array) json_decode($row->text('document'), true),
                $reference,
            )->ingredient(),
            app(CurrentStudio::class)->rows('own_ingredients', 'id, document'),
        );
    }
}
