<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Assessment\Blend;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\CatalogueError;
use Crown\Catalogue\Evidence;
use Crown\Catalogue\HairAction;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\MixturePart;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Head\Internal\Drafted;
use Crown\Measure\Amount;
use Crown\Measure\Property;
use Crown\Measure\School;
use Crown\Measure\Ways;
use Crown\Measure\WrittenAmount;
use Crown\Words\Message;

/**
 * A sensible first version of a product for one head, from chosen ingredients: a skeleton of its kind, filled with what
 * was chosen and with plain staples, its weight brought into the head's target. Method page: docs/methods/fit.md.
 */
final readonly class FirstFormula
{
    /** Grams of the first batch. */
    private const BATCH = 100.0;

    /** Plain things that are easily had, lightest first, from which gaps are filled. */
    private const OILS = [
        'squalane',
        'grapeseed-oil',
        'jojoba-oil',
        'sunflower-oil-high-oleic',
        'sweet-almond-oil',
        'apricot-kernel-oil',
        'argan-oil',
        'olive-oil',
        'avocado-oil',
        'castor-oil',
    ];

    private const BUTTERS = ['mango-butter', 'shea-butter', 'kokum-butter', 'cocoa-butter'];

    private const WAXES = ['candelilla-wax', 'rice-bran-wax', 'berry-wax'];

    /** What gives it body, in order, and what is taken where nothing of it was chosen. */
    private const BODY = [
        'conditioner' => [IngredientKind::Conditioning, ['btms-25']],
        'wax' => [IngredientKind::Wax, self::WAXES],
        'butter' => [IngredientKind::Butter, self::BUTTERS],
    ];

    /** Shares of the fat part that several chosen oils get, by their rank, before the weight is brought into target. */
    private const RANKS = [[1.0], [0.6, 0.4], [0.5, 0.3, 0.2], [0.4, 0.3, 0.2, 0.1]];

    public function __construct(
        private Catalogue $catalogue,
        private Profile $head,
        private Season $season = Season::Any,
        private ?Ways $ways = null,
    ) {
    }

    /**
     * @param  list<string>  $chosen ingredient ids, in the order of preference
     * @return FirstVersion the formula with its reasons, line by line, in its notes as well
     */
    public function make(ProductKind $kind, array $chosen): FirstVersion
    {
        $audience = $this->head->audience($kind->isRinsed() ? Audience::AdultRinseOff : Audience::AdultLeaveOn);
        [$usable, $remarks] = $this->usable($chosen);
        $wanted = static fn (IngredientKind ...$kinds): array => array_values(
            array_filter($usable, static fn (Ingredient $i): bool => in_array($i->kind, $kinds, true)),
        );
        $draft = $this->body($kind, $wanted);
        array_push($draft, ...$this->smallParts($kind, $audience, $wanted));
        $left = 100.0 - array_sum(array_map(static fn (Drafted $d): float => $d->percent, $draft));
        $oils = array_slice(
            $wanted(IngredientKind::CarrierOil, IngredientKind::LiquidWaxEster, IngredientKind::ReadySteep),
            0,
            4,
        );
        foreach ($this->oils($oils, $left, $draft, $kind) as $row) {
            $draft[] = $row;
        }
        foreach ($usable as $plant) {
            if ($plant->kind->isPlant()) {
                $remarks[] = Message::said('head.first-formula.plant-steep-one-oils', ['plant' => $plant->name]);
            }
        }

        return $this->written($kind, $audience, $draft, $remarks);
    }

    /**
     * What gives it its body, as its kind asks for it: conditioning agent, wax, butter.
     *
     * @param  callable(IngredientKind ...): list<Ingredient>  $wanted
     * @return list<Drafted>
     */
    private function body(ProductKind $kind, callable $wanted): array
    {
        $parts = $this->skeleton($kind);
        $rows = [];
        foreach (self::BODY as $part => [$of, $fillers]) {
            $percent = $parts[$part] ?? 0.0;
            if ($percent <= 0.0) {
                continue;
            }
            $given = array_slice($wanted($of), 0, 3);
            $taken = $given === [] ? $this->staples($fillers, 1) : $given;
            foreach ($this->shared($taken, $percent) as $one) {
                $why = $given === [] ? self::filler($part) : $this->reason($one->ingredient);
                $rows[] = new Drafted($one->ingredient, $one->amount, $why);
            }
        }

        return $rows;
    }

    /**
     * @param  list<string>  $chosen
     * @return array{list<Ingredient>, list<string>}
     */
    private function usable(array $chosen): array
    {
        $suitability = new Suitability($this->head, $this->season);
        $usable = $remarks = [];
        foreach (array_unique($chosen) as $id) {
            $ingredient = $this->catalogue->has($id) ? $this->catalogue->get($id) : throw CatalogueError::unknown($id);
            $against = $suitability->against($ingredient);
            if ($against === []) {
                $usable[] = $ingredient;
            } else {
                $remarks[] = Message::said('head.first-formula.was-left-out', [
                    'ingredient' => $ingredient->name,
                    'against' => $against[0],
                ]);
            }
        }

        return [$usable, $remarks];
    }

    /** @return array<string, float> per cent of the whole for each part; oils take what is left */
    private function skeleton(ProductKind $kind): array
    {
        return match ($kind) {
            ProductKind::Balm => ['wax' => 14.0, 'butter' => 22.0],
            ProductKind::WhippedButter => ['butter' => 62.0],
            ProductKind::StirredButter => ['butter' => 50.0],
            ProductKind::ConditionerBar => ['conditioner' => 50.0, 'butter' => 28.0],
            ProductKind::RinseOutBalm => ['conditioner' => 18.0, 'butter' => 34.0],
            ProductKind::Emulsion,
            ProductKind::ScalpOil,
            ProductKind::HairOil,
            ProductKind::SealingOil,
            ProductKind::HotOil => [],
        };
    }

    /**
     * The lines that are not fat: antioxidant, starch, scent, preservative, water.
     *
     * @param  callable(IngredientKind...): list<Ingredient>  $wanted
     * @return list<Drafted>
     */
    private function smallParts(ProductKind $kind, Audience $audience, callable $wanted): array
    {
        $rows = [];
        $add = function (string $id, float $percent, string $why) use (&$rows): void {
            $rows[] = new Drafted($this->catalogue->get($id), $percent, $why);
        };
        if ($kind === ProductKind::ConditionerBar) {
            $add('cetyl-alcohol', 15.0, Message::said('head.first-formula.hardens-bar-helps-its'));
            $add('caprylyl-glycol-phenoxyethanol', 1.0, Message::said('head.first-formula.meets-water-use-oil'));
        }
        if ($kind === ProductKind::RinseOutBalm) {
            $add('cetyl-alcohol', 8.0, Message::said('head.first-formula.gives-body'));
            $add('caprylyl-glycol-phenoxyethanol', 1.0, Message::said('head.first-formula.meets-water-use-oil'));
        }
        if ($kind === ProductKind::Emulsion) {
            $add('water', 74.0, Message::said('head.first-formula.water-emulsion-boiled-distilled'));
            $add('emulsifying-wax', 6.0, Message::said('head.first-formula.holds-oil-water-together'));
            $add('glycerine', 3.0, Message::said('head.first-formula.holds-water-on-hair'));
            $add(
                'phenoxyethanol-ehg',
                1.0,
                Message::said('head.first-formula.water-feeds-microbes-broad'),
            );
        }
        $watered = [ProductKind::ConditionerBar, ProductKind::RinseOutBalm, ProductKind::Emulsion];
        if ($this->ways?->is(School::Preserving, 'always') === true && ! in_array($kind, $watered, true)) {
            $add('caprylyl-glycol-phenoxyethanol', 1.0, Message::said('head.first-formula.your-way-always-preserved'));
        }
        if ($kind === ProductKind::WhippedButter) {
            $add('arrowroot', 4.0, Message::said('head.first-formula.takes-grease-out-feel'));
        }
        $add('vitamin-e', 0.5, Message::said('head.first-formula.antioxidant-keeps-oils-longer'));
        $scents = $wanted(IngredientKind::EssentialOil);
        $ceiling = $audience->essentialOilCeiling() / 2;
        foreach ($scents as $scent) {
            $half = $scent->facts->best(Property::DermalMax, 100.0) / 2;
            $percent = floor(min($ceiling / count($scents), $half) * 100) / 100;
            if ($percent > 0.0) {
                $rows[] = new Drafted($scent, $percent, Message::said('head.first-formula.begin-low', [
                    'reason' => $this->reason($scent),
                ]));
            }
        }
        foreach ($wanted(IngredientKind::OilActive) as $active) {
            $rows[] = new Drafted($active, min(5.0, $active->facts->best(Property::Use, 2.0)), $this->reason($active));
        }

        return $rows;
    }

    /**
     * The oils, so shared that the weight index of all that stays on the hair comes into the head's target.
     *
     * @param  list<Ingredient>  $oils chosen
     * @param  float  $percent what is left for oils
     * @param  list<Drafted>  $others already in the draft
     * @return list<Drafted>
     */
    private function oils(array $oils, float $percent, array $others, ProductKind $kind): array
    {
        $given = $oils !== [];
        if (! $given) {
            $oils = $this->staples(
                $kind === ProductKind::SealingOil
                    ? ['jojoba-oil', ...self::OILS]
                    : ['sunflower-oil-high-oleic', ...self::OILS],
                1,
            );
        }
        $rows = array_map(
            fn (MixturePart $one): Drafted => new Drafted(
                $one->ingredient,
                $one->amount,
                $given ? $this->reason($one->ingredient) : Message::said('head.first-formula.plain-base-many-heads'),
            ),
            $this->shared($oils, $percent),
        );
        if ($kind->isRinsed()) {
            return $rows;
        }
        $target = $this->head->weightTarget($kind->goesOnScalp());
        $index = self::blend([...$others, ...$rows])->heaviness();
        if ($index === null || $target->contains($index)) {
            return $rows;
        }
        $light = $index > $target->high;
        $aim = $light ? $target->high - 0.1 : $target->low + 0.1;
        $fillers = $this->staples($light ? self::OILS : array_reverse(self::OILS), 1);
        if ($fillers === []) {
            return $rows;
        }
        // The filler takes a part of the oils' place: how much, so that the index meets the aim; at most nine tenths.
        $with = self::blend([...$others, new Drafted($fillers[0], $percent, '')])->heaviness() ?? $index;
        $part = $with === $index ? 0.0 : max(0.0, min(0.9, ($aim - $index) / ($with - $index)));
        $rows = array_map(static fn (Drafted $row): Drafted => $row->times(1 - $part), $rows);
        $rows[] = new Drafted(
            $fillers[0],
            $percent * $part,
            Message::said('head.first-formula.weight-suits-this-hair', [
                'light' => $light ? 'yes' : 'no',
                'target_low' => sprintf('%.1f', $target->low),
                'target_high' => sprintf('%.1f', $target->high),
            ]),
        );

        return $rows;
    }

    /**
     * @param  list<Drafted>  $draft
     * @param  list<string>  $remarks
     */
    private function written(ProductKind $kind, Audience $audience, array $draft, array $remarks): FirstVersion
    {
        $merged = [];
        foreach ($draft as $row) {
            $known = $merged[$row->ingredient->id] ?? null;
            $merged[$row->ingredient->id] = $known?->plus($row->percent) ?? $row;
        }
        // The largest oil is the one "to fill": it takes up what rounding leaves.
        $filling = '';
        foreach ($merged as $id => $row) {
            if ($row->ingredient->kind->isLiquid() && $row->percent > ($merged[$filling]->percent ?? 0.0)) {
                $filling = $id;
            }
        }
        $lines = $reasons = [];
        foreach ($merged as $id => $row) {
            $rounded = round($row->percent, $row->percent < 5.0 ? 2 : 0);
            if ($id !== $filling && $rounded <= 0.0) {
                continue;
            }
            $line = new Line(
                'l'.(count($lines) + 1),
                $row->ingredient->id,
                $row->ingredient->name,
                new WrittenAmount($id === $filling ? 'to fill' : Amount::percent($rounded)->written),
                '',
                Phase::usualFor($row->ingredient),
            );
            $lines[] = $line;
            $reasons[$line->id] = $row->why;
        }
        $notes = array_map(static fn (Line $l): string => sprintf('%s: %s', $l->name, $reasons[$l->id]), $lines);

        return new FirstVersion(
            new Formula(
                sprintf('%s for %s', $kind->label(), $this->head->name),
                $kind,
                $audience,
                $lines,
                [],
                Size::mass(self::BATCH),
                $kind === ProductKind::ConditionerBar || $kind === ProductKind::RinseOutBalm,
                false,
                20.0,
                implode("\n", [Message::said('head.first-formula.why-these-lines'), ...$notes, ...$remarks]),
            ),
            $reasons,
            $remarks,
        );
    }

    /**
     * @param  list<Ingredient>  $ingredients
     * @return list<MixturePart>
     */
    private function shared(array $ingredients, float $percent): array
    {
        $shares = self::RANKS[max(0, min(3, count($ingredients) - 1))];

        return array_map(
            static fn (Ingredient $i, int $n): MixturePart => new MixturePart($i, $percent * ($shares[$n] ?? 0.0)),
            $ingredients,
            array_keys($ingredients),
        );
    }

    /**
     * @param  list<string>  $ids
     * @return list<Ingredient> the first of them that nothing speaks against
     */
    private function staples(array $ids, int $most): array
    {
        $suitability = new Suitability($this->head, $this->season);
        $fit = array_filter(
            array_map($this->catalogue->get(...), array_values(array_unique($ids))),
            static fn (Ingredient $i): bool => $suitability->against($i) === [],
        );

        return array_slice(array_values($fit), 0, $most);
    }

    private function reason(Ingredient $ingredient): string
    {
        $serving = [];
        foreach ($this->head->needs() as $need) {
            foreach ($ingredient->evidenceFor($need) as $evidence) {
                if ($evidence->worth() > 0) {
                    $serving[] = sprintf('%s (%s)', $need->label(), self::grade($evidence));
                }
            }
        }
        $action = match ($ingredient->onHair->action) {
            HairAction::Penetrating => Message::said('head.first-formula.goes-into-fibre'),
            HairAction::PartlyPenetrating => Message::said('head.first-formula.goes-partly-into-fibre'),
            HairAction::Sealing => Message::said('head.first-formula.seals'),
            HairAction::Conditioning => Message::said('head.first-formula.eases-combing'),
            HairAction::None => Message::said('head.first-formula.scents'),
        };

        return $serving === []
            ? Message::said('head.first-formula.chosen', ['action' => $action])
            : Message::said('head.first-formula.chosen-for', [
                'needs' => implode(', ', $serving),
                'action' => $action,
            ]);
    }

    private static function grade(Evidence $evidence): string
    {
        return match ($evidence->worth()) {
            4 => Message::said('head.first-formula.well-established'),
            3 => Message::said('head.first-formula.trials-on-people'),
            2 => Message::said('head.first-formula.laboratory-animals'),
            default => Message::said('head.first-formula.by-tradition'),
        };
    }

    private static function filler(string $part): string
    {
        return match ($part) {
            'butter' => Message::said('head.first-formula.plain-butter-body'),
            'wax' => Message::said('head.first-formula.makes-stand'),
            default => Message::said('head.first-formula.conditioning-agent-gives-slip'),
        };
    }

    /** @param  list<Drafted>  $rows */
    private static function blend(array $rows): Blend
    {
        return new Blend(
            array_map(static fn (Drafted $d): MixturePart => new MixturePart($d->ingredient, $d->percent), $rows),
        );
    }
}
