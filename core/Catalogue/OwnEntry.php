<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\FactSheet;

/**
 * An ingredient that a studio writes itself: what it is like, and the figures by which it differs. What is taken over
 * from the ingredient it is like keeps its source; the studio's own figures say where they come from.
 */
final readonly class OwnEntry
{
    private const LONGEST = 120;

    /**
     * @param  list<Ingredient>  $like none or one, from which all is taken that is not given
     * @param  list<string>  $synonyms
     * @param  list<string>  $allergens
     * @param  list<Correction>  $figures
     *
     * @throws CatalogueError naming the field and what is allowed
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $inci,
        public IngredientKind $kind,
        public array $like,
        public array $synonyms,
        public array $allergens,
        public bool $vegan,
        public array $figures,
    ) {
        if (trim($name) === '' || mb_strlen($name) > self::LONGEST) {
            throw CatalogueError::field('name', sprintf('1 to %d characters', self::LONGEST));
        }
        if ($kind === IngredientKind::Unknown || $kind === IngredientKind::ReadySteep) {
            throw CatalogueError::field(
                'kind',
                'a kind of the catalogue; a steeped oil is made by straining a steep',
            );
        }
        if ($like !== [] && $like[0]->kind !== $kind) {
            throw CatalogueError::field(
                'like',
                sprintf('an ingredient of the same kind; %s is "%s"', $like[0]->name, $like[0]->kind->value),
            );
        }
    }

    public function ingredient(): Ingredient
    {
        $base = $this->like[0] ?? $this->blank();
        $own = new Ingredient(
            $this->id,
            $this->name,
            $this->inci,
            $this->kind,
            $this->synonyms,
            $base->facts,
            $base->fattyAcids,
            $base->solidFat,
            $base->solubility,
            $base->preservation,
            $base->pregnancy,
            $this->allergens,
            $this->vegan,
            $base->drying,
            $base->emulsifies,
            $base->forms,
            $base->constituents,
            $base->dermalReason,
            $base->evidence,
            $base->cautions,
            $base->storage,
            $base->sources,
            0.0,
            $base->onHair,
            $base->precautions,
            new Provenance(Origin::Own),
        );

        return $own->corrected(...$this->figures);
    }

    /** Of a kind alone little is known: what cannot be told is asked about where it is needed. */
    private function blank(): Ingredient
    {
        $forms = $this->kind->isPlant() ? ['dried' => new Form('dried', new FactSheet($this->name, []))] : [];
        $solubility = match ($this->kind) {
            IngredientKind::Water,
            IngredientKind::Gel,
            IngredientKind::Humectant,
            IngredientKind::WaterActive => Solubility::Water,
            IngredientKind::FreshPlant,
            IngredientKind::DriedHerb,
            IngredientKind::Powder,
            IngredientKind::Starch => Solubility::Insoluble,
            default => Solubility::Oil,
        };

        return new Ingredient(
            $this->id,
            $this->name,
            $this->inci,
            $this->kind,
            [],
            new FactSheet($this->name, []),
            new FattyAcids([], ''),
            $this->kind->isMelted() ? new SolidFat([], 1.0, '') : SolidFat::liquid(),
            $solubility,
            new Preservation(PreservationKind::None, Solubility::Water),
            Advice::Ok,
            [],
            $this->vegan,
            false,
            false,
            $forms,
            [],
            '',
            [],
            [],
            '',
            [],
        );
    }
}
