<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Amount;
use Crown\Problem;
use Crown\Words\Message;

/** A steep that cannot be planned. */
final class SteepError extends Problem
{
    public static function scent(string $name): self
    {
        return new self('ingredient', 'scent', new Message('steep.problem.scent', ['name' => $name]));
    }

    /** @param  list<string>  $stops what is said of each */
    public static function stopped(array $stops): self
    {
        return new self(
            'although',
            'stopped',
            new Message('steep.problem.stopped', ['stops' => implode(' ', $stops)]),
        );
    }

    /** @param  list<string>  $stops what is said of each */
    public static function neverBegun(array $stops): self
    {
        return new self(
            'although',
            'never-begun',
            new Message('steep.problem.never-begun', ['stops' => implode(' ', $stops)]),
        );
    }

    public static function notAPlant(string $name): self
    {
        return new self('ingredient', 'not-a-plant', new Message('steep.problem.not-a-plant', ['name' => $name]));
    }

    public static function notAnOil(string $name): self
    {
        return new self('ingredient', 'not-an-oil', new Message('steep.problem.not-an-oil', ['name' => $name]));
    }

    public static function scented(string $name): self
    {
        return new self('ingredient', 'scented', new Message('steep.problem.scented', ['name' => $name]));
    }

    /** An oil that still stands on its own plants cannot be poured over others. */
    public static function stillStands(string $oil): self
    {
        return new self('ingredient', 'still-stands', new Message('steep.problem.still-stands', ['name' => $oil]));
    }

    public static function noWidth(): self
    {
        return new self('amount', 'no-width', new Message('steep.problem.no-width'));
    }

    public static function notSoMuchOil(): self
    {
        return new self('grams', 'not-so-much-oil', new Message('steep.problem.not-so-much-oil'));
    }

    /** @param  float  $most grams */
    public static function moreLostThanThereWas(float $most): self
    {
        return new self(
            'after',
            'more-lost-than-there-was',
            new Message('steep.problem.more-lost', ['most' => Amount::number(round($most, 1))]),
            ['most' => $most],
        );
    }
}
