<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Nature;
use Crown\Formula\Change;
use Crown\Measure\Amount;
use Crown\Measure\Band;
use Crown\Measure\Property;
use Crown\Measure\Unit;

/** The essential oils of a composition against what an audience may bear. Method page: docs/methods/load.md. */
final readonly class Load
{
    /** @param  list<Portion>  $oils */
    private function __construct(private Composition $composition, public array $oils, private float $scaleGrams)
    {
    }

    /** @param  float  $scaleGrams resolution of the scale on which a cure's amounts will be weighed */
    public static function of(Composition $composition, float $scaleGrams): self
    {
        $oils = array_filter(
            $composition->present(),
            static fn (Portion $p): bool => $p->ingredient->kind === IngredientKind::EssentialOil
                || $p->ingredient->nature() === Nature::Scent,
        );

        return new self($composition, array_values($oils), $scaleGrams);
    }

    /** All essential oils together, per cent of the finished mass. */
    public function percent(): Band
    {
        return $this->composition->shareOf($this->oils)->scaled(100);
    }

    /**
     * The change that brings these oils to at most a ceiling in the worst case, keeping their proportions as nearly as
     * whole drops allow. A line left with nothing is taken out.
     *
     * @param  list<Portion>  $oils
     * @param  float  $ceiling per cent of the finished mass
     */
    public function reduceTo(float $ceiling, array $oils): Change
    {
        $lines = $among = [];
        foreach ($oils as $portion) {
            $lines[$portion->line->id] = $portion->whole();
            $among[$portion->key()] = true;
        }
        $high = array_sum(array_map(static fn (Portion $p): float => $p->grams->band->high, $oils));
        // Two parts of one blend are no more than all of it.
        $high = min($high, array_sum(array_map(static fn (Portion $p): float => $p->grams->band->high, $lines)));
        $others = $along = 0.0;
        foreach ($this->composition->counted() as $portion) {
            $low = isset($among[$portion->key()]) ? 0.0 : $portion->grams->band->low;
            // What stands in a blend beside them grows less with them.
            isset($lines[$portion->line->id]) ? $along += $low : $others += $low;
        }
        $fraction = $ceiling / 100;
        // hi f / (hi f + along f + others) = ceiling, solved for f.
        $over = $high * (1 - $fraction) - $along * $fraction;

        return $this->scaledBy($over > 0.0 ? min(1.0, ($fraction * $others) / $over) : 1.0, $oils);
    }

    /**
     * The change after which the shares of these oils are at worst so large a part of what they are now. Their lines
     * become less than that part: the whole becomes less with them, and more so the more of it they are.
     *
     * @param  list<Portion>  $oils
     * @param  float  $part above 0 and at most 1
     */
    public function reduceToPart(float $part, array $oils): Change
    {
        $lines = [];
        foreach ($oils as $portion) {
            $lines[$portion->line->id] = true;
        }
        $high = $others = 0.0;
        foreach ($this->composition->weighed() as $portion) {
            $grams = $portion->grams->band;
            isset($lines[$portion->line->id]) ? $high += $grams->high : $others += $grams->low;
        }
        // f hi / (f hi + others) = part x hi / (hi + others), solved for f.
        $whole = $others + $high * (1 - $part);

        return $this->scaledBy($whole > 0.0 ? $part * $others / $whole : 1.0, $oils);
    }

    /** @param  list<Portion>  $oils */
    private function scaledBy(float $factor, array $oils): Change
    {
        $amounts = [];
        foreach ($oils as $portion) {
            $amounts[$portion->line->id] = $this->fewer($portion->whole(), $factor);
        }

        // A scent "to fill" that had no room would find some now.
        foreach ($this->composition->portions as $portion) {
            $fills = ($portion->line->amount->read->unit ?? null) === Unit::Fill;
            if ($fills && ! $portion->counts() && $portion->ingredient->kind === IngredientKind::EssentialOil) {
                $amounts[$portion->line->id] = '';
            }
        }

        return Change::amounts($amounts);
    }

    /**
     * The amount times a factor of at most 1, rounded down to what can be measured: whole drops, hundredths of a gram
     * or per cent; none where nobody knows how much it is.
     */
    private function fewer(Portion $portion, float $factor): string
    {
        if (! $portion->counts()) {
            return '';
        }
        $amount = $portion->read();
        if ($amount->unit === Unit::Drop && $amount->also === []) {
            $drops = (int) floor($amount->count->high * $factor + 1e-9);

            return $drops < 1 ? '' : Amount::drops($drops)->written;
        }
        $down = static fn (float $x): float => floor($x * 100 + 1e-9) / 100;
        // The uncertainty of weighing stays as wide when there is less: it comes off the mass that is allowed at worst.
        $band = $portion->grams->band;
        $half = max($band->high - $band->best, $this->scaleGrams / 2);
        $left = max(0.0, $band->high * $factor - $half) / $band->best;
        if ($amount->unit === Unit::Percent) {
            $percent = $down($amount->count->best * $left);

            return $percent <= 0.0 ? '' : Amount::percent($percent)->written;
        }
        $grams = $down($band->best * $left);

        return $grams <= 0.0 ? '' : Amount::grams($grams)->written;
    }

    /** Whether a share is over a limit as both are shown, to the hundredth of a per cent: 3.00 is not over 3. */
    public static function isOver(float $percent, float $limit): bool
    {
        return round($percent, 2) > round($limit, 2) || ($limit < 0.01 && $percent > $limit);
    }

    /** The dermal maximum of a line's oil in per cent, or 100 where none is given. */
    public static function dermalMax(Portion $portion): float
    {
        return $portion->ingredient->facts->best(Property::DermalMax, 100.0);
    }

    /**
     * The sum over all lines that bear a constituent of share x content / limit, worst case; over 1 is too much.
     *
     * @param  float  $limit per cent of the finished mass
     */
    public function constituent(string $name, float $limit): ConstituentSum
    {
        // Asked of every line for every constituent: what brings none is passed over at once.
        $bearers = [];
        foreach ($this->composition->counted() as $portion) {
            if (isset($portion->ingredient->composition->constituents[$name])) {
                $bearers[] = $portion;
            }
        }
        $most = $bearers === []
            ? 0.0
            : $this->composition->most(static fn (Ingredient $i): float => self::brings($i, $name));

        return new ConstituentSum($most / $limit, $bearers);
    }

    /** Per cent of a constituent that something brings into the product at worst: a plant all that is in it. */
    public static function brings(Ingredient $what, string $constituent): float
    {
        return $what->composition->constituents[$constituent]->band->high ?? 0.0;
    }
}
