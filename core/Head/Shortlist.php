<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Caution;
use Crown\Catalogue\Evidence;
use Crown\Catalogue\HairAction;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Name;
use Crown\Catalogue\Need;
use Crown\Catalogue\PreservationKind;
use Crown\Catalogue\Route;
use Crown\Measure\Property;
use Crown\Measure\School;
use Crown\Measure\Ways;
use Crown\Words\Message;

/** Which ingredients serve a need on this head, evidence first. Method page: docs/methods/fit.md. */
final readonly class Shortlist
{
    /** What a step of weight outside the target costs, in steps of evidence. */
    private const WEIGHT_COST = 1.0;

    /** Solids at 25 °C from which a butter is too hard to be rubbed in by itself, per cent. */
    private const HARD = 55.0;

    /** Years from which what is strong is not kept for last. */
    private const GROWN = 12.0;

    /**
     * @param  list<string>  $atHand ids of what stands in the cupboard
     * @param  Ways|null  $ways whether essential oils are used at all; null asks nobody
     */
    public function __construct(
        private Catalogue $catalogue,
        private Profile $head,
        private Season $season = Season::Any,
        private array $atHand = [],
        private ?Ways $ways = null,
    ) {
    }

    /**
     * @param  list<string>  $avoid allergens or ingredient names to leave out besides the head's own
     * @param  IngredientKind|null  $kind only this kind; null for all
     */
    public function for(Need $need, array $avoid, ?IngredientKind $kind, int $limit): ShortlistResult
    {
        $ranked = $leftOut = $order = [];
        $target = $this->head->weightTarget($need->isOfScalp());
        $suitability = new Suitability($this->head, $this->season);
        foreach ($this->catalogue->all() as $ingredient) {
            $evidence = $ingredient->evidenceFor($need);
            if ($evidence === [] || ($kind !== null && $ingredient->kind !== $kind)) {
                continue;
            }
            $against = $this->against($ingredient, $evidence[0], $avoid, $suitability);
            if ($against !== []) {
                $leftOut[] = ['id' => $ingredient->id, 'name' => $ingredient->name, 'reason' => $against[0]];

                continue;
            }
            $score = (float) $evidence[0]->worth();
            $reasons = [self::sentence($evidence[0])];
            $off = $this->outside($ingredient, $target->low, $target->high);
            if ($off > 0.0) {
                $score -= self::WEIGHT_COST * $off;
                $reasons[] = Message::said('head.shortlist.its-weight-lies-outside', [
                    'facts' => sprintf('%.1f', $ingredient->facts->best(Property::Weight, 0.0)),
                    'target_low' => sprintf('%.1f', $target->low),
                    'target_high' => sprintf('%.1f', $target->high),
                ]);
            }
            $ranked[] = [
                'id' => $ingredient->id,
                'name' => $ingredient->name,
                'kind' => $ingredient->kind->value,
                'matter' => $ingredient->kind->matter(),
                'score' => round($score, 3),
                'evidence' => $evidence[0]->grade,
                'route' => $evidence[0]->route->value,
                'reasons' => $reasons,
            ];
            $order[$ingredient->id] = [
                $this->isForLast($ingredient, $need) ? 1 : 0,
                -$score,
                ...$this->between($ingredient, $need),
            ];
        }
        usort($ranked, static fn (array $a, array $b): int => $order[$a['id']] <=> $order[$b['id']]);

        $ranked = $this->oncePerFamily($ranked, $need);

        return new ShortlistResult(
            array_slice($ranked, 0, $limit),
            $leftOut,
            trim(self::before($need).' '.$this->first($ranked, $need)),
        );
    }

    /**
     * Of those that do the same work and of which the same was found only the first; the others are named with it.
     *
     * @param  list<array{
     *     id: string, name: string, kind: string, matter: string, score: float, evidence: int, route: string,
     *     reasons: list<string>,
     * }>  $ranked
     * @return list<array{
     *     id: string, name: string, kind: string, matter: string, score: float, evidence: int, route: string,
     *     reasons: list<string>,
     * }>
     */
    private function oncePerFamily(array $ranked, Need $need): array
    {
        $kept = $of = [];
        foreach ($ranked as $row) {
            $ingredient = $this->catalogue->get($row['id']);
            $job = $ingredient->kind->isFat() ? null : $ingredient->jobs()[0] ?? null;
            $family = match (true) {
                $ingredient->kind === IngredientKind::ReadySteep => "steep: $row[name]",
                $job !== null => "$job->value: ".self::found($ingredient, $need),
                default => $row['id'],
            };
            $of[$family][] = Name::inSentence($row['name']);
            $kept[$family] ??= $row;
        }
        foreach ($kept as $family => $row) {
            $others = array_slice($of[$family], 1);
            if ($others !== [] && $row['kind'] === IngredientKind::ReadySteep->value) {
                $kept[$family]['reasons'][] = Message::said('head.shortlist.there-are-lots-this', [
                    'others' => count($others) + 1,
                ]);
            } elseif ($others !== []) {
                $kept[$family]['reasons'][] = Message::said('head.shortlist.one-is-enough', [
                    'count' => count($others),
                    'others' => implode(', ', $others),
                ]);
            }
        }

        return array_values($kept);
    }

    private static function found(Ingredient $ingredient, Need $need): string
    {
        return ($ingredient->evidenceFor($need)[0] ?? null)->found ?? '';
    }

    /**
     * @param  list<string>  $avoid
     * @return list<string>
     */
    private function against(Ingredient $ingredient, Evidence $evidence, array $avoid, Suitability $suitability): array
    {
        $refused = array_values(array_filter($avoid, $ingredient->answersTo(...)));

        return match (true) {
            $ingredient->kind === IngredientKind::EssentialOil && $this->ways?->is(School::Scents, 'none') === true => [
                Message::said('head.shortlist.you-use-no-essential'),
            ],
            $ingredient->provenance->withdrawn !== null => [
                Message::said('head.shortlist.withdrawn', ['why' => $ingredient->provenance->withdrawn]),
            ],
            $refused !== [] => [Message::said('head.shortlist.bears', ['what' => $refused[0]])],
            $ingredient->provenance->inherited->grown !== null => [$ingredient->provenance->inherited->grown],
            $ingredient->provenance->inherited->bottle?->past === true => [
                Message::said('head.shortlist.what-stands-on-shelf'),
            ],
            self::bearsWater($ingredient) => [Message::said('head.shortlist.bears-water-may-keeps')],
            $evidence->grade === 0 => [Message::said('head.shortlist.no-basis', ['found' => $evidence->found])],
            default => $suitability->against($ingredient),
        };
    }

    /**
     * What decides between two that are known as well, the least first: that it cannot be used by itself, that it
     * spoils in a day, that it works
     * against what this hair's porosity asks, that it is strong, what its owner dislikes in another season, what is at
     * hand, how common it is; and only then, so that the order is always the same, the name.
     *
     * @return list<int|string>
     */
    private function between(Ingredient $ingredient, Need $need): array
    {
        $grave = array_filter($ingredient->precautions->cautions, static fn (Caution $c): bool => $c->kind->isGrave());
        $dislikes = array_filter(
            $this->head->dislikes,
            static fn (Dislike $d): bool => $ingredient->answersTo($d->what),
        );

        return [
            self::needsOthers($ingredient, $need) ? 1 : 0,
            self::spoils($ingredient) ? 1 : 0,
            $this->worksAgainst($ingredient, $need) ? 1 : 0,
            count($grave),
            count($dislikes),
            in_array($ingredient->id, $this->atHand, true) ? 0 : 1,
            -$ingredient->common,
            $ingredient->id,
        ];
    }

    /** Of an oil that came out of a steep; a hydrosol or a gel is meant to. */
    private static function bearsWater(Ingredient $ingredient): bool
    {
        return $ingredient->kind === IngredientKind::ReadySteep && $ingredient->freeWater('')->high > 0.0;
    }

    /** What is strong by the drop is the last thing for a child, however well it is known. */
    private function isForLast(Ingredient $ingredient, Need $need): bool
    {
        return $ingredient->kind === IngredientKind::EssentialOil
            && ($need === Need::ChildGentle || $this->head->age->youngestYears() < self::GROWN);
    }

    /**
     * A wax or a hard butter only thickens an oil, an essential oil is never used neat, and a plant has to be steeped
     * before it reaches the lengths, a fresh one before it reaches anything.
     */
    private static function needsOthers(Ingredient $of, Need $need): bool
    {
        return match (true) {
            $of->kind === IngredientKind::Wax, $of->kind === IngredientKind::EssentialOil => true,
            $of->kind === IngredientKind::Butter => $of->composition->solidFat->at(25.0) >= self::HARD,
            $of->kind->isPlant() => $of->kind === IngredientKind::FreshPlant || ! $need->isOfScalp(),
            default => false,
        };
    }

    /** A juice or a brew keeps for a day: it is made anew each time. */
    private static function spoils(Ingredient $of): bool
    {
        return $of->kind === IngredientKind::Water && $of->preservation->kind === PreservationKind::None;
    }

    /** Hair that takes little up wants what goes in; hair that takes all up wants what stays on it. */
    private function worksAgainst(Ingredient $ingredient, Need $need): bool
    {
        $wrong = match ($this->head->porosity) {
            Porosity::Low => HairAction::Sealing,
            Porosity::High => HairAction::Penetrating,
            default => null,
        };

        return ! $need->isOfScalp() && $ingredient->kind->isFat() && $ingredient->onHair->action === $wrong;
    }

    /** Weight steps outside the band; 0 for what has none, and for what is only used in drops. */
    private function outside(Ingredient $ingredient, float $low, float $high): float
    {
        if (! $ingredient->kind->isFat() || ! $ingredient->facts->has(Property::Weight)) {
            return 0.0;
        }
        $weight = $ingredient->facts->get(Property::Weight)->band->best;

        return max(0.0, $weight - $high, $low - $weight);
    }

    private static function sentence(Evidence $evidence): string
    {
        $with = ['found' => $evidence->found, 'on' => $evidence->on === null ? 'none' : lcfirst($evidence->on)];

        return match (true) {
            $evidence->route === Route::Eaten => Message::said('head.shortlist.swallowed', $with),
            $evidence->grade === Evidence::TRADITION => Message::said('head.shortlist.by-tradition', [
                'found' => lcfirst($evidence->found),
            ]),
            default => Message::said('head.shortlist.found', $with),
        };
    }

    /** What comes before anything is put on. */
    private static function before(Need $need): ?string
    {
        return match ($need) {
            Need::ThinEdges => Message::said('head.shortlist.before-thin-edges'),
            Need::Shedding => Message::said('head.shortlist.before-shedding'),
            default => null,
        };
    }

    /**
     * What to try first: the best that is one plain thing by itself, so that what it does can be told. An oil to rub
     * in, or one herb to steep in one oil; never an essential oil.
     *
     * @param  list<array{
     *     id: string, name: string, kind: string, matter: string, score: float, evidence: int, route: string,
     *     reasons: list<string>,
     * }>  $ranked
     */
    private function first(array $ranked, Need $need): string
    {
        foreach ($ranked as $row) {
            $ingredient = $this->catalogue->get($row['id']);
            $plain = in_array(
                $ingredient->kind,
                [IngredientKind::CarrierOil, IngredientKind::LiquidWaxEster, IngredientKind::ReadySteep],
                true,
            );
            if ($plain && $ingredient->precautions->warnings() === [] && $ingredient->composition->water === null) {
                return Message::said('head.shortlist.try-alone-first-two', [
                    'ingredient' => Name::inSentence($ingredient->name),
                ]);
            }
        }
        foreach ($ranked as $row) {
            $ingredient = $this->catalogue->get($row['id']);
            if (
                $ingredient->kind === IngredientKind::DriedHerb
                && $ingredient->precautions->warnings() === []
                && $need->isOfScalp()
            ) {
                return Message::said('head.shortlist.try-plain-steep-one', [
                    'ingredient' => Name::inSentence($ingredient->name),
                ]);
            }
        }

        if ($ranked === []) {
            return Message::said('head.shortlist.nothing-catalogue-known-serve');
        }

        return Message::said('head.shortlist.nothing-here-can-be');
    }
}
