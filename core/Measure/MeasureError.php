<?php

declare(strict_types=1);

namespace Crown\Measure;

use Crown\Problem;
use Crown\Words\Message;

/** A quantity that cannot be: the message says what was wrong and what is allowed. */
final class MeasureError extends Problem
{
    public static function disorderedBand(float $low, float $best, float $high): self
    {
        return new self(
            'amount',
            'disordered-band',
            new Message('measure.problem.disordered-band', [
                'low' => sprintf('%g', $low),
                'best' => sprintf('%g', $best),
                'high' => sprintf('%g', $high),
            ]),
            ['low' => $low, 'best' => $best, 'high' => $high],
        );
    }

    public static function notFinite(): self
    {
        return new self(
            'amount',
            'not-finite',
            new Message('measure.problem.not-finite'),
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
            new Message('measure.problem.bad-spoon'),
        );
    }

    public static function divisionByNothing(): self
    {
        return new self('amount', 'division-by-nothing', new Message('measure.problem.division-by-nothing'));
    }

    public static function unreadableAmount(string $text): self
    {
        $shown = mb_strlen($text) > 40 ? mb_substr($text, 0, 40).'…' : $text;

        return new self(
            'amount',
            'unreadable-amount',
            new Message('measure.problem.unreadable-amount', ['text' => $shown]),
            ['text' => $text],
        );
    }

    public static function vagueAmount(string $text): self
    {
        return new self(
            'amount',
            'vague-amount',
            new Message('measure.problem.vague-amount', ['text' => $text]),
            ['text' => $text],
        );
    }

    public static function negativeAmount(string $text): self
    {
        return new self(
            'amount',
            'negative-amount',
            new Message('measure.problem.negative-amount', ['text' => $text]),
            ['text' => $text],
        );
    }

    public static function enormousAmount(string $text): self
    {
        return new self(
            'amount',
            'enormous-amount',
            new Message('measure.problem.enormous-amount', ['text' => $text]),
            ['text' => $text],
        );
    }

    public static function badScale(float $grams): self
    {
        return new self(
            'scale_grams',
            'bad-scale',
            new Message('measure.problem.bad-scale', ['grams' => sprintf('%g', $grams)]),
            ['grams' => $grams],
        );
    }

    public static function badBowl(float $millilitres): self
    {
        return new self(
            'bowl_ml',
            'bad-bowl',
            new Message('measure.problem.bad-bowl', ['millilitres' => sprintf('%g', $millilitres)]),
            ['millilitres' => $millilitres],
        );
    }

    public static function badCalibration(): self
    {
        return new self(
            'calibration',
            'bad-calibration',
            new Message('measure.problem.bad-calibration'),
        );
    }

    public static function unreadableTime(string $text): self
    {
        return new self(
            'held_for',
            'unreadable-time',
            new Message('measure.problem.unreadable-time', ['text' => $text]),
            ['text' => $text],
        );
    }
}
