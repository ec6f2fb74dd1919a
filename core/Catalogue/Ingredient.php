<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Catalogue\Internal\NatureOfName;
use Crown\Measure\Band;
use Crown\Measure\Fact;
use Crown\Measure\FactSheet;
use Crown\Measure\Property;
use Crown\Measure\Substance;

/** One ingredient of the craft, from the reference catalogue or made in the studio. */
final readonly class Ingredient
{
    /** Water in what calls itself a water, a juice or a tea and is not known, as a share of its mass. */
    private const WET = [0.9, 0.95, 1.0];

    /** Of a watery thing that is not known, g/ml. */
    private const WATERY_DENSITY = [0.98, 1.0, 1.06];

    /** How easily it is had. */
    private const SOUGHT = 1;

    /** Of an oil whose density is not known, g/ml at 20 °C. */
    public const OIL_DENSITY = 0.92;

    /**
     * @param  list<string>  $synonyms
     * @param  array<string, Form>  $forms keyed by name
     * @param  list<Evidence>  $evidence
     * @param  string|null  $storage how it is kept; null when nothing is said
     * @param  int  $common 3 in every kitchen, 2 in shops for makers, 1 to be sought
     * @param  array<string, float>  $parts of a mixture, the share of each by INCI name, 0 to 1; empty for one thing
     * @param  list<Part>  $blend what a ready blend is made of, each judged by itself; empty for all else
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $inci,
        public IngredientKind $kind,
        public FactSheet $facts,
        public Composition $composition,
        public array $forms = [],
        public array $synonyms = [],
        public bool $vegan = true,
        public Preservation $preservation = new Preservation(),
        public Precautions $precautions = new Precautions(),
        public OnHair $onHair = new OnHair(),
        public array $evidence = [],
        public ?string $storage = null,
        public Provenance $provenance = new Provenance(),
        public int $common = self::SOUGHT,
        public array $parts = [],
        public array $blend = [],
    ) {
    }

    /** Stands for a name that was written but not found, so that its line is kept and asked about. */
    public static function unplaced(string $name): self
    {
        $wet = NatureOfName::of($name) === Nature::Watery;

        return new self(
            '',
            $name,
            '',
            IngredientKind::Unknown,
            new FactSheet($name, $wet ? [
                Property::Density20->value => new Fact(Band::of(...self::WATERY_DENSITY), Fact::ESTIMATE),
            ] : []),
            new Composition(new FattyAcids([], ''), SolidFat::liquid(), water: $wet ? Band::of(...self::WET) : null),
            vegan: false,
        );
    }

    /**
     * What is known of its nature though nobody placed it: what its name says; null when that says nothing, so that it
     * may be anything, also water.
     */
    public function nature(): ?Nature
    {
        return $this->isPlaced() ? null : NatureOfName::of($this->name);
    }

    /** Whether water may be in it though nobody knows: what was not placed, and whose name does not say what it is. */
    public function mayBeWet(): bool
    {
        return ! $this->isPlaced() && $this->nature() === null;
    }

    /** @return list<Need> of those that are asked of anything, the ones of which nothing is known for it */
    public function saysNothingOf(): array
    {
        return array_values(array_filter(
            Need::OFTEN_ASKED,
            fn (Need $need): bool => $this->evidenceFor($need) === [],
        ));
    }

    /** @return list<Job> what it is put in for, beside what the hair needs; the first is what it is there for most */
    public function jobs(): array
    {
        return [
            ...$this->onHair->jobs,
            ...$this->composition->emulsifies ? [Job::Emulsifies] : [],
            ...$this->composition->solubilises ? [Job::Solubilises] : [],
        ];
    }

    /** The same, called as the maker wrote it. */
    public function called(string $name): self
    {
        return $this->but(name: $name);
    }

    /** The same ingredient with a studio's figures laid over its own, marked as such. */
    public function corrected(Correction ...$corrections): self
    {
        $facts = $this->facts;
        $forms = $this->forms;
        foreach ($corrections as $correction) {
            if ($correction->form === '') {
                $facts = $facts->with($correction->property, $correction->fact());
            } else {
                $known = $forms[$correction->form]->facts ?? new FactSheet($this->name, []);
                $forms[$correction->form] = new Form(
                    $correction->form,
                    $known->with($correction->property, $correction->fact()),
                );
            }
        }

        return $this->but(
            facts: $facts,
            forms: $forms,
            provenance: $this->provenance->corrected(array_values($corrections)),
        );
    }

    /** The same out of a bottle, whose day ends what is made of it; null where none is known. */
    public function outOf(?Bottle $bottle): self
    {
        return $this->but(provenance: $this->provenance->outOf($bottle));
    }

    /** @param  array<string, Form>|null  $forms */
    private function but(
        ?string $name = null,
        ?FactSheet $facts = null,
        ?array $forms = null,
        ?Provenance $provenance = null,
    ): self {
        return new self(
            $this->id,
            $name ?? $this->name,
            $this->inci,
            $this->kind,
            $facts ?? $this->facts,
            $this->composition,
            $forms ?? $this->forms,
            $this->synonyms,
            $this->vegan,
            $this->preservation,
            $this->precautions,
            $this->onHair,
            $this->evidence,
            $this->storage,
            $provenance ?? $this->provenance,
            $this->common,
            $this->parts,
            $this->blend,
        );
    }

    /** @return array<string, float> what of it stands under which INCI name, 0 to 1; none where it has no such name */
    public function inciShares(): array
    {
        return match (true) {
            $this->parts !== [] => $this->parts,
            $this->inci === '' => [],
            default => [$this->inci => 1.0],
        };
    }

    /**
     * What is known of this ingredient for one need.
     *
     * @return list<Evidence> one, or none
     */
    public function evidenceFor(Need $need): array
    {
        return array_values(array_filter($this->evidence, static fn (Evidence $e): bool => $e->need === $need));
    }

    /**
     * Whether a written allergy, dislike or exclusion means this ingredient or something in it: by allergen, or by
     * whole words of a name.
     */
    public function answersTo(string $word): bool
    {
        $names = [...$this->precautions->allergens, ...$this->names(), ...$this->provenance->inherited->names];
        foreach ($names as $name) {
            if (Name::mentions($name, $word)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> all that it is called */
    public function names(): array
    {
        return array_values(array_filter([$this->name, $this->inci, $this->id, ...$this->synonyms]));
    }

    /** Whether it is a ready blend, of which every rule looks at the parts. */
    public function isBlend(): bool
    {
        return $this->blend !== [];
    }

    /** What of it is essential oil at most, 0 to 1. */
    public function essentialShare(): float
    {
        return $this->isBlend()
            ? Part::most($this->blend, static fn (self $i): float => $i->essentialShare())
            : ($this->kind === IngredientKind::EssentialOil ? 1.0 : 0.0);
    }

    public function isPlaced(): bool
    {
        return $this->kind !== IngredientKind::Unknown;
    }

    /** g/ml at 20 °C; what has none counts as oil. */
    public function density20(): float
    {
        return $this->facts->best(Property::Density20, self::OIL_DENSITY);
    }

    /** Whether its life in months is known and ends by its going rancid. */
    public function oxidises(): bool
    {
        return $this->kind->oxidises() && $this->facts->has(Property::LifeMonths);
    }

    public function isPhototoxic(): bool
    {
        return $this->facts->has(Property::PhototoxicMax);
    }

    /** The facts of one form laid over those of the ingredient; an unknown form leaves them as they are. */
    public function factsIn(string $form): FactSheet
    {
        return isset($this->forms[$form]) ? $this->facts->overlaidWith($this->forms[$form]->facts) : $this->facts;
    }

    /** What the converter has to know, in the given form ("melted" takes the air out of a chunky butter). */
    public function substance(string $form): Substance
    {
        return new Substance(
            $this->name,
            $this->kind === IngredientKind::Butter && $form !== 'melted',
            $this->kind->isLiquid() && ! in_array($form, ['dried', 'powder', 'seed'], true),
            $this->factsIn($form),
        );
    }

    /** The form meant when none is written: fresh for a fresh plant, dried for a herb, powder for a powder. */
    public function usualForm(): string
    {
        $wanted = match ($this->kind) {
            IngredientKind::FreshPlant => 'fresh',
            IngredientKind::DriedHerb => 'dried',
            IngredientKind::Powder => 'powder',
            default => '',
        };

        return isset($this->forms[$wanted]) ? $wanted : array_key_first($this->forms) ?? '';
    }

    /**
     * Fraction of its mass that is free water in the given form. Only what is wet counts: the bound moisture of a dried
     * herb or of a butter does not feed microbes while it stays in oil.
     */
    public function freeWater(string $form): Band
    {
        if ($this->isBlend()) {
            return Band::exact(Part::most($this->blend, static fn (self $i): float => $i->freeWater('')->high));
        }
        if ($this->kind->isPlant()) {
            return Band::exact(
                ($form === '' ? $this->usualForm() : $form) === 'fresh'
                    ? $this->factsIn('fresh')->best(Property::Moisture, 0.85)
                    : 0.0,
            );
        }

        return match ($this->kind) {
            IngredientKind::Water, IngredientKind::Gel => Band::exact($this->facts->best(Property::Moisture, 1.0)),
            IngredientKind::WaterActive,
            IngredientKind::Humectant,
            IngredientKind::Preservative => Band::exact($this->facts->best(Property::Moisture, 0.0)),
            IngredientKind::ReadySteep,
            IngredientKind::Unknown => $this->composition->water ?? Band::exact(0.0),
            default => Band::exact(0.0),
        };
    }
}
