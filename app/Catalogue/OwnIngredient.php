<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Studio\BelongsToStudio;
use App\Studio\CurrentStudio;
use App\Studio\IngredientUses;
use App\Studio\NamesIngredients;
use App\Studio\Revised;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Correction;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Making;
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
 *     vegan: bool, figures: list<OwnFigureRow>, parts?: list<array{ingredient: string, percent: float|int|null}>,
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
    use NamesIngredients;
    use Revised;

    public const ID = 'own-';

    protected $table = 'own_ingredients';

    protected $guarded = ['id', 'studio_id'];

    protected $casts = ['document' => 'array'];

    /** The id under which formulas name it. */
    public function ingredientId(): string
    {
        return self::ID.$this->id;
    }

    /**
     * All of the studio's.
     *
     * @param  list<Correction>  $corrections the studio's own figures, which hold for a blend as well
     */
    public static function written(Catalogue $reference, array $corrections): OwnWritten
    {
        $single = $blends = [];
        foreach (app(CurrentStudio::class)->rows('own_ingredients', 'id, document') as $row) {
            $id = self::ID.$row->whole('id');
            $document = (array) json_decode($row->text('document'), true);
            if (($document['parts'] ?? []) === []) {
                $single[] = OwnEntry::read($id, $document, $reference)->ingredient();
            } else {
                $blends[] = new Making(
                    $id,
                    Node::of($document)->text('name'),
                    static fn (Catalogue $all): Ingredient => OwnEntry::read($id, $document, $all)
                        ->ingredient()
                        ->corrected(...array_filter(
                            $corrections,
                            static fn (Correction $c): bool => $c->ingredient === $id,
                        )),
                );
            }
        }

        return new OwnWritten($single, $blends);
    }

    public function holder(): string
    {
        return IngredientUses::OWN;
    }

    /** @return list<string> names of the blends that something is in */
    public static function blendsWith(string $ingredient): array
    {
        $blends = self::query()
            ->whereIn('id', IngredientUses::of(IngredientUses::OWN, [$ingredient]))
            ->orderBy('name');

        return array_values(array_filter($blends->pluck('name')->all(), is_string(...)));
    }

    /**
     * What has a blend in it has its parts in it.
     *
     * @param  list<string>  $ingredients
     * @return list<string> with the blends that any of them is in; a blend holds no blend
     */
    public static function withBlendsOf(array $ingredients): array
    {
        $own = IngredientUses::of(IngredientUses::OWN, $ingredients)->orderBy('holder_id')->pluck('holder_id')->all();
        $blends = array_map(static fn (int $id): string => self::ID.$id, array_filter($own, is_int(...)));

        return [...$ingredients, ...array_values($blends)];
    }
}
