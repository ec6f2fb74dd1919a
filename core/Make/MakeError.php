<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Measure\Number;
use Crown\Problem;

/** A batch that cannot be closed, or something that cannot be said of it. */
final class MakeError extends Problem
{
    public static function notWeighed(string $name): self
    {
        return new self(
            'weighings',
            'not-weighed',
            sprintf('%s has not been weighed yet. Weigh it, or say that it was left out.', $name),
            ['name' => $name],
        );
    }

    public static function nothingShown(): self
    {
        return new self(
            'grams',
            'nothing-shown',
            'Nothing is no amount. Say that it was left out, or that it is in and too little for this scale.',
        );
    }

    public static function noDrops(string $name): self
    {
        return new self('drops', 'no-drops', sprintf('%s is not written in drops: weigh it.', $name), [
            'name' => $name,
        ]);
    }

    public static function canBeWeighed(string $name): self
    {
        return new self('how', 'can-be-weighed', sprintf('The scale can show this much of %s: weigh it.', $name), [
            'name' => $name,
        ]);
    }

    public static function nothingWeighed(): self
    {
        return new self('weighings', 'nothing-weighed', 'Nothing was weighed, so there is no batch.');
    }

    public static function moreThanWeighed(int $jars, float $netGrams, float $weighed): self
    {
        return new self(
            'net_grams',
            'more-than-weighed',
            sprintf(
                '%s of %g g come to more than the %.0f g that were weighed.',
                Number::counted($jars, 'jar'),
                $netGrams,
                $weighed,
            ),
            ['jars' => $jars, 'net_grams' => $netGrams, 'weighed' => $weighed],
        );
    }

    public static function moreLeftThanWeighed(float $remainder, float $weighed): self
    {
        return new self(
            'remainder_grams',
            'more-left-than-weighed',
            sprintf(
                'The jars and %g g left over come to more than the %.0f g that were weighed.',
                $remainder,
                $weighed,
            ),
            ['remainder_grams' => $remainder, 'weighed' => $weighed],
        );
    }

    public static function notFull(string $jar, float $tareGrams): self
    {
        return new self(
            'full_grams',
            'not-full',
            sprintf('%s weighs %g g empty: weighed full it is more than that.', $jar, $tareGrams),
            ['jar' => $jar, 'tare_grams' => $tareGrams],
        );
    }

    public static function noTare(): self
    {
        return new self(
            'full_grams',
            'no-tare',
            'What this jar weighs empty is not written down: enter the net contents.',
        );
    }

    public static function notWithin(string $from): self
    {
        return new self(
            'on',
            'not-within',
            sprintf('A day from %s, when it was made, to today.', $from),
            ['from' => $from],
        );
    }

    public static function takesNoAir(): self
    {
        return new self('overrun_percent', 'takes-no-air', 'Only a whipped butter takes in air.');
    }

    public static function keptNoTime(): self
    {
        return new self(
            'state',
            'kept-no-time',
            'On the day it was made nothing can be said of how long it keeps.',
        );
    }

    /** @param  list<string>  $stops what is said of each */
    public static function stopped(array $stops): self
    {
        return new self(
            'although',
            'stopped',
            sprintf('%s Say why it is made all the same, or settle it on the bench first.', implode(' ', $stops)),
        );
    }

    /** @param  list<string>  $stops what is said of each */
    public static function neverMade(array $stops): self
    {
        return new self(
            'although',
            'never-made',
            sprintf('%s No reason outweighs this: settle it on the bench first.', implode(' ', $stops)),
        );
    }

    public static function tooFewReadings(): self
    {
        return new self('readings', 'too-few-readings', 'Two readings at different times are wanted.');
    }

    public static function doesNotCool(): self
    {
        return new self('readings', 'does-not-cool', 'Cannot tell: by these readings it does not cool.');
    }

    public static function asColdAsAround(float $celsius): self
    {
        return new self(
            'readings',
            'as-cold-as-around',
            sprintf('Cannot tell: by these readings it is no warmer than where it stands, %g °C.', $celsius),
            ['celsius' => $celsius],
        );
    }
}
