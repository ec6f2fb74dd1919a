<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Ingredient;
use Crown\Measure\AmountReader;
use Crown\Measure\CannotTell;
use Crown\Measure\Converter;
use Crown\Measure\Kitchen;
use Crown\Measure\MeasureError;
use Crown\Words\Message;

/**
 * Grams of what goes into a jar, from an amount as it is written: "40 g", "1 cup", "24 capsules of 400 mg", "412 - 180
 * g" for a bottle weighed full and empty.
 */
final class Quantity
{
    /** What is written for "as much as covers the herb". */
    private const COVER = 'to cover';

    public static function covers(string $written): bool
    {
        return mb_strtolower(trim($written)) === self::COVER;
    }

    /** @throws SteepError|MeasureError|CannotTell about "amount" */
    public static function grams(
        string $written,
        Ingredient $ingredient,
        string $form,
        Kitchen $kitchen,
    ): float {
        $difference = AmountReader::difference($written);
        if ($difference !== null) {
            return $difference > 0.0
                ? $difference
                : throw SteepError::field('amount', new Message('steep.allowed.bottle'));
        }
        $amount = AmountReader::read($written);
        if ($amount->unit->isRelative()) {
            throw SteepError::field('amount', new Message('steep.allowed.own-amount'));
        }

        return (new Converter($kitchen))->grams($amount, $ingredient->substance($form))->band->best;
    }
}
