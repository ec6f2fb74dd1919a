<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Amount;
use Crown\Problem;

/** A steep that cannot be planned. */
final class SteepError extends Problem
{
    public static function scent(string $name): self
    {
        return new self(
            'ingredient',
            'scent',
            sprintf(
                '%s is no plant to steep, and heat drives it off: put it into the finished oil, cool, by drops.',
                $name,
            ),
            ['name' => $name],
        );
    }

    /** @param  list<string>  $stops what is said of each */
    public static function stopped(array $stops): self
    {
        return new self('although', 'stopped', implode(' ', $stops).' Say why it is done all the same, or change it.');
    }

    /** @param  list<string>  $stops what is said of each */
    public static function neverBegun(array $stops): self
    {
        return new self('although', 'never-begun', implode(' ', $stops).' No reason outweighs this.');
    }

    public static function notAPlant(string $name): self
    {
        return new self('ingredient', 'not-a-plant', sprintf('%s is not a plant, so it cannot be steeped.', $name), [
            'name' => $name,
        ]);
    }

    public static function notAnOil(string $name): self
    {
        return new self('ingredient', 'not-an-oil', sprintf('%s is not an oil to steep in.', $name), ['name' => $name]);
    }

    public static function scented(string $name): self
    {
        return new self(
            'ingredient',
            'scented',
            sprintf('%s holds essential oils: they go in when the oil is strained, not on the plants.', $name),
            ['name' => $name],
        );
    }

    /** An oil that still stands on its own plants cannot be poured over others. */
    public static function stillStands(string $oil): self
    {
        return new self(
            'ingredient',
            'still-stands',
            sprintf('%s still stands on its own plants. Strain it first.', $oil),
            ['name' => $oil],
        );
    }

    public static function noWidth(): self
    {
        return new self('amount', 'no-width', "To say how much covers the herb, the jar's inner width must be known.");
    }

    public static function notSoMuchOil(): self
    {
        return new self('grams', 'not-so-much-oil', 'There is not so much oil in the jar. Strain it instead.');
    }

    /** @param  float  $most grams */
    public static function moreLostThanThereWas(float $most): self
    {
        return new self(
            'after',
            'more-lost-than-there-was',
            sprintf(
                'There was no more than %s g of water to lose, all weighings together. Weigh the bowl again.',
                Amount::number(round($most, 1)),
            ),
            ['most' => $most],
        );
    }
}
