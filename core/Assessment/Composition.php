<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Assessment\Internal\RelativeAmounts;
use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Nature;
use Crown\Catalogue\Part;
use Crown\Catalogue\SolidFat;
use Crown\Formula\Formula;
use Crown\Formula\FormulaError;
use Crown\Formula\Line;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Measure\Amount;
use Crown\Measure\Band;
use Crown\Measure\Basis;
use Crown\Measure\CannotTell;
use Crown\Measure\Converter;
use Crown\Measure\Figure;
use Crown\Measure\Input;
use Crown\Measure\Point;
use Crown\Measure\Property;
use Crown\Measure\Shares;
use Crown\Measure\Unit;
use Crown\Measure\Working;
use Crown\Words\Message;

/** A formula's lines turned into grams and shares. Method page: docs/methods/shares.md. */
final readonly class Composition
{
    /** @var list<Portion> nearly every rule asks for them */
    private array $counted;

    /** @var list<Portion> */
    private array $weighed;

    /** @var list<Portion> */
    private array $present;

    public Unknowns $unknown;

    /**
     * @param  list<Portion>  $portions in the formula's order, also those whose mass cannot be told
     * @param  float|null  $sharesPercent what the shares written come to, per cent, where that is not the whole; null
     *     where it is
     */
    private function __construct(
        public Formula $formula,
        public array $portions,
        public Band $totalGrams,
        public ?float $sharesPercent,
        Catalogue $catalogue,
    ) {
        $this->weighed = array_values(
            array_filter($portions, static fn (Portion $p): bool => $p->counts() && $p->grams->band->best > 0.0),
        );
        $this->counted = self::spelled($this->weighed);
        $written = array_values(array_filter($portions, static fn (Portion $p): bool => ! $p->isBlank()));
        $this->present = self::spelled($written);
        $this->unknown = Unknowns::in($written, $this->present, $catalogue);
    }

    public static function of(Formula $formula, Context $context): self
    {
        $amounts = $masses = $problems = $ingredients = [];
        $converter = new Converter($context->kitchen);
        foreach ($formula->lines as $i => $line) {
            $ingredients[$i] = self::meant($line, $context->catalogue);
            $problems[$i] = $line->amount->problem;
            $amount = $line->amount->read;
            if ($amount === null) {
                continue;
            }
            $amounts[$i] = $amount;
            try {
                if (! $amount->unit->isRelative()) {
                    $form = $line->form === '' ? $ingredients[$i]->usualForm() : $line->form;
                    $masses[$i] = $converter->grams($amount, $ingredients[$i]->substance($form));
                }
            } catch (CannotTell $e) {
                $problems[$i] = $e->getMessage();
            }
        }
        $air = $formula->size->isByVolume() ? self::airFor($formula, $context) : 0.0;
        $placed = RelativeAmounts::place(
            $amounts,
            $masses,
            $problems,
            $ingredients,
            $formula->size,
            $air,
            $context->kitchen->scaleGrams,
        );

        return self::sized(
            $formula,
            $context,
            $ingredients,
            $amounts,
            $placed->masses,
            $placed->problems,
            $placed->sharesPercent,
            $placed->half(),
            $placed->fillsSize() ? null : $air,
        );
    }

    /** What stands in a line; a thing of which only the nature is known is called as it was written. */
    private static function meant(Line $line, Catalogue $catalogue): Ingredient
    {
        if ($line->ingredient === null || ! $catalogue->has($line->ingredient)) {
            return Ingredient::unplaced($line->name);
        }
        $ingredient = $catalogue->get($line->ingredient);

        return $line->name !== '' && Nature::ofId($line->ingredient) !== null
            ? $ingredient->called($line->name)
            : $ingredient;
    }

    /** Air that will be in the jars: that of the same formula as it is written. */
    private static function airFor(Formula $formula, Context $context): float
    {
        return $formula->kind === ProductKind::WhippedButter
            ? Whipping::airIn(self::of($formula->withSize(Size::asWritten()), $context), $context)
            : 0.0;
    }

    /** @return list<Portion> what it is made of and in what mass: of a ready blend each of its parts */
    public function counted(): array
    {
        return $this->counted;
    }

    /**
     * One line as it was judged.
     *
     * @throws FormulaError when the formula has no such line
     */
    public function portion(string $line): Portion
    {
        foreach ($this->portions as $portion) {
            if ($portion->line->id === $line) {
                return $portion;
            }
        }

        throw FormulaError::noSuchLine($line);
    }

    /** Whether anything says how large it is: a mass, a measure or a batch; shares alone do not. */
    public function isSized(): bool
    {
        foreach ($this->weighed as $portion) {
            $amount = $portion->read();
            $says = $amount->unit === Unit::Fill
                ? $amount->millilitres !== null || $amount->count->best > 0.0
                : ! $amount->unit->isRelative();
            if ($says) {
                return true;
            }
        }

        return ! $this->formula->size->isAsWritten();
    }

    /** @return list<Portion> the lines whose mass is known, each as it comes out of its bottle */
    public function weighed(): array
    {
        return $this->weighed;
    }

    /** @return list<Portion> what is in it, also where its mass cannot be told: what is judged by being there */
    public function present(): array
    {
        return $this->present;
    }

    /** @return list<Portion> the same, and what a doubtful line may mean instead */
    public function possible(): array
    {
        return [...$this->present, ...$this->unknown->meanings];
    }

    /**
     * The most that share x something can come to over all of it, in the worst case: a line is as large as it can be,
     * and what nobody knows of a blend is what counts for most.
     *
     * @param  callable(Ingredient): float  $of of what stands in a line, or in a blend
     */
    public function most(callable $of): float
    {
        $sum = 0.0;
        foreach ($this->weighed as $portion) {
            $each = $portion->ingredient->isBlend()
                ? Part::most($portion->ingredient->blend, $of)
                : $of($portion->ingredient);
            $sum += $portion->share->high * $each;
        }

        return $sum;
    }

    /**
     * @param  list<Portion>  $portions
     * @return list<Portion>
     */
    private static function spelled(array $portions): array
    {
        $parts = [];
        foreach ($portions as $portion) {
            if ($portion->ingredient->isBlend()) {
                array_push($parts, ...$portion->parts());
            } else {
                $parts[] = $portion;
            }
        }

        return $parts;
    }

    /**
     * Per cent of the whole that is set fat or wax at a temperature, by the curves alone; the softening of one fat by
     * another and how firm a wax makes it are left out. Above the last of the curves' points a fat that is not melted
     * there is taken to melt evenly up to its melting point; 0 where no curve is known.
     */
    public function solidPercent(float $celsius): float
    {
        $sum = 0.0;
        foreach ($this->counted() as $portion) {
            $fat = $portion->ingredient->composition->solidFat;
            $melting = $portion->ingredient->facts->has(Property::Melting)
                ? $portion->ingredient->facts->get(Property::Melting)->band->best
                : 0.0;
            $sum += $portion->share->best * self::solidOf($fat, $celsius, $melting);
        }

        return $sum;
    }

    /**
     * The same at every temperature at which its line bends, from cold to warm; straight in between, even outside.
     *
     * @return list<Point> °C across, per cent upwards
     */
    public function solidCurve(): array
    {
        $bends = array_map(floatval(...), SolidFat::TEMPERATURES);
        foreach ($this->counted() as $portion) {
            $bends[] = $portion->ingredient->composition->solidFat->end();
            $bends[] = $portion->ingredient->facts->has(Property::Melting)
                ? $portion->ingredient->facts->get(Property::Melting)->band->best
                : null;
        }
        $first = (float) min(SolidFat::TEMPERATURES);
        $bends = array_filter($bends, static fn (?float $c): bool => $c !== null && $c >= $first);
        sort($bends);

        return array_map(
            fn (float $celsius): Point => new Point($celsius, $this->solidPercent($celsius)),
            array_values(array_unique($bends)),
        );
    }

    private static function solidOf(SolidFat $fat, float $celsius, float $melting): float
    {
        $last = (float) max(SolidFat::TEMPERATURES);

        return match (true) {
            $celsius <= $last => $fat->at($celsius),
            $celsius >= $melting => 0.0,
            default => ($fat->at($last) * ($melting - $celsius)) / ($melting - $last),
        };
    }

    /** What can be said of the counted lines as a blend. */
    public function blend(): Blend
    {
        return Blend::of(...$this->counted());
    }

    /** @return array<string, float> shares in per cent by ingredient, of the lines whose mass is known */
    public function percentages(): array
    {
        $all = [];
        foreach ($this->weighed as $portion) {
            $all[$portion->ingredient->id] = ($all[$portion->ingredient->id] ?? 0.0) + $portion->percent();
        }

        return $all;
    }

    /** @return list<Portion> those of one or more kinds, among the counted */
    public function ofKind(IngredientKind ...$kinds): array
    {
        return array_values(
            array_filter(
                $this->counted(),
                static fn (Portion $p): bool => in_array($p->ingredient->kind, $kinds, true),
            ),
        );
    }

    /**
     * Share of some portions taken together, worst cases against all the others.
     *
     * @param  list<Portion>  $group
     */
    public function shareOf(array $group): Band
    {
        if (count($group) === 1 && $group[0]->of === null) {
            return $group[0]->share;
        }
        $in = [];
        foreach ($group as $portion) {
            $in[$portion->line->id][$portion->ingredient->id] = true;
        }
        $these = $others = [];
        foreach ($this->weighed as $portion) {
            $ids = $in[$portion->line->id] ?? [];
            if ($ids !== [] && $portion->ingredient->isBlend()) {
                [$these[], $others[]] = self::split($portion, $ids);
            } elseif ($ids !== []) {
                $these[] = $portion->grams->band;
            } else {
                $others[] = $portion->grams->band;
            }
        }

        return $this->opened(Shares::ofGroup($these, $others), ! self::allCount($group));
    }

    /** @param  list<Portion>  $group */
    private static function allCount(array $group): bool
    {
        return array_filter($group, static fn (Portion $p): bool => ! $p->counts()) === [];
    }

    /**
     * A share where the whole is open: beside a line of unknown mass it is at most this, and may be next to nothing; of
     * such a line itself it may be all.
     */
    private function opened(Band $share, bool $itself): Band
    {
        return match (true) {
            $itself => Band::of($share->low, $share->best, 1.0),
            $this->unknown->open() => Band::of(0.0, $share->best, $share->high),
            default => $share,
        };
    }

    /**
     * Grams of a ready blend that are of some of its parts, and of the rest.
     *
     * @param  array<string, true>  $ids of those parts
     * @return array{Band, Band}
     */
    private static function split(Portion $portion, array $ids): array
    {
        $one = static fn (Ingredient $i): float => isset($ids[$i->id]) ? 1.0 : 0.0;
        $best = 0.0;
        foreach ($portion->ingredient->blend as $part) {
            $best += $one($part->ingredient) * $part->share->best;
        }
        $least = Part::least($portion->ingredient->blend, $one);
        $most = Part::most($portion->ingredient->blend, $one);
        $share = Band::of(min($best, $least), $best, max($best, $most));
        $rest = Band::of(max(0.0, 1.0 - $share->high), max(0.0, 1.0 - $best), max(0.0, 1.0 - $share->low));

        return [$portion->grams->band->times($share), $portion->grams->band->times($rest)];
    }

    /**
     * Density of the blend at a temperature, g/ml: volumes of the lines added up, less 0.00068 g/ml per kelvin. Lines
     * without a density count as oil of 0.92 g/ml.
     */
    public function density(float $celsius = 20.0): float
    {
        $volume = $mass = 0.0;
        foreach ($this->counted() as $portion) {
            $mass += $portion->grams->band->best;
            $volume += $portion->grams->band->best / $portion->ingredient->density20();
        }

        return Converter::densityAt(
            Band::exact($volume > 0.0 ? $mass / $volume : Ingredient::OIL_DENSITY),
            $celsius,
        )->best;
    }

    /**
     * Scales everything to the size wanted and works out the shares.
     *
     * @param  array<int, Ingredient>  $ingredients
     * @param  array<int, Amount>  $amounts
     * @param  array<int, Figure>  $masses
     * @param  array<int, string|null>  $problems
     * @param  float  $placedHalf what weighing has added to the proportions as they are written, g
     * @param  float|null  $air that will be in the jars; null where a line "to fill" has taken up the size already
     */
    private static function sized(
        Formula $formula,
        Context $context,
        array $ingredients,
        array $amounts,
        array $masses,
        array $problems,
        ?float $sharesPercent,
        float $placedHalf,
        ?float $air,
    ): self {
        ksort($masses);
        $masses = array_filter($masses, static fn (int $i): bool => $problems[$i] === null, ARRAY_FILTER_USE_KEY);
        $catalogue = $context->catalogue;
        $written = self::built($formula, $catalogue, $ingredients, $amounts, $masses, $problems, $sharesPercent);
        $target = $air === null ? null : $formula->size->target($written->density(), $air);
        if ($target === null || $written->totalGrams->best <= 0.0) {
            return $written;
        }
        $factor = $target / $written->totalGrams->best;
        $batch = [];
        foreach ($masses as $i => $figure) {
            $half = $context->kitchen->stepFor($figure->band->best * $factor) / 2;
            $batch[$i] = new Figure(
                self::atSize($figure, $amounts[$i], $factor, $half, $placedHalf),
                'g',
                $figure->basis,
                new Working($figure->working->method, Message::said('assessment.composition.scaled', [
                    'words' => $figure->working->words,
                ]), [
                    ...$figure->working->inputs,
                    new Input('scaled by', Band::exact($factor), '', 'batch size'),
                ]),
            );
        }

        return self::built(
            $formula,
            $context->catalogue,
            $ingredients,
            $amounts,
            $batch,
            $problems,
            $sharesPercent,
        );
    }

    /**
     * A mass at the batch's size. What is weighed is weighed anew: half the resolution counts there, and is not scaled
     * with it.
     */
    private static function atSize(Figure $figure, Amount $amount, float $factor, float $half, float $placedHalf): Band
    {
        $proportion = $amount->unit === Unit::Percent || $amount->unit === Unit::Part;
        if ($figure->basis !== Basis::Measured && ! $proportion) {
            return $figure->band->scaled($factor);
        }
        $band = $figure->band;
        $weighed = $proportion
            ? Band::of(
                min($band->low + $placedHalf, $band->best),
                $band->best,
                max($band->high - $placedHalf, $band->best),
            )
            : self::written($amount);
        $weighed = $weighed->scaled($factor);

        return Band::of(max(0.0, $weighed->low - $half), $weighed->best, $weighed->high + $half);
    }

    /** Grams of a weighed amount as it was written, without the scale's half-width. */
    private static function written(Amount $amount): Band
    {
        return array_reduce(
            $amount->also,
            static fn (Band $sum, Amount $more): Band => $sum->plus(self::written($more)),
            $amount->count->scaled($amount->unit->grams()),
        );
    }

    /**
     * @param  array<int, Ingredient>  $ingredients
     * @param  array<int, Amount>  $amounts
     * @param  array<int, Figure>  $masses
     * @param  array<int, string|null>  $problems
     */
    private static function built(
        Formula $formula,
        Catalogue $catalogue,
        array $ingredients,
        array $amounts,
        array $masses,
        array $problems,
        ?float $sharesPercent,
    ): self {
        $nothing = new Figure(
            Band::exact(0.0),
            'g',
            Basis::Estimated,
            new Working('amounts', Message::said('assessment.composition.mass-this-line-cannot'), []),
        );
        $bands = array_map(static fn (Figure $f): Band => $f->band, $masses);
        $shares = array_combine(array_keys($bands), Shares::of(array_values($bands)));
        $open = false;
        foreach ($formula->lines as $i => $line) {
            $open = $open || ($problems[$i] !== null && ($line->ingredient !== null || $line->name !== ''));
        }
        $portions = [];
        foreach ($formula->lines as $i => $line) {
            $share = $shares[$i] ?? Band::exact(0.0);
            $portions[] = new Portion(
                $line,
                $ingredients[$i],
                $amounts[$i] ?? null,
                $masses[$i] ?? $nothing,
                match (true) {
                    $problems[$i] !== null => Band::of(0.0, 0.0, 1.0),
                    $open => Band::of(0.0, $share->best, $share->high),
                    default => $share,
                },
                $problems[$i],
            );
        }

        return new self(
            $formula,
            $portions,
            array_reduce($bands, static fn (Band $sum, Band $b): Band => $sum->plus($b), Band::exact(0.0)),
            $sharesPercent,
            $catalogue,
        );
    }
}
