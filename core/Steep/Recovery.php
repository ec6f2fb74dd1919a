<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Band;
use Crown\Measure\Property;

/** How much oil comes out again, and how much stays in the plant. Method page: docs/methods/straining.md. */
final readonly class Recovery
{
    /** Grams of oil that a gram of plant keeps, where it is not known. */
    private const KEPT = [0.6, 1.2, 2.0];

    /** A fresh plant that is blended keeps so many times as much. Source: estimate of ours. */
    private const BLENDED = [1.3, 2.0, 3.0];

    /** A herb that was drawn before is full already: this part of it is kept anew. */
    private const KEPT_AGAIN = 0.15;

    /**
     * @param  Band|null  $retention grams of oil kept per gram of plant, from the studio's own past steeps; null for
     *     the handbook's
     */
    public function __construct(
        private Charge $charge,
        private Way $way,
        private float $oilLeftGrams,
        private ?Band $retention,
    ) {
    }

    /** Grams of oil that the plants keep when it is strained. */
    public function keptGrams(): Band
    {
        if ($this->retention !== null) {
            return $this->retention->scaled($this->charge->plantGrams());
        }
        $kept = Band::exact(0.0);
        foreach ($this->charge->herbs as $herb) {
            $kept = $kept->plus(
                $this->retentionOf($herb)->scaled($herb->grams * ($herb->draw > 1 ? self::KEPT_AGAIN : 1.0)),
            );
        }

        return $kept;
    }

    /** Grams of oil to be had on the day of straining: what is in it less what the plants keep. */
    public function yieldGrams(): Band
    {
        return Band::exact($this->oilLeftGrams)->minus($this->keptGrams())->atLeast(0.0);
    }

    private function retentionOf(Herb $herb): Band
    {
        $facts = $herb->plant->factsIn($herb->form);
        $property = $this->way->pressed ? Property::RetentionPressed : Property::Retention;

        return match (true) {
            // What is blended has far more skin to hold oil with.
            $herb->form === 'fresh' && $herb->preparation === Preparation::Blended && $facts->has(
                Property::Retention,
            ) => $facts->get(Property::Retention)->band->times(Band::of(...self::BLENDED)),
            $facts->has($property) => $facts->get($property)->band,
            $facts->has(Property::Retention) => $facts->get(Property::Retention)->band,
            default => Band::of(...self::KEPT),
        };
    }
}
