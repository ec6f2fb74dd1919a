<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Problem;
use Crown\Words\Message;

/** A batch that cannot be closed, or something that cannot be said of it. */
final class MakeError extends Problem
{
    public static function notWeighed(string $name): self
    {
        return new self(
            'weighings',
            'not-weighed',
            new Message('make.problem.not-weighed', ['name' => $name]),
        );
    }

    public static function nothingShown(): self
    {
        return new self(
            'grams',
            'nothing-shown',
            new Message('make.problem.nothing-shown'),
        );
    }

    public static function noDrops(string $name): self
    {
        return new self('drops', 'no-drops', new Message('make.problem.no-drops', ['name' => $name]));
    }

    public static function canBeWeighed(string $name): self
    {
        return new self('how', 'can-be-weighed', new Message('make.problem.can-be-weighed', ['name' => $name]));
    }

    public static function nothingWeighed(): self
    {
        return new self('weighings', 'nothing-weighed', new Message('make.problem.nothing-weighed'));
    }

    public static function moreThanWeighed(int $jars, float $netGrams, float $weighed): self
    {
        return new self(
            'net_grams',
            'more-than-weighed',
            new Message('make.problem.more-than-weighed', [
                'jars' => $jars,
                'net_grams' => sprintf('%g', $netGrams),
                'weighed' => sprintf('%.0f', $weighed),
            ]),
            ['jars' => $jars, 'net_grams' => $netGrams, 'weighed' => $weighed],
        );
    }

    public static function moreLeftThanWeighed(float $remainder, float $weighed): self
    {
        return new self(
            'remainder_grams',
            'more-left-than-weighed',
            new Message('make.problem.more-left-than-weighed', [
                'remainder' => sprintf('%g', $remainder),
                'weighed' => sprintf('%.0f', $weighed),
            ]),
            ['remainder_grams' => $remainder, 'weighed' => $weighed],
        );
    }

    public static function notFull(string $jar, float $tareGrams): self
    {
        return new self(
            'full_grams',
            'not-full',
            new Message('make.problem.not-full', [
                'jar' => $jar,
                'tare_grams' => sprintf('%g', $tareGrams),
            ]),
            ['jar' => $jar, 'tare_grams' => $tareGrams],
        );
    }

    public static function noTare(): self
    {
        return new self(
            'full_grams',
            'no-tare',
            new Message('make.problem.no-tare'),
        );
    }

    public static function notWithin(string $from): self
    {
        return new self(
            'on',
            'not-within',
            new Message('make.problem.not-within', ['from' => $from]),
            ['from' => $from],
        );
    }

    public static function takesNoAir(): self
    {
        return new self('overrun_percent', 'takes-no-air', new Message('make.problem.takes-no-air'));
    }

    public static function keptNoTime(): self
    {
        return new self(
            'state',
            'kept-no-time',
            new Message('make.problem.kept-no-time'),
        );
    }

    /** @param  list<string>  $stops what is said of each */
    public static function stopped(array $stops): self
    {
        return new self(
            'although',
            'stopped',
            new Message('make.problem.stopped', ['stops' => implode(' ', $stops)]),
        );
    }

    /** @param  list<string>  $stops what is said of each */
    public static function neverMade(array $stops): self
    {
        return new self(
            'although',
            'never-made',
            new Message('make.problem.never-made', ['stops' => implode(' ', $stops)]),
        );
    }

    public static function tooFewReadings(): self
    {
        return new self('readings', 'too-few-readings', new Message('make.problem.too-few-readings'));
    }

    public static function doesNotCool(): self
    {
        return new self('readings', 'does-not-cool', new Message('make.problem.does-not-cool'));
    }

    public static function asColdAsAround(float $celsius): self
    {
        return new self(
            'readings',
            'as-cold-as-around',
            new Message('make.problem.as-cold-as-around', ['celsius' => sprintf('%g', $celsius)]),
            ['celsius' => $celsius],
        );
    }
}
