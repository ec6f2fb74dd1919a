<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Formula\Formula;
use Crown\Formula\Size;
use Crown\Measure\Amount;
use Crown\Measure\AmountReader;
use Crown\Measure\Band;
use Crown\Measure\Basis;
use Crown\Measure\CannotTell;
use Crown\Measure\Converter;
use Crown\Measure\Figure;
use Crown\Measure\Input;
use Crown\Measure\MeasureError;
use Crown\Measure\Property;
use Crown\Measure\Shares;
use Crown\Measure\Unit;
use Crown\Measure\Working;

/** A formula's lines turned into grams and shares. Method page: docs/methods/shares.md. */
final readonly class Composition
{
    /** What a formula of shares or parts alone is worked out on, grams. */
    private const NOMINAL = 100.0;

    /** @var list<Portion> nearly every rule asks for them */
    private array $counted;

    /**
     * @param  list<Portion>  $portions in the formula's order, also those whose mass cannot be told
     * @param  list<string>  $problems about the whole
     */
    private function __construct(
        public Formula $formula,
        public array $portions,
        public Band $totalGrams,
        public array $problems,
    ) {
        $this->counted = array_values(
            array_filter($portions, static fn (Portion $p): bool => $p->counts() && $p->grams->band->best > 0.0),
        );
    }

    public static function of(Formula $formula, Context $context): self
    {
        $amounts = $masses = $problems = $ingredients = [];
        $converter = new Converter($context->kitchen);
        foreach ($formula->lines as $i => $line) {
            $ingredients[$i] = $line->ingredient !== '' && $context->catalogue->has($line->ingredient)
                    ? $context->catalogue->get($line->ingredient)
                    : Ingredient::unplaced($line->name);
            $problems[$i] = '';
            try {
                $amounts[$i] = AmountReader::read($line->amount);
                if (! $amounts[$i]->unit->isRelative()) {
                    $form = $line->form === '' ? $ingredients[$i]->usualForm() : $line->form;
                    $masses[$i] = $converter->grams($amounts[$i], $ingredients[$i]->substance($form));
                }
            } catch (MeasureError|CannotTell $e) {
                $problems[$i] = $line->amount === '' ? 'No amount is given yet.' : $e->getMessage();
            }
        }
        [$masses, $problems, $whole] = self::placeRelative(
            $amounts,
            $masses,
            $problems,
            $formula->size,
            $context->kitchen->scaleGrams,
            $ingredients,
        );

        return self::sized($formula, $context, $ingredients, $amounts, $masses, $problems, $whole);
    }

    /** @return list<Portion> those whose mass is known */
    public function counted(): array
    {
        return $this->counted;
    }

    /** What can be said of the counted lines as a blend. */
    public function blend(): Blend
    {
        return Blend::of(...$this->counted());
    }

    /** @return array<string, float> shares in per cent by ingredient, of the counted lines */
    public function percentages(): array
    {
        $all = [];
        foreach ($this->counted() as $portion) {
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
        $ids = array_map(static fn (Portion $p): string => $p->line->id, $group);
        $others = array_filter(
            $this->counted(),
            static fn (Portion $p): bool => ! in_array($p->line->id, $ids, true),
        );
        $grams = static fn (Portion $p): Band => $p->grams->band;

        return Shares::ofGroup(array_map($grams, $group), array_values(array_map($grams, $others)));
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
            $volume += $portion->grams->band->best / self::density20($portion->ingredient);
        }

        return Converter::densityAt(Band::exact($volume > 0.0 ? $mass / $volume : 0.92), $celsius)->best;
    }

    /**
     * Gives shares, parts and "to fill" their grams.
     *
     * @param  array<int, Amount>  $amounts
     * @param  array<int, Figure>  $masses those weighed or measured out
     * @param  array<int, string>  $problems
     * @param  array<int, Ingredient>  $ingredients
     * @return array{array<int, Figure>, array<int, string>, list<string>}
     */
    private static function placeRelative(
        array $amounts,
        array $masses,
        array $problems,
        Size $size,
        float $scale,
        array $ingredients,
    ): array {
        $whole = [];
        $absolute = array_reduce(
            $masses,
            static fn (Band $sum, Figure $f): Band => $sum->plus($f->band),
            Band::exact(0.0),
        );
        $of = static fn (Unit $unit): array => array_filter(
            $amounts,
            static fn (Amount $a): bool => $a->unit === $unit,
        );
        [$percents, $parts, $fills] = [$of(Unit::Percent), $of(Unit::Part), $of(Unit::Fill)];
        if ($percents === [] && $parts === [] && $fills === []) {
            return [$masses, $problems, $whole];
        }
        $percent = array_sum(array_map(static fn (Amount $a): float => $a->count->best, $percents)) / 100;
        $hasMass = $absolute->best > 0.0;
        foreach (array_slice(array_keys($fills), 1) as $i) {
            $problems[$i] = 'Only one line can be the one "to fill".';
            unset($fills[$i]);
        }
        $stated = self::stated($fills, $percents, $masses, $ingredients);
        $total = match (true) {
            $stated > 0.0 => $stated,
            $fills !== [] && $hasMass && $size->mode === 'mass' => $size->grams,
            $fills !== [] => self::NOMINAL,
            $hasMass && $percent < 1.0 && $parts === [] => $absolute->best / (1 - $percent),
            default => self::NOMINAL,
        };
        foreach ($percents as $i => $amount) {
            $masses[$i] = self::proportion(
                $amount->count->scaled($total / 100),
                $scale,
                'Share of the whole times its mass.',
                Band::exact($total),
            );
        }
        if ($parts !== []) {
            $count = array_sum(array_map(static fn (Amount $a): float => $a->count->best, $parts));
            foreach ($parts as $i => $amount) {
                if ($hasMass || $fills !== [] || $percent >= 1.0) {
                    $problems[$i]
                        = 'Parts stand beside weighed lines, so one part cannot be told. Say how much one part is.';

                    continue;
                }
                $masses[$i] = self::proportion(
                    $amount->count->scaled(($total * (1 - $percent)) / $count),
                    $scale,
                    'Parts of what the shares leave, by mass.',
                    Band::exact($total),
                );
            }
        }
        foreach ($fills as $i => $fill) {
            $rest = $total - $absolute->best - $percent * $total;
            if ($rest <= 0.0) {
                $problems[$i] = sprintf(
                    'The other lines already come to %s g of the %s g to fill.',
                    Amount::number($absolute->best + $percent * $total),
                    Amount::number($total),
                );

                continue;
            }
            // Filled to a mark, the whole is as sure as the mark.
            $volume = $fill->millilitres > 0.0;
            $is = Band::within($total, $volume ? Unit::Millilitre->handHalfWidth() : 0.0);
            $masses[$i] = new Figure(
                Band::of(
                    max(0.0, $is->low - $absolute->high - $percent * $total),
                    $rest,
                    max($rest, $is->high - $absolute->low - $percent * $total),
                ),
                'g',
                Basis::Converted,
                new Working(
                    'shares',
                    'What the other lines leave of the whole.'
                        .($volume ? ' Its mass follows from the densities of the lines.' : ''),
                    [
                        ...$volume
                            ? [
                                new Input(
                                    'volume of the whole',
                                    Band::exact($fill->millilitres),
                                    'ml',
                                    'the maker',
                                ),
                            ]
                            : [],
                        new Input(
                            'whole',
                            $is,
                            'g',
                            match (true) {
                                $volume => 'densities of the lines at 20 °C',
                                $stated > 0.0 => 'the maker',
                                default => 'batch size',
                            },
                        ),
                        new Input(
                            'other lines',
                            $absolute->plus(Band::exact($percent * $total)),
                            'g',
                            'this formula',
                        ),
                    ],
                ),
            );
        }
        if ($percent > 1.0005) {
            $whole[] = sprintf('The shares come to %s %%, more than the whole.', Amount::number($percent * 100));
        } elseif ($percents !== [] && ! $hasMass && $fills === [] && $parts === [] && abs($percent - 1) > 0.0005) {
            $whole[] = sprintf(
                'The shares come to %s %% and are read as proportions of that. Mark one line "to fill" to close it.',
                Amount::number($percent * 100),
            );
        }

        return [$masses, $problems, $whole];
    }

    /**
     * The mass of the whole that the line "to fill" states, grams; 0 when it states none. From a volume it is worked
     * out: the volumes of the lines at 20 °C add up to it.
     *
     * @param  array<int, Amount>  $fills
     * @param  array<int, Amount>  $percents
     * @param  array<int, Figure>  $masses
     * @param  array<int, Ingredient>  $ingredients
     */
    private static function stated(array $fills, array $percents, array $masses, array $ingredients): float
    {
        $line = array_key_first($fills);
        if ($line === null || $fills[$line]->millilitres <= 0.0) {
            return $line === null ? 0.0 : $fills[$line]->count->best;
        }
        $perGram = static fn (int $i): float => 1 / self::density20($ingredients[$i]);
        // V = sum(m/d) + T sum(p/d) + (T (1 - sum p) - sum m)/d of the filling, solved for T.
        $left = $fills[$line]->millilitres;
        foreach ($masses as $i => $figure) {
            $left -= $figure->band->best * ($perGram($i) - $perGram($line));
        }
        $each = $perGram($line);
        foreach ($percents as $i => $amount) {
            $each += ($amount->count->best / 100) * ($perGram($i) - $perGram($line));
        }

        return max(0.001, $left / $each);
    }

    /** g/ml at 20 °C; what has none counts as oil. */
    private static function density20(Ingredient $ingredient): float
    {
        return $ingredient->facts->best(Property::Density20, 0.92);
    }

    private static function proportion(Band $grams, float $scale, string $words, Band $total): Figure
    {
        return new Figure(
            Band::of(max(0.0, $grams->low - $scale / 2), $grams->best, $grams->high + $scale / 2),
            'g',
            Basis::Converted,
            new Working('shares', $words.' Weighing it adds half the resolution of the scale.', [
                new Input('whole', $total, 'g', 'batch size'),
                new Input('scale resolution', Band::exact($scale), 'g', 'studio setting'),
            ]),
        );
    }

    /**
     * Scales everything to the size wanted and works out the shares.
     *
     * @param  array<int, Ingredient>  $ingredients
     * @param  array<int, Amount>  $amounts
     * @param  array<int, Figure>  $masses
     * @param  array<int, string>  $problems
     * @param  list<string>  $whole
     */
    private static function sized(
        Formula $formula,
        Context $context,
        array $ingredients,
        array $amounts,
        array $masses,
        array $problems,
        array $whole,
    ): self {
        ksort($masses);
        $masses = array_filter($masses, static fn (int $i): bool => $problems[$i] === '', ARRAY_FILTER_USE_KEY);
        $written = self::built($formula, $ingredients, $amounts, $masses, $problems, $whole);
        $target = $formula->size->target($written->density());
        if ($target <= 0.0 || $written->totalGrams->best <= 0.0) {
            return $written;
        }
        $factor = $target / $written->totalGrams->best;
        $half = $context->kitchen->scaleGrams / 2;
        $batch = [];
        foreach ($masses as $i => $figure) {
            // What is weighed is weighed anew at the batch's size: half the resolution counts there, not scaled with
            // it.
            $weighed = $figure->basis === Basis::Measured
                    ? self::written($amounts[$i])->scaled($factor)
                    : Band::exact(0.0);
            $batch[$i] = new Figure(
                $figure->basis === Basis::Measured
                    ? Band::of(max(0.0, $weighed->low - $half), $weighed->best, $weighed->high + $half)
                    : $figure->band->scaled($factor),
                'g',
                $figure->basis,
                new Working($figure->working->method, $figure->working->words.' Scaled to the batch.', [
                    ...$figure->working->inputs,
                    new Input('scaled by', Band::exact($factor), '', 'batch size'),
                ]),
            );
        }

        return self::built($formula, $ingredients, $amounts, $batch, $problems, $whole);
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
     * @param  array<int, string>  $problems
     * @param  list<string>  $whole
     */
    private static function built(
        Formula $formula,
        array $ingredients,
        array $amounts,
        array $masses,
        array $problems,
        array $whole,
    ): self {
        $nothing = new Figure(
            Band::exact(0.0),
            'g',
            Basis::Estimated,
            new Working('amounts', 'The mass of this line cannot be told.', []),
        );
        $bands = array_map(static fn (Figure $f): Band => $f->band, $masses);
        $shares = array_combine(array_keys($bands), Shares::of(array_values($bands)));
        $portions = [];
        foreach ($formula->lines as $i => $line) {
            $portions[] = new Portion(
                $line,
                $ingredients[$i],
                isset($amounts[$i]) ? [$amounts[$i]] : [],
                $masses[$i] ?? $nothing,
                $shares[$i] ?? Band::exact(0.0),
                $problems[$i],
            );
        }

        return new self(
            $formula,
            $portions,
            array_reduce($bands, static fn (Band $sum, Band $b): Band => $sum->plus($b), Band::exact(0.0)),
            $whole,
        );
    }
}
