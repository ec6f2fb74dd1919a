<?php

declare(strict_types=1);

namespace Tests\Core\Figures;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Condition;
use Crown\Catalogue\Correction;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Need;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Head\AgeBand;
use Crown\Head\Guide;
use Crown\Head\Porosity;
use Crown\Head\Profile;
use Crown\Head\Scalp;
use Crown\Head\Strand;
use Crown\Measure\Band;
use Crown\Measure\CupSize;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Measure\WrittenAmount;
use Crown\Rhythm\Routine;
use Crown\Steep\Charge;
use Crown\Steep\Draw as Drawn;
use Crown\Steep\Herb;
use Crown\Steep\Journal;
use Crown\Steep\Pour;
use Crown\Steep\Preparation;
use Crown\Steep\Stay;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\Vessel;
use Crown\Steep\Way;
use Crown\Steep\Weighing;
use DateTimeImmutable;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Draws one case by its number: the same for ever. */
final class Draw
{
    private const AMOUNTS = [
        '5 g',
        '12.5 g',
        '40 g',
        '80 g',
        '1 tbsp',
        '2 tsp',
        '1/4 cup',
        '15 ml',
        '1 oz',
        '12 drops',
        '3 %',
        '30 %',
        '2 parts',
        '1.5 %',
        '0.4 g',
        '',
        'about 20 g',
        '2-3 tbsp',
        '1 heaped tsp',
    ];

    private readonly Randomizer $random;

    public readonly Catalogue $catalogue;

    public function __construct(string $kind, int $number, Catalogue $catalogue)
    {
        $this->random = new Randomizer(new Mt19937(crc32($kind) + $number));
        // Of every other one the prices are known.
        $this->catalogue = $number % 2 === 0 ? self::priced($catalogue) : $catalogue;
    }

    private static function priced(Catalogue $catalogue): Catalogue
    {
        return $catalogue->corrected(
            ...array_map(
                static fn (Ingredient $i): Correction => new Correction(
                    $i->id,
                    '',
                    Property::Price,
                    Band::exact(5 + (crc32($i->id) % 90)),
                    'drawn',
                ),
                array_values($catalogue->all()),
            ),
        );
    }

    /**
     * @template T
     *
     * @param  non-empty-array<T>  $of
     * @return T
     */
    public function one(array $of): mixed
    {
        return array_values($of)[$this->random->getInt(0, count($of) - 1)];
    }

    public function audience(): Audience
    {
        return $this->one(Audience::cases());
    }

    public function kitchen(): Kitchen
    {
        return new Kitchen(
            cup: $this->one(CupSize::cases()),
            scaleGrams: $this->one([1.0, 0.1, 0.01]),
            bowlMillilitres: $this->one([null, 150.0, 1000.0]),
        );
    }

    public function formula(): Formula
    {
        $lines = [];
        $groups = [
            [IngredientKind::CarrierOil, IngredientKind::LiquidWaxEster],
            [IngredientKind::Butter, IngredientKind::Wax, IngredientKind::CarrierOil],
            [IngredientKind::EssentialOil],
            [IngredientKind::Water, IngredientKind::Gel, IngredientKind::Humectant, IngredientKind::WaterActive],
            [IngredientKind::Preservative, IngredientKind::Antioxidant, IngredientKind::Emulsifier],
            [IngredientKind::Powder, IngredientKind::Starch, IngredientKind::FreshPlant, IngredientKind::DriedHerb],
            [IngredientKind::Conditioning, IngredientKind::OilActive],
        ];
        foreach ([...array_slice($groups, 0, 2), ...$this->some($groups)] as $kinds) {
            $lines[] = $this->line('l'.(count($lines) + 1), $this->of(...$kinds), $this->one(self::AMOUNTS));
        }
        $lines[] = $this->one([
            $this->line('x', $this->of(IngredientKind::CarrierOil), 'to fill 200 g'),
            $this->line('x', $this->of(IngredientKind::CarrierOil), '50 g'),
            new Line('x', null, 'moon dust', new WrittenAmount('5 g'), '', Phase::Warm),
        ]);

        return $this->written($lines);
    }

    /** Fats alone, all weighed: what the solver works on. */
    public function blend(): Formula
    {
        $lines = [];
        foreach ([IngredientKind::Butter, IngredientKind::CarrierOil, IngredientKind::CarrierOil] as $n => $kind) {
            $lines[] = $this->line('l'.$n, $this->of($kind), $this->random->getInt(10, 60).' g');
        }

        return new Formula(
            'Drawn',
            $this->one([ProductKind::Balm, ProductKind::WhippedButter, ProductKind::HairOil]),
            Audience::AdultLeaveOn,
            $lines,
            [],
            Size::asWritten(),
        );
    }

