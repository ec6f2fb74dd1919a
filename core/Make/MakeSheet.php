<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Assessment\Assessment;
use Crown\Assessment\Portion;
use Crown\Catalogue\IngredientKind;
use Crown\Measure\Amount;
use Crown\Measure\Converter;
use Crown\Measure\Kitchen;
use Crown\Measure\Unit;

/** What to gather, weigh and do, in order, generated from an assessed formula. Method page: docs/methods/making.md. */
final class MakeSheet
{
    /** A line is off by no more than this share of its target. */
    private const MOST = 0.1;

    /** A usual drop of an essential oil, g: 0.035 ml x 0.9 g/ml. */
    private const DROP_GRAMS = 0.032;

    private readonly Kitchen $kitchen;

    /** @var list<Task>|null worked out when it is asked for */
    private ?array $tasks = null;

    /** @param  float  $factor how much larger the batch was made at the counter, to put its shares right */
    public function __construct(private readonly Assessment $assessment, public readonly float $factor = 1.0)
    {
        $this->kitchen = $assessment->subject->context->kitchen;
    }

    /**
     * Lines in the order in which they are weighed: phase by phase, each with its target and tolerance in grams.
     *
     * @return list<Weighing>
     */
    public function weighings(): array
    {
        $portions = $this->assessment->subject->composition->weighed();
        usort(
            $portions,
            static fn (Portion $a, Portion $b): int => $a->line->phase->turn() <=> $b->line->phase->turn(),
        );

        return array_map(fn (Portion $p): Weighing => $this->factor > 1.0
            ? $this->weighing($p)->scaled($this->factor)
            : $this->weighing($p), $portions);
    }

    private function weighing(Portion $portion): Weighing
    {
        $grams = $portion->grams->band->best;

        return new Weighing(
            $portion,
            $grams,
            $this->tolerance($grams, $portion->ingredient->kind === IngredientKind::EssentialOil),
            $this->kitchen->stepFor($grams),
            $this->dropGrams($portion),
        );
    }

    /** Grams of one drop of a line that is written in drops; null for any other. */
    private function dropGrams(Portion $portion): ?float
    {
        $amount = $portion->line->amount->read;
        if ($amount === null || $amount->unit !== Unit::Drop || $amount->also !== []) {
            return null;
        }
        $converter = new Converter($this->assessment->subject->context->kitchen);
        $one = $converter->grams(Amount::drops(1), $portion->ingredient->substance($portion->form()));

        return $one->band->best;
    }

    /**
     * Within 1 % of the target, or what the scale can show; at most a tenth of the target, and of an essential oil one
     * drop.
     */
    public function tolerance(float $target, bool $essential = false): float
    {
        $most = $essential ? min(self::DROP_GRAMS, self::MOST * $target) : self::MOST * $target;

        return min($most, max($this->kitchen->stepFor($target), 0.01 * $target));
    }

    /** @return list<Task> as the maker wrote it where that is safe, else as the house does it */
    public function tasks(): array
    {
        return $this->tasks ??= Procedure::of($this->assessment)->tasks;
    }
}
