<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Json\Format;
use Crown\Json\Node;
use Crown\Measure\Band;
use Crown\Measure\FactSheet;
use Crown\Measure\Property;
use Crown\Problem;
use Crown\Words\Message;

/**
 * An ingredient that a studio writes itself: what it is like, and the figures by which it differs. What is taken over
 * from the ingredient it is like keeps its source; the studio's own figures say where they come from.
 */
final readonly class OwnEntry
{
    /** °C */
    private const ROOM = 20.0;

    private const LONGEST = 120;

    /**
     * @param  Ingredient|null  $like from which all is taken that is not given
     * @param  list<string>  $synonyms
     * @param  list<string>  $allergens
     * @param  list<Correction>  $figures
     * @param  ReadyBlend|null  $blend of which it is made, where it is made of several: its kind follows from them
     *
     * @throws CatalogueError naming the field and what is allowed
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $inci,
        public IngredientKind $kind,
        public ?Ingredient $like,
        public array $synonyms,
        public array $allergens,
        public bool $vegan,
        public array $figures,
        public ?ReadyBlend $blend = null,
    ) {
        if (trim($name) === '' || mb_strlen($name) > self::LONGEST) {
            throw CatalogueError::field('name', new Message('catalogue.own-entry.characters', [
                'most' => self::LONGEST,
            ]));
        }
        if ($blend !== null) {
            return;
        }
        if ($kind === IngredientKind::Unknown || $kind === IngredientKind::ReadySteep) {
            throw CatalogueError::field(
                'kind',
                new Message('catalogue.own-entry.kind-catalogue-steeped-oil'),
            );
        }
        if ($like !== null && $like->kind !== $kind && ! self::isAlike($like, $kind)) {
            throw CatalogueError::field(
                'like',
                new Message('catalogue.own-entry.ingredient-same-kind', [
                    'like' => $like->name,
                    'kind' => $like->kind->value,
                ]),
            );
        }
    }

    /** A butter may be made after an oil that is solid in a room, as coconut oil is. */
    private static function isAlike(Ingredient $like, IngredientKind $kind): bool
    {
        return $kind === IngredientKind::Butter
            && $like->kind === IngredientKind::CarrierOil
            && $like->composition->solidFat->at(self::ROOM) > 0.0;
    }

    public static function format(): Format
    {
        return new Format('honest-crown/own-ingredient');
    }

    /**
     * As it is kept: $defs/OwnDraft.
     *
     * @param  array<array-key, mixed>  $document
     *
     * @throws Problem naming the field and what is allowed
     */
    public static function read(string $id, array $document, Catalogue $catalogue): self
    {
        $node = Node::of(self::format()->upcast($document));
        $like = $node->text('like');
        $figures = [];
        foreach ($node->objects('figures') as $n => $row) {
            $property = $row->one('property', Property::class);
            [$low, $best, $high] = [$row->number('low'), $row->number('best'), $row->number('high')];
            $figures[] = Problem::within("figures.$n", static fn (): Correction => new Correction(
                $id,
                $row->text('form'),
                $property,
                Band::of($low ?? 0.0, $best ?? 0.0, $high ?? 0.0),
                $row->text('source'),
            ));
        }

        $parts = $node->objects('parts');
        $blend = $parts === [] ? null : ReadyBlend::read($parts, $catalogue);

        return new self(
            $id,
            $node->text('name'),
            $node->text('inci'),
            $blend?->kind() ?? $node->one('kind', IngredientKind::class),
            // What it was like may have left the reference since.
            $catalogue->has($like) ? $catalogue->get($like) : null,
            $node->texts('synonyms'),
            $node->texts('allergens'),
            $node->flag('vegan'),
            $figures,
            $blend,
        );
    }

    public function ingredient(): Ingredient
    {
        if ($this->blend !== null) {
            return $this->blend
                ->ingredient($this->id, $this->name, $this->inci, $this->synonyms, $this->allergens)
                ->corrected(...$this->figures);
        }
        $base = $this->like ?? $this->blank();
        $own = new Ingredient(
            $this->id,
            $this->name,
            $this->inci,
            $this->kind,
            $base->facts,
            $base->composition,
            $base->forms,
            $this->synonyms,
            $this->vegan,
            $base->preservation,
            $base->precautions->withAllergens($this->allergens),
            $base->onHair,
            $base->evidence,
            $base->storage,
            new Provenance(Origin::Own, sources: $base->provenance->sources),
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
            new FactSheet($this->name, []),
            new Composition(
                new FattyAcids([], ''),
                $this->kind->isMelted() ? new SolidFat([], 1.0, '') : SolidFat::liquid(),
                solubility: $solubility,
            ),
            $forms,
            vegan: $this->vegan,
        );
    }
}
