<?php

declare(strict_types=1);

namespace Crown\Catalogue\Internal;

use Closure;
use Crown\Catalogue\Advice;
use Crown\Catalogue\Carried;
use Crown\Catalogue\CatalogueError;
use Crown\Catalogue\Caution;
use Crown\Catalogue\CautionKind;
use Crown\Catalogue\Composition;
use Crown\Catalogue\FattyAcids;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Name;
use Crown\Catalogue\Nature;
use Crown\Catalogue\OnHair;
use Crown\Catalogue\Origin;
use Crown\Catalogue\Precautions;
use Crown\Catalogue\Preservation;
use Crown\Catalogue\SolidFat;
use Crown\Catalogue\Solubility;
use Crown\Measure\Band;
use Crown\Measure\Fact;
use Crown\Measure\FactSheet;
use Crown\Measure\Property;

/**
 * Things that need no entry of their own: a plant's tea, juice or gel, an oil that was steeped with it elsewhere, and a
 * thing of which only the nature is known. Each is found by an id that is built of those of its parents. Method page:
 * docs/methods/unknown.md.
 */
final readonly class Derived
{
    private const MARK = '.';

    /** What is made of a plant with water: the word of its id, its name, how its INCI name ends, g/ml, water, kind. */
    private const WATERY = [
        'tea' => ['%s tea', 'Water', [0.99, 1.0, 1.02], [0.96, 0.985, 0.995], IngredientKind::Water],
        'juice' => ['%s juice', 'Juice', [0.99, 1.02, 1.06], [0.85, 0.91, 0.96], IngredientKind::Water],
        'gel' => ['%s gel', 'Extract', [0.99, 1.01, 1.04], [0.93, 0.97, 0.99], IngredientKind::Gel],
        'mash' => ['%s, cooked or mashed', 'Extract', [0.95, 1.03, 1.1], [0.75, 0.86, 0.94], IngredientKind::Gel],
    ];

    /** Which of them the words of a name mean; tea where none of these stands. */
    private const MEANT = [
        'juice' => '/juice|jus\b|saft|jugo|zumo|sumo|suco|succo|sap$/u',
        'gel' => '/gel|jelly|slime|mucilage|schleim/u',
        'mash' => '/puree|purée|puré|purea|pulp|pulpa|polpa|mash|mus$|moes|brei|paste/u',
    ];

    private const PART_OF_PLANT = '/,.*$|\s+(?:leaf|flower|seed|root|herb|bark|petals?|pod|pad)$/iu';

    /** Months that what was brewed or pressed keeps in the fridge: a week. */
    private const BREWED = [0.1, 0.23, 0.23];

    /** Months of an oil or a fat of which nothing is known: as the most perishable. Source: estimate of ours. */
    private const UNKNOWN_LIFE = [2.0, 3.0, 6.0];

    /** Plant to oil by mass, at the strongest that anybody steeps. */
    private const STRONGEST = ['fresh' => 0.5, '' => 0.2];

    /** Nothing unknown is for children under this, years. */
    private const AGE_OF_SCENT = 18.0;

    /** @param  Closure(string): Ingredient  $get of the catalogue, by id */
    public function __construct(private Closure $get)
    {
    }

    public static function mayHold(string $id): bool
    {
        return str_contains($id, self::MARK);
    }

    public static function teaOf(string $plant, string $words): string
    {
        foreach (self::MEANT as $kind => $pattern) {
            if (preg_match($pattern, $words) === 1) {
                return $kind.self::MARK.$plant;
            }
        }

        return 'tea'.self::MARK.$plant;
    }

    public static function infusedId(string $plant, string $oil): string
    {
        return 'infused'.self::MARK.$plant.self::MARK.$oil;
    }

    /** @throws CatalogueError when nothing is derived so */
    public function get(string $id): Ingredient
    {
        $nature = Nature::ofId($id);
        if ($nature !== null) {
            return self::ofNature($nature);
        }
        [$kind, $of, $in] = [...explode(self::MARK, $id, 3), '', ''];
        if (isset(self::WATERY[$kind]) && $of !== '' && $in === '') {
            return $this->watery($kind, ($this->get)($of), $id);
        }
        if ($kind === 'infused' && $of !== '' && $in !== '') {
            return $this->infused(($this->get)($of), ($this->get)($in), $id);
        }

        throw CatalogueError::unknown($id);
    }

    private function watery(string $kind, Ingredient $plant, string $id): Ingredient
    {
        if (! $plant->kind->isPlant()) {
            throw CatalogueError::unknown($id);
        }
        [$called, $inci, $density, $water, $as] = self::WATERY[$kind];
        $carried = Carried::of($plant);
        $name = sprintf($called, preg_replace(self::PART_OF_PLANT, '', $plant->name));
        $facts = $carried->over(new FactSheet($name, [
            Property::Density20->value => self::estimate($density),
            Property::Weight->value => self::estimate([1.0, 1.0, 1.0]),
            Property::LifeMonths->value => self::estimate(self::BREWED),
            Property::OpenedMonths->value => self::estimate(self::BREWED),
            Property::Moisture->value => self::estimate($water),
        ]));

        return new Ingredient(
            $id,
            $name,
            self::inci($plant->inci, $inci),
            $as,
            $facts,
            new Composition(new FattyAcids([], ''), SolidFat::liquid(), solubility: Solubility::Water),
            vegan: $carried->isVegan(),
            precautions: $carried->precautions(),
            storage: 'Cold, closed, a few days.',
            provenance: $carried->provenance(Origin::Reference),
        );
    }

    /** "Rosa Damascena Flower" and "Water". */
    private static function inci(string $plant, string $ends): string
    {
        return trim(preg_replace('/\s+(?:Powder|Extract|Juice|Water)$/u', '', $plant) ?? $plant).' '.$ends;
    }

    /** The oil with all that its plant warns of, drawn at the strongest that anybody makes it, or hardly at all. */
    private function infused(Ingredient $plant, Ingredient $oil, string $id): Ingredient
    {
        if (! $plant->kind->isPlant() || ! $oil->kind->isFat()) {
            throw CatalogueError::unknown($id);
        }
        $carried = Carried::of($oil, $plant);
        $strongest = self::STRONGEST[$plant->usualForm()] ?? self::STRONGEST[''];
        $constituents = $oil->composition->constituents;
        foreach ($plant->composition->constituents as $name => $fact) {
            $constituents[$name] = new Fact(Band::of(0.0, 0.0, $fact->band->high * $strongest), Fact::ESTIMATE);
        }
        $name = sprintf(
            '%s in %s, steeped elsewhere',
            preg_replace('/,.*$/u', '', $plant->name),
            Name::inSentence($oil->name),
        );

        return new Ingredient(
            $id,
            $name,
            implode(', ', array_filter([$oil->inci, $plant->inci])),
            IngredientKind::ReadySteep,
            $carried->over(new FactSheet($name, $oil->facts->all())),
            new Composition(
                $oil->composition->fattyAcids,
                $oil->composition->solidFat,
                $constituents,
                drying: $carried->isDrying(),
            ),
            vegan: $carried->isVegan(),
            precautions: $carried->precautions(),
            onHair: new OnHair($oil->onHair->action, $oil->onHair->source, $oil->onHair->feel),
            storage: $oil->storage,
            provenance: $carried->provenance(Origin::Reference),
        );
    }

    private static function ofNature(Nature $nature): Ingredient
    {
        $name = ucfirst($nature->words()).' that is not in the catalogue';
        $fat = $nature === Nature::Fat;
        $scent = $nature === Nature::Scent;
        $facts = match ($nature) {
            Nature::Oil, Nature::Fat => [
                Property::Density20->value => self::estimate([0.88, Ingredient::OIL_DENSITY, 0.96]),
                Property::LifeMonths->value => self::estimate(self::UNKNOWN_LIFE),
            ],
            Nature::Watery => [
                Property::Density20->value => self::estimate([0.98, 1.0, 1.06]),
                Property::Moisture->value => self::estimate([0.9, 0.95, 1.0]),
                Property::LifeMonths->value => self::estimate(self::BREWED),
            ],
            Nature::Scent => [
                Property::Density20->value => self::estimate([0.84, 0.9, 1.05]),
                Property::LifeMonths->value => self::estimate(self::UNKNOWN_LIFE),
                Property::MinimumAge->value => self::estimate(array_fill(0, 3, self::AGE_OF_SCENT)),
                Property::MaximumAddition->value => self::estimate([35.0, 40.0, 45.0]),
            ],
            Nature::Dry => [],
        };

        return new Ingredient(
            $nature->id(),
            $name,
            '',
            $nature->kind(),
            new FactSheet($name, $facts),
            new Composition(
                new FattyAcids([], ''),
                $fat ? new SolidFat([], 1.0, '') : SolidFat::liquid(),
                solubility: match ($nature) {
                    Nature::Watery => Solubility::Water,
                    Nature::Dry => Solubility::Insoluble,
                    default => Solubility::Oil,
                },
            ),
            vegan: false,
            preservation: new Preservation(),
            precautions: $scent ? self::scent() : new Precautions(),
        );
    }

    private static function scent(): Precautions
    {
        return new Precautions(
            Advice::Avoid,
            'Which scent it is, nobody said.',
            ageReason: 'Which scent it is, nobody said.',
            cautions: [new Caution(
                CautionKind::Burns,
                'A scent that is not in the catalogue: its own greatest share on skin is not known.',
            )],
        );
    }

    /** @param  array{float, float, float}  $band */
    private static function estimate(array $band): Fact
    {
        return new Fact(Band::of(...$band), Fact::ESTIMATE);
    }
}
