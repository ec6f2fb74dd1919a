<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Json\Node;
use Crown\Measure\Band;
use Crown\Measure\Fact;
use Crown\Measure\FactSheet;
use Crown\Measure\Property;
use Crown\Words\Message;

/**
 * What is bought or kept as one and is made of several: a scent blend, a base oil of three. On the scale and on the
 * shelf it is one thing; every rule of what may go on skin looks at its parts (Assessment\Composition). Where the share
 * of some is not said, each of them may be all that the others leave. Method page: docs/methods/pantry.md.
 */
final readonly class ReadyBlend
{
    public const MOST_PARTS = 20;

    /** Per cent by which shares may miss the whole: suppliers round. */
    private const ROUNDED = 1.0;

    /** @param  list<Part>  $parts */
    private function __construct(public array $parts)
    {
    }

    /**
     * @param  list<Node>  $rows each with "ingredient" and "percent", which is null where the supplier does not say
     *
     * @throws CatalogueError naming the field and what is allowed
     */
    public static function read(array $rows, Catalogue $catalogue): self
    {
        if (count($rows) < 2 || count($rows) > self::MOST_PARTS) {
            throw CatalogueError::blend('parts', Message::said('catalogue.ready-blend.name-things-are', [
                'most' => self::MOST_PARTS,
            ]));
        }
        $known = 0.0;
        $silent = 0;
        $seen = [];
        foreach ($rows as $n => $row) {
            $percent = $row->number('percent');
            if ($percent !== null && ($percent <= 0.0 || $percent > 100.0)) {
                throw CatalogueError::blend(
                    "parts.$n.percent",
                    Message::said('catalogue.ready-blend.share-above-most-empty'),
                );
            }
            if (isset($seen[$row->text('ingredient')])) {
                throw CatalogueError::blend(
                    "parts.$n.ingredient",
                    Message::said('catalogue.ready-blend.named-twice-add-its'),
                );
            }
            $seen[$row->text('ingredient')] = true;
            $known += $percent ?? 0.0;
            $silent += $percent === null ? 1 : 0;
        }
        $rest = 100.0 - $known;
        if ($silent === 0 ? abs($rest) > self::ROUNDED : $rest <= 0.0) {
            $sum = ['percent' => sprintf('%g', $known)];
            throw CatalogueError::blend('parts', $silent === 0
                ? Message::said('catalogue.ready-blend.not-hundred', $sum)
                : Message::said('catalogue.ready-blend.nothing-left', $sum));
        }

        return new self(array_map(
            static fn (Node $row): Part => new Part(
                self::part($row->text('ingredient'), $catalogue),
                $row->number('percent') === null
                    ? Band::of(0.0, $rest / $silent / 100, $rest / 100)
                    : Band::exact($row->number('percent') / ($silent === 0 ? $known : 100.0)),
            ),
            $rows,
        ));
    }

    /**
     * Asked when it is written down; what was kept is read all the same.
     *
     * @throws CatalogueError where one of its parts is a blend itself
     */
    public function holdsNoBlend(): void
    {
        foreach ($this->parts as $n => $part) {
            if ($part->ingredient->isBlend()) {
                throw CatalogueError::blend(
                    "parts.$n.ingredient",
                    Message::said('catalogue.ready-blend.blend-itself-name-what', [
                        'ingredient' => $part->ingredient->name,
                    ]),
                );
            }
        }
    }

    /** What may have left the reference since is kept, and asked about. */
    private static function part(string $id, Catalogue $catalogue): Ingredient
    {
        return $catalogue->has($id) ? $catalogue->get($id) : Ingredient::unplaced($id);
    }

    /** What it is on the scale: a scent where all of it is, else what there is most of. */
    public function kind(): IngredientKind
    {
        $scents = array_filter(
            $this->parts,
            static fn (Part $p): bool => $p->ingredient->kind === IngredientKind::EssentialOil,
        );

        return count($scents) === count($this->parts) ? IngredientKind::EssentialOil : $this->largest()->kind;
    }

    /**
     * @param  list<string>  $synonyms
     * @param  list<string>  $allergens that are named beside those of its parts
     */
    public function ingredient(string $id, string $name, string $inci, array $synonyms, array $allergens): Ingredient
    {
        $all = array_map(static fn (Part $p): Ingredient => $p->ingredient, $this->parts);
        $mixture = new Mixture(array_map(
            static fn (Part $p): MixturePart => new MixturePart($p->ingredient, $p->share->best),
            $this->parts,
        ));
        $carried = Carried::of(...$all);
        $precautions = $carried->precautions();
        $weakest = $this->weakest();

        return new Ingredient(
            $id,
            $name,
            $inci !== '' ? $inci : implode(', ', array_keys($mixture->inciShares())),
            $this->kind(),
            $this->facts($mixture, $name),
            new Composition(
                $mixture->fattyAcids(),
                $mixture->solidFat(),
                $this->constituents(),
                $this->largest()->composition->solubility,
                drying: $carried->isDrying(),
                emulsifies: array_filter($all, static fn (Ingredient $i): bool => $i->composition->emulsifies) !== [],
            ),
            synonyms: $synonyms,
            vegan: $carried->isVegan(),
            precautions: $precautions->withAllergens(
                array_values(array_unique([...$precautions->allergens, ...$allergens])),
            ),
            onHair: $this->largest()->onHair,
            storage: $weakest->storage,
            provenance: $carried->provenance(Origin::Own),
            parts: $mixture->inciShares(),
            blend: $this->parts,
        );
    }

    private function facts(Mixture $mixture, string $name): FactSheet
    {
        $figures = [
            Property::Density20->value => $mixture->density(),
            Property::Density60->value => $mixture->mean(Property::Density60),
            Property::BulkDensity->value => $mixture->mean(Property::BulkDensity),
            Property::DropMillilitres->value => $mixture->mean(Property::DropMillilitres),
            Property::Weight->value => $mixture->mean(Property::Weight),
            Property::Price->value => $mixture->mean(Property::Price),
            // It is as clear as its hardest part, and keeps as long as its weakest.
            Property::Melting->value => $mixture->end(Property::Melting, false),
            Property::LifeMonths->value => $mixture->end(Property::LifeMonths, true),
            Property::OpenedMonths->value => $mixture->end(Property::OpenedMonths, true),
            Property::MinimumAge->value => $mixture->end(Property::MinimumAge, false),
            Property::MaximumAddition->value => $mixture->end(Property::MaximumAddition, true),
        ];

        return new FactSheet($name, array_map(
            static fn (Band $band): Fact => new Fact($band, Fact::ESTIMATE),
            array_filter($figures, static fn (?Band $band): bool => $band !== null),
        ));
    }

    /** @return array<string, Fact> per cent of each in the blend, at the most that it can be */
    private function constituents(): array
    {
        $found = [];
        foreach ($this->parts as $part) {
            foreach (array_keys($part->ingredient->composition->constituents) as $name) {
                $found[$name] ??= new Fact(Band::exact(Part::most(
                    $this->parts,
                    static fn (Ingredient $i): float => $i->composition->constituents[$name]->band->high ?? 0.0,
                )), Fact::ESTIMATE);
            }
        }

        return $found;
    }

    private function largest(): Ingredient
    {
        $largest = $this->parts[0];
        foreach ($this->parts as $part) {
            $largest = $part->share->best > $largest->share->best + 1e-9 ? $part : $largest;
        }

        return $largest->ingredient;
    }

    private function weakest(): Ingredient
    {
        $weakest = $this->parts[0]->ingredient;
        foreach ($this->parts as $part) {
            $months = $part->ingredient->facts->best(Property::LifeMonths, INF);
            $weakest = $months < $weakest->facts->best(Property::LifeMonths, INF) ? $part->ingredient : $weakest;
        }

        return $weakest;
    }
}
