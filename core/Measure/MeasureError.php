<?php

declare(strict_types=1);

namespace Crown\Measure;

use Crown\Problem;

/** A quantity that cannot be: the message says what was wrong and what is allowed. */
final class MeasureError extends Problem
{
    public static function disorderedBand(float $low, float $best, float $high): self
    {
        return new self(
            'amount',
            'disordered-band',
            sprintf('A band must rise: low %g, best %g, high %g does not.', $low, $best, $high),
            ['low' => $low, 'best' => $best, 'high' => $high],
        );
    }

    public static function notFinite(): self
    {
        return new self(
            'amount',
            'not-finite',
            'A quantity must be an ordinary number; this one is too large to work with.',
        );
    }

    /** A thing of the kitchen that cannot be so. */
    public static function kit(string $field, string $allowed): self
    {
        return new self($field, 'kit', $allowed);
    }

    public static function badSpoon(): self
    {
        return new self(
            'grams',
            'bad-spoon',
            'A spoon or cup of your own is a teaspoon, a tablespoon or a cup, and weighs something when it is full.',
        );
    }

    public static function divisionByNothing(): self
    {
        return new self('amount', 'division-by-nothing', 'Cannot divide by a quantity that may be zero.');
    }

    public static function unreadableAmount(string $text): self
    {
        $shown = mb_strlen($text) > 40 ? mb_substr($text, 0, 40).'…' : $text;

        return new self(
            'amount',
            'unreadable-amount',
            sprintf(
                'The amount "%s" could not be read. Write a number and a unit, for example 20 g, 2 tbsp, 1/2 cup, 12 '
                    .'drops, 18 %%, 3 parts or to fill.',
                $shown,
            ),
            ['text' => $text],
        );
    }

    public static function vagueAmount(string $text): self
    {
        return new self(
            'amount',
            'vague-amount',
            sprintf(
                '"%s" is another amount in every hand, so its mass cannot be told. Weigh it once, or write spoons, '
                    .'cups, drops or grams.',
                $text,
            ),
            ['text' => $text],
        );
    }

    public static function negativeAmount(string $text): self
    {
        return new self(
            'amount',
            'negative-amount',
            sprintf('The amount "%s" is negative or zero; an amount must be more than nothing.', $text),
            ['text' => $text],
        );
    }

    public static function enormousAmount(string $text): self
    {
        return new self(
            'amount',
            'enormous-amount',
            sprintf('The amount "%s" is more than a tonne; amounts up to 1,000 kg are allowed.', $text),
            ['text' => $text],
        );
    }

    public static function badScale(float $grams): self
    {
        return new self(
            'scale_grams',
            'bad-scale',
            sprintf('A scale resolution of %g g is not allowed; it must be above 0 and at most 100 g.', $grams),
            ['grams' => $grams],
        );
    }

    public static function badBowl(float $millilitres): self
    {
        return new self(
            'bowl_ml',
            'bad-bowl',
            sprintf('A bowl of %g ml is not allowed; it must be above 0 and at most 100,000 ml.', $millilitres),
            ['millilitres' => $millilitres],
        );
    }

    public static function badCalibration(): self
    {
        return new self(
            'calibration',
            'bad-calibration',
            'A drop calibration needs a count of drops and a weight, both more than nothing.',
        );
    }

    public static function unreadableTime(string $text): self
    {
        return new self(
            'held_for',
            'unreadable-time',
            sprintf('"%s" is no time. Write it as "30 minutes", "45 to 60 min" or "2 hours".', $text),
            ['text' => $text],
        );
    }
}
