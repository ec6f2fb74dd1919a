<?php

declare(strict_types=1);

namespace Crown\Solving;

use Crown\Assessment\Composition;
use Crown\Assessment\Cost;
use Crown\Assessment\Examined;
use Crown\Assessment\Portion;
use Crown\Assessment\Reshare;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\StandIns;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\Size;
use Crown\Measure\Amount;
use Crown\Measure\Property;
use Crown\Measure\Unit;

/**
 * Wishes in a maker's words, turned into demands that are shown, solved near the present formula, and written as a new
 * one. Method page: docs/methods/solver.md.
 */
final readonly class Design
{
    /**
     * How far a wish goes when it says no more: a quarter softer, a third firmer, 0.4 of weight, a third longer, a
     * seventh cheaper.
     */
    private const SOFTER = 0.75;

    private const FIRMER = 1.33;

    /** And no further: whatever else is made best, a softer butter is no oil, and a firmer one no stick. */
    private const SOFTEST = 0.6;

    private const FIRMEST = 1.66;

    private const WEIGHT = 0.4;

    private const LONGER = 1.33;

    private const CHEAPER = 0.86;

    /** What may move; everything else keeps its share. */
    private const FATS = [
        IngredientKind::CarrierOil,
        IngredientKind::LiquidWaxEster,
        IngredientKind::ReadySteep,
        IngredientKind::Butter,
        IngredientKind::Wax,
        IngredientKind::EssentialOil,
    ];

    /** What from the cupboard may be tried in it. */
    private const FILLERS = [
        IngredientKind::CarrierOil,
        IngredientKind::LiquidWaxEster,
        IngredientKind::ReadySteep,
        IngredientKind::Butter,
        IngredientKind::Wax,
    ];

    private const STAND_INS = 3;

    /** How many more ingredients there may be than now, where the maker does not say. */
    private const NEWCOMERS = 2;

    /** What makers reach for when a wish is more than the lines and their stand-ins can do. */
    private const HELPERS = [
        'softer' => ['jojoba-oil'],
        'firmer' => ['candelilla-wax', 'beeswax'],
        'lighter' => ['squalane'],
        'richer' => ['castor-oil'],
    ];

    /** Points by which shares may move at most to become simple parts: fewer than anybody feels. */
    private const PARTS_WITHIN = 4.0;

    /**
     * @param  list<array{Wish, string}>  $wishes each with what it is of, or ""
     * @param  array<string, float|null>  $stock grams at hand by ingredient id, null for "some"; what is not named is
     *     not there
     */
    public function __construct(
        private Examined $subject,
        private Catalogue $catalogue,
        private array $wishes,
        private array $stock = [],
    ) {
    }

    /** @return list<Demand> to be shown, and changed if need be */
    public function demands(): array
    {
        $demands = [];
        foreach ($this->wishes as [$wish, $of]) {
            $solids = $this->subject->texture->solids(25.0)->best;
            $weight = $this->subject->weightIndex();
            $demand = match ($wish) {
                Wish::Softer => [
                    new Demand('solids', round($solids * self::SOFTEST, 1), round($solids * self::SOFTER, 1)),
                ],
                Wish::Firmer => [
                    new Demand(
                        'solids',
                        round(max(4.0, $solids * self::FIRMER), 1),
                        round(max(6.0, $solids * self::FIRMEST), 1),
                    ),
                ],
                Wish::Lighter => $weight > 0.0
                    ? [new Demand('weight', -INF, max(1.0, round($weight - self::WEIGHT, 1)))]
                    : [],
                Wish::Richer => $weight > 0.0
                    ? [new Demand('weight', min(5.0, round($weight + self::WEIGHT, 1)), INF)]
                    : [],
                Wish::KeepsLonger => [new Demand('life', round($this->life() * self::LONGER, 1), INF)],
                Wish::Cheaper => [new Demand('cost', -INF, round($this->costNow() * self::CHEAPER, 2))],
                Wish::UseUp => $this->catalogue->has($of)
                    ? [
                        new Demand(
                            'share',
                            max(15.0, round($this->shareOf($of) + 10.0, 1)),
                            INF,
                            $of,
                            called: mb_strtolower($this->catalogue->get($of)->name),
                        ),
                    ]
                    : throw SolveError::field('wishes.of', 'an ingredient to use up'),
                Wish::SafeFor => [
                    new Demand('load', -INF, $this->audience($of)->essentialOilCeiling()),
                    new Demand('dermal'),
                ],
                Wish::Without, Wish::Fewer, Wish::AtHand => [],
            };
            array_push($demands, ...$demand);
        }
        // What is not wished otherwise stays about as it is, so that one wish does not turn a butter into an oil.
        $asked = array_map(static fn (Demand $d): string => $d->kind, $demands);
        if (! in_array('solids', $asked, true) && $this->subject->texture->solids(25.0)->best >= 2.0) {
            $now = $this->subject->texture->solids(25.0)->best;
            $demands[] = new Demand('solids', round($now * 0.85, 1), round($now * 1.15, 1));
        }

        return $demands;
    }

    /**
     * @param  list<Demand>  $demands
     * @param  int  $most ingredients there may be; 0 for any number
     * @param  list<Goal>  $goals what is made best, the first counting most; between equals the nearest is taken
     * @param  list<string>  $serves needs (values of Need) that "service" means; those among the demands when empty
     * @return Answer with another in simple parts where those cost little
     *
     * @throws SolveError
     */
    public function answer(array $demands, int $most = 0, array $goals = [], array $serves = []): Answer
    {
        $fewer = array_filter($this->wishes, static fn (array $w): bool => $w[0] === Wish::Fewer) !== [];
        $count = count($this->subject->composition->counted());
        // Whoever asks for points for a need has named it.
        $serves = $serves !== []
                ? $serves
                : array_values(
                    array_unique(
                        array_map(
                            static fn (Demand $d): string => $d->of,
                            array_filter($demands, static fn (Demand $d): bool => $d->kind === 'need'),
                        ),
                    ),
                );
        if (in_array(Goal::Service, $goals, true) && $serves === []) {
            throw SolveError::noNeed();
        }

        $candidates = $this->candidates($demands);
        if (
            in_array(Goal::Cheapest, $goals, true)
            || array_filter($demands, static fn (Demand $d): bool => $d->kind === 'cost') !== []
        ) {
            // A stand-in whose price is not known must not pass for a cheap one.
            $this->costNow();
            $candidates = array_values(array_filter($candidates, static fn (Candidate $c): bool => $c->price >= 0.0));
        }

        $batch = $this->fromStock() ? $this->subject->composition->totalGrams->best : 0.0;
        $short = array_filter(
            $candidates,
            static fn (Candidate $c): bool => $batch > 0.0 && $c->least > 0.0 && $c->stock * 100 < $c->least * $batch,
        );
        if ($short !== []) {
            return new Answer(
                'impossible',
                conflict: [
                    'only from the cupboard',
                    'the '
                    .implode(
                        ', the ',
                        array_map(static fn (Candidate $c): string => mb_strtolower($c->ingredient->name), $short),
                    )
                    .' that stays in it',
                ],
            );
        }
        $solve = static fn (int $most): Answer => Solver::solve(
            $candidates,
            $demands,
            in_array(Goal::Nearest, $goals, true) ? $goals : [...$goals, Goal::Nearest],
            $most,
            $batch,
            $serves,
            self::PARTS_WITHIN,
        );
        if ($most > 0 || $fewer) {
            return $solve($most > 0 ? $most : max(1, $count - 1));
        }
        $free = $solve(0);
        $few = count($this->present()) + self::NEWCOMERS;
        if (count($free->shares) <= $few) {
            return $free;
        }
        // Nobody wants a dozen oils for it. Where few do not do, many are better than nothing.
        try {
            $answer = $solve($few);
        } catch (SolveError) {
            return $free;
        }

        return $answer->status === 'impossible' ? $free : $answer->boundBy(sprintf('at most %d ingredients', $few));
    }

    /**
     * The formula that the answer is: lines that moved in the unit in which they stood, what came in by grams, or by
     * share where all is.
     */
    public function formula(Answer $answer): Formula
    {
        $formula = $this->subject->formula();
        $written = Reshare::written($this->subject, $formula, $answer->shares, $this->present());
        $taken = array_map(static fn (Line $l): string => $l->id, $formula->lines);
        $total = Composition::of($formula->withSize(Size::asWritten()), $this->subject->context)->totalGrams->best;
        $byShare = array_filter(
            $this->subject->composition->counted(),
            static fn (Portion $p): bool => $p->amount[0]->unit->isRelative(),
        ) !== [];
        $lines = $written->lines;
        foreach (array_diff_key($answer->shares, $this->present()) as $id => $share) {
            if ($share > 0.005) {
                $ingredient = $this->catalogue->get($id);
                $n = count($taken) + 1;
                while (in_array('l'.$n, $taken, true)) {
                    $n++;
                }
                $taken[] = 'l'.$n;
                $amount = $byShare
                    ? Amount::percent(round($share, 2))
                    : Amount::grams(round(($share / 100) * $total, ($share / 100) * $total >= 10.0 ? 1 : 2));
                $lines[] = new Line(
                    'l'.$n,
                    $id,
                    $ingredient->name,
                    $amount->written,
                    $ingredient->usualForm(),
                    Phase::usualFor($ingredient),
                );
            }
        }

        return $written->withLines($lines);
    }

    /** @return array<string, float> present shares, per cent, by ingredient */
    private function present(): array
    {
        $now = [];
        foreach ($this->subject->composition->counted() as $portion) {
            $now[$portion->ingredient->id] = ($now[$portion->ingredient->id] ?? 0.0) + $portion->percent();
        }

        return $now;
    }

    /**
     * @param  list<Demand>  $demands
     * @return list<Candidate>
     */
    private function candidates(array $demands): array
    {
        // A scent is what the maker wants smelt: it stays, unless it is the load that has to fall. It is never a
        // filler.
        $scentFalls = array_filter(
            $demands,
            static fn (Demand $d): bool => in_array($d->kind, ['load', 'dermal', 'constituent'], true),
        ) !== [];
        $now = $this->present();
        $candidates = [];
        foreach ($this->subject->composition->counted() as $portion) {
            $ingredient = $portion->ingredient;
            if (isset($candidates[$ingredient->id]) || ! $ingredient->isPlaced()) {
                continue;
            }
            $share = $now[$ingredient->id];
            $refused = $this->refused($ingredient);
            $moves = in_array($ingredient->kind, self::FATS, true) && ! $portion->line->locked;
            $candidates[$ingredient->id] = match (true) {
                $refused => $this->candidate($ingredient, 0.0, 0.0, $share),
                $moves => $ingredient->kind === IngredientKind::EssentialOil
                    ? $this->candidate(
                        $ingredient,
                        $scentFalls ? 0.0 : $share,
                        $share,
                        $share,
                        $scentFalls ? $this->drop($portion, $share) : 0.0,
                    )
                    : $this->candidate($ingredient, 0.0, 100.0, $share),
                default => $this->candidate($ingredient, $share, $share, $share),
            };
            if ($moves && $ingredient->kind !== IngredientKind::EssentialOil) {
                foreach (
                    (new StandIns($this->catalogue))->for($ingredient, $this->shunned(), self::STAND_INS) as $standIn
                ) {
                    $candidates[$standIn->ingredient->id] ??= $this->newcomer($standIn->ingredient, $now);
                }
            }
        }
        foreach ($this->fromStock() ? array_keys($this->stock) : [] as $id) {
            if ($this->catalogue->has($id) && in_array($this->catalogue->get($id)->kind, self::FILLERS, true)) {
                $candidates[$id] ??= $this->newcomer($this->catalogue->get($id), $now);
            }
        }
        foreach ($this->wishes as [$wish, $of]) {
            foreach (self::HELPERS[$wish->value] ?? [] as $id) {
                if ($this->catalogue->has($id)) {
                    $candidates[$id] ??= $this->newcomer($this->catalogue->get($id), $now);
                }
            }
            if ($wish === Wish::UseUp && $this->catalogue->has($of)) {
                $candidates[$of] ??= $this->candidate(
                    $this->catalogue->get($of),
                    0.0,
                    $this->refused($this->catalogue->get($of)) ? 0.0 : 100.0,
                    0.0,
                );
            }
        }

        return array_values($candidates);
    }

    /** @param  array<string, float>  $now */
    private function newcomer(Ingredient $ingredient, array $now): Candidate
    {
        return $this->candidate(
            $ingredient,
            0.0,
            $this->refused($ingredient) || $this->strange($ingredient) ? 0.0 : 100.0,
            $now[$ingredient->id] ?? 0.0,
        );
    }

    /**
     * Whether it would bring an allergen, something of an animal, or water where there is none yet: that comes in only
     * when it is asked for.
     */
    private function strange(Ingredient $ingredient): bool
    {
        $present = array_map(
            static fn (Portion $p): Ingredient => $p->ingredient,
            $this->subject->composition->counted(),
        );
        $vegan = array_filter($present, static fn (Ingredient $i): bool => ! $i->vegan) === [];

        return ($vegan && ! $ingredient->vegan)
            || ($this->subject->water->percent->best <= 0.0 && $ingredient->freeWater('') > 0.0)
            || array_diff(
                $ingredient->allergens,
                ...array_map(static fn (Ingredient $i): array => $i->allergens, $present),
            ) !== [];
    }

    /** Share of one drop of what is counted in drops, per cent; 0 for what is not. */
    private function drop(Portion $portion, float $share): float
    {
        $amount = $portion->amount[0];

        return $amount->unit === Unit::Drop && $amount->also === [] && abs($portion->percent() - $share) < 1e-9
            ? $share / max(1.0, $amount->count->best)
            : 0.0;
    }

    private function candidate(
        Ingredient $ingredient,
        float $least,
        float $most,
        float $now,
        float $step = 0.0,
    ): Candidate {
        $free = $ingredient->kind === IngredientKind::Water ? 0.0 : -1000.0;

        return new Candidate(
            $ingredient,
            $least,
            $most,
            $now,
            $ingredient->facts->best(Property::Price, $free) / 1000,
            stock: $this->atHand($ingredient),
            firmness: $this->subject->texture->learned->factor,
            step: $step,
        );
    }

    private function fromStock(): bool
    {
        return array_filter($this->wishes, static fn (array $w): bool => $w[0] === Wish::AtHand) !== [];
    }

    /**
     * Grams there are of it when only stock may be used; INF when it does not matter or nobody said how much there is.
     */
    private function atHand(Ingredient $ingredient): float
    {
        if (! $this->fromStock() || $ingredient->kind === IngredientKind::Water) {
            return INF;
        }

        return array_key_exists($ingredient->id, $this->stock) ? $this->stock[$ingredient->id] ?? INF : 0.0;
    }

    /**
     * Money for 100 g of the present formula.
     *
     * @throws SolveError naming the lines whose price is not known
     */
    private function costNow(): float
    {
        $cost = Cost::of($this->subject->composition);
        if ($cost->unpriced !== []) {
            throw SolveError::unpriced(
                array_map(static fn (Portion $p): string => $p->ingredient->name, $cost->unpriced),
            );
        }

        return $cost->perHundredGrams();
    }

    private function refused(Ingredient $ingredient): bool
    {
        if (
            $ingredient->provenance->withdrawn !== ''
            || array_filter($this->shunned(), $ingredient->answersTo(...)) !== []
        ) {
            return true;
        }
        foreach ($this->wishes as [$wish, $of]) {
            if ($wish === Wish::SafeFor && $this->audience($of)->excludes($ingredient) !== '') {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> */
    private function shunned(): array
    {
        return array_values(
            array_map(
                static fn (array $w): string => $w[1],
                array_filter($this->wishes, static fn (array $w): bool => $w[0] === Wish::Without && $w[1] !== ''),
            ),
        );
    }

    private function audience(string $of): Audience
    {
        return Audience::tryFrom($of)
            ?? throw SolveError::field('wishes.of', implode(', ', array_column(Audience::cases(), 'value')));
    }

    private function shareOf(string $id): float
    {
        return 100
            * array_sum(
                array_map(
                    static fn (Portion $p): float => $p->ingredient->id === $id ? $p->share->best : 0.0,
                    $this->subject->composition->counted(),
                ),
            );
    }

    /** The blend's harmonic life in months, as the solver counts it. */
    private function life(): float
    {
        $ages = $shares = 0.0;
        foreach ($this->subject->composition->counted() as $portion) {
            $life = $portion->ingredient->facts->best(Property::LifeMonths, 0.0);
            if ($life > 0.0 && in_array($portion->ingredient->kind, self::FATS, true)) {
                $ages += $portion->share->best / $life;
                $shares += $portion->share->best;
            }
        }

        return $ages > 0.0 ? $shares / $ages : 1.0;
    }
}
