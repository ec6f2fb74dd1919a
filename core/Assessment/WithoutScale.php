<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\IngredientKind;
use Crown\Formula\Formula;
use Crown\Formula\FormulaError;
use Crown\Formula\Size;
use Crown\Measure\Amount;
use Crown\Measure\AmountReader;
use Crown\Measure\CannotTell;
use Crown\Measure\Converter;
use Crown\Measure\Kitchen;
use Crown\Measure\Property;
use Crown\Measure\Shares;
use Crown\Measure\Unit;
use Crown\Measure\WrittenAmount;
use Crown\Words\Message;

/**
 * A formula measured with spoons, cups and whole drops, or poured to marks on a bottle. Method page:
 * docs/methods/without-scale.md.
 */
final readonly class WithoutScale
{
    private const WHOLES = ['', '1', '2', '3', '4', '5', '6', '7', '8'];

    private const CUP_FRACTIONS = ['', '1/4', '1/3', '1/2', '2/3', '3/4'];

    private const MOST_DROPS = 60;

    /** A height that cannot be told from its neighbour on a strip of paper, mm. */
    private const TOO_LOW = 1.0;

    /**
     * @param  Formula  $formula the same with kitchen measures in the place of its amounts, in the batch's size
     * @param  array<string, string|null>  $measures by line, as a maker writes it; null when it cannot be told
     */
    private function __construct(public Composition $composition, public Formula $formula, public array $measures)
    {
    }

    public static function of(Composition $composition, Kitchen $kitchen): self
    {
        $converter = new Converter($kitchen);
        $lines = $measures = [];
        foreach ($composition->portions as $portion) {
            [$measure, $form] = $portion->counts() ? self::nearest($portion, $converter) : [null, $portion->line->form];
            $measures[$portion->line->id] = $measure;
            $grams = $portion->grams->band->best;
            // What no spoon can say stays weighed, at the batch's size, so that the others keep their proportion to it.
            $lines[]
                = $measure !== null
                    ? $portion->line->withAmount(new WrittenAmount($measure))->withForm($form)
                    : ($grams > 0.0
                        ? $portion->line->withAmount(new WrittenAmount(Amount::grams($grams)->written))
                        : $portion->line);
        }

        return new self($composition, $composition->formula->withLines($lines)->withSize(Size::asWritten()), $measures);
    }

    /**
     * Each line now and as the measures make it.
     *
     * @param  Composition  $then of the formula in kitchen measures
     * @return list<array{
     *     line: string, name: string, grams: float, ounces: float, measure: string, percent_now: float,
     *     percent_then: float,
     * }>
     */
    public function rows(Composition $then): array
    {
        $shown = static fn (Composition $of): array => Shares::displayed(
            array_map(static fn (Portion $p): float => $p->share->best, $of->portions),
        );
        [$before, $after] = [$shown($this->composition), $shown($then)];
        $rows = [];
        foreach ($this->composition->portions as $i => $portion) {
            $grams = $portion->grams->band->best;
            $rows[] = [
                'line' => $portion->line->id,
                'name' => $portion->ingredient->name,
                'grams' => round($grams, 3),
                'ounces' => round($grams / Unit::Ounce->grams(), 4),
                'measure' => $this->measures[$portion->line->id] ?? '',
                'percent_now' => $before[$i],
                'percent_then' => $after[$i],
            ];
        }

        return $rows;
    }

    /**
     * The heights to which each line is poured in turn into a straight-sided bottle.
     *
     * @param  float  $innerMillimetres inner width of the bottle, 10 to 300 mm
     * @return list<array{line: string, name: string, from_mm: float, to_mm: float, drops: bool}> from the bottom up;
     *     "drops" is too low to pour by eye
     *
     * @throws FormulaError when a line does not pour, or the width is no bottle's
     */
    public function strip(float $innerMillimetres): array
    {
        if ($innerMillimetres < 10.0 || $innerMillimetres > 300.0) {
            throw FormulaError::field('bottle_mm', new Message('assessment.without-scale.inner-width-from-mm'));
        }
        $area = M_PI * ($innerMillimetres / 2) ** 2;
        $height = 0.0;
        $strip = [];
        foreach ($this->composition->weighed() as $portion) {
            if (
                ! $portion->ingredient->substance($portion->form())->liquid
                || ! $portion->ingredient->facts->has(Property::Density20)
            ) {
                throw FormulaError::doesNotPour($portion->ingredient->name);
            }
            // 1 ml is 1000 cubic millimetres.
            $rise
                = (($portion->grams->band->best / $portion->ingredient->facts->best(Property::Density20, 0.92)) * 1000)
                / $area;
            $strip[] = [
                'line' => $portion->line->id,
                'name' => $portion->ingredient->name,
                'from_mm' => round($height, 1),
                'to_mm' => round($height + $rise, 1),
                'drops' => $rise < self::TOO_LOW,
            ];
            $height += $rise;
        }

        return $strip;
    }

    /** @return array{string|null, string} the measure, null when none can be told, and the form it is measured in */
    private static function nearest(Portion $portion, Converter $converter): array
    {
        $target = $portion->grams->band->best;
        // A cup of chunks is anyone's guess; a butter is melted first.
        $form
            = isset($portion->ingredient->forms['melted']) || $portion->ingredient->kind === IngredientKind::Butter
                ? 'melted'
                : $portion->form();
        $substance = $portion->ingredient->substance($form);
        $scent = $portion->ingredient->kind === IngredientKind::EssentialOil;
        $best = null;
        $off = INF;
        foreach ($scent ? self::drops() : [...$substance->liquid ? self::drops() : [], ...self::spoons()] as $written) {
            try {
                $grams = $converter->grams(AmountReader::read($written), $substance)->band->best;
            } catch (CannotTell) {
                continue;
            }
            // A strong oil is never rounded up, unless there would be none.
            $miss = $scent && $grams > $target * 1.0001 && $best !== null ? INF : abs(log($grams / max($target, 1e-9)));
            if ($miss < $off - 1e-9) {
                [$best, $off] = [$written, $miss];
            }
        }

        return [$best, $best === null ? $portion->line->form : $form];
    }

    /** @return list<string> */
    private static function drops(): array
    {
        return array_map(static fn (int $n): string => $n.' '.Unit::Drop->after($n), range(1, self::MOST_DROPS));
    }

    /** @return list<string> the simplest first: spoons whole and half, then cups in fractions */
    private static function spoons(): array
    {
        $measures = [
            '1/2 tsp',
            '1 tsp',
            '1 1/2 tsp',
            '2 tsp',
            '2 1/2 tsp',
            '1 tbsp',
            '1 1/2 tbsp',
            '2 tbsp',
            '2 1/2 tbsp',
            '3 tbsp',
            '3 1/2 tbsp',
        ];
        foreach (self::WHOLES as $whole) {
            foreach (self::CUP_FRACTIONS as $fraction) {
                if ($whole !== '' || $fraction !== '') {
                    $measures[] = trim($whole.' '.$fraction).' cup';
                }
            }
        }

        return $measures;
    }
}