    public function steep(): SteepPlan
    {
        $start = new DateTimeImmutable('2027-03-10');
        $method = $this->one(SteepMethod::cases());
        $herbs = $pours = [];
        for ($n = $this->random->getInt(1, 2); $n > 0; $n--) {
            $plant = $this->of(IngredientKind::DriedHerb, IngredientKind::FreshPlant, IngredientKind::Powder);
            $form = $this->one(array_keys($plant->forms));
            $herbs[] = new Herb(
                $plant,
                $form,
                $this->random->getInt(5, 60),
                $start->modify(sprintf('+%d days', $this->one([0, 0, 9]))),
                $form === 'powder'
                    ? $this->one([Preparation::None, Preparation::Bagged])
                    : $this->one([
                        Preparation::None,
                        Preparation::Chopped,
                        Preparation::Crushed,
                        Preparation::Blended,
                        Preparation::Toasted,
                    ]),
                $this->one([1, 1, 1, 2, 3]),
            );
            $pours[] = new Pour($this->of(IngredientKind::CarrierOil), $this->random->getInt(80, 300), $start);
        }

        return new SteepPlan(
            new Charge($herbs, $pours, $this->one([0.0, 0.0, 12.0])),
            new Journal(
                [
                    new Stay($method, $start),
                    ...$this->one([[], [], [new Stay(SteepMethod::SunnySill, $start->modify('+6 days'))]]),
                ],
                $this->one([[], [new Drawn(20.0, $start->modify('+5 days'))]]),
                $this->one([[], [], [new Weighing(500.0, 495.0)]]),
            ),
            new Way(
                $this->one([true, false]),
                $this->one([true, false]),
                $this->one([null, 80.0]),
                $this->one([null, 90.0]),
                $this->one([null, 20, 60]),
            ),
            $this->one([
                new Vessel(),
                new Vessel(500.0, 8.0, 7.0),
                new Vessel(250.0, 6.0, 4.0),
                new Vessel(1000.0, 10.0),
            ]),
            $this->one([null, null, Band::of(0.9, 1.1, 1.4)]),
        );
    }

    /** @return list<string> ids that a maker might have chosen */
    public function chosen(): array
    {
        return array_map(
            fn (IngredientKind $kind): string => $this->of($kind)->id,
            $this->some([
                IngredientKind::CarrierOil,
                IngredientKind::Butter,
                IngredientKind::EssentialOil,
                IngredientKind::DriedHerb,
                IngredientKind::OilActive,
            ]),
        );
    }

    public function head(): Profile
    {
        return new Profile(
            'Drawn',
            $this->one(Strand::cases()),
            $this->one(Porosity::cases()),
            $this->one(Scalp::cases()),
            $this->one(AgeBand::cases()),
            $this->one([true, false, false]),
            $this->one([[], ['nuts'], ['sesame']]),
            [],
            $this->some(Need::cases()),
            $this->some(Condition::cases()),
        );
    }

    /** @return array<string, string> answer by question of the guide; some are skipped */
    public function answers(): array
    {
        $given = [];
        foreach (Guide::questions() as $question) {
            $given[$question->id] = $this->one([...array_column($question->answers, 'id'), '']);
        }

        return $given;
    }

    public function routine(DateTimeImmutable $start): Routine
    {
        return new Routine(
            $start,
            $this->one(range(1, 7)),
            $this->one([1, 2, 4, 7]),
            $this->one([2.0, 3.5, 12.0]),
            $this->one([7.0, 48.0, 250.0]),
        );
    }

    /** @param  list<Line>  $lines */
    private function written(array $lines): Formula
    {
        return new Formula(
            'Drawn',
            $this->one(ProductKind::cases()),
            $this->audience(),
            $lines,
            [],
            $this->one([Size::asWritten(), Size::mass(250.0), Size::jars(4, 50.0, 0.05, 0.04)]),
            $this->one([true, false]),
            $this->one([true, false]),
            $this->one([5.0, 20.0, 28.0]),
            '',
            [],
            $this->one([true, false, false]),
        );
    }

    private function line(string $id, Ingredient $ingredient, string $amount): Line
    {
        $forms = array_keys($ingredient->forms);

        return new Line(
            $id,
            $ingredient->id,
            $ingredient->name,
            new WrittenAmount($amount),
            $forms === [] ? '' : $this->one(['', ...$forms]),
            $this->one([Phase::usualFor($ingredient), Phase::usualFor($ingredient), Phase::Melt]),
        );
    }

    private function of(IngredientKind ...$kinds): Ingredient
    {
        $kind = $this->one($kinds);
        $all = array_filter($this->catalogue->all(), static fn (Ingredient $i): bool => $i->kind === $kind);
        ksort($all);

        return $all === [] ? $this->catalogue->get('olive-oil') : $this->one($all);
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return list<T> up to four of them
     */
    private function some(array $of): array
    {
        $found = [];
        for ($n = $this->random->getInt(0, 4); $n > 0; $n--) {
            $found[] = $this->one($of);
        }

        return array_values(array_unique($found, SORT_REGULAR));
    }
}
