<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** One construct of the language of recipes. */
interface Phrase
{
    /** @return iterable<Found> every way in which it can be read from a place on */
    public function from(int $place, Chart $chart): iterable;
}
