<?php

declare(strict_types=1);

namespace Crown\Catalogue\Internal;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Name;

/**
 * What the last word of a name says a thing is: a water is no oil, an oil no powder. However like the rest of the names
 * are, one never slides to a thing of another nature.
 */
final class Nature
{
    /** What is poured from these is mostly water. */
    private const WET = [
        'water',
        'juice',
        'tea',
        'milk',
        'hydrosol',
        'hydrolat',
        'infusion',
        'decoction',
        'ferment',
        'brew',
        'broth',
        'vinegar',
        'beer',
    ];

    /** What is no oil, besides plants. */
    private const NO_OIL = [
        IngredientKind::Starch,
        IngredientKind::Water,
        IngredientKind::Gel,
        IngredientKind::Humectant,
        IngredientKind::WaterActive,
    ];

    /** Whether a name says that the thing is wet: "fenugreek water", "lemon juice". */
    public static function isWet(string $name): bool
    {
        return in_array(self::last($name), self::WET, true);
    }

    /**
     * Whether a name may mean an ingredient.
     *
     * @param  string  $matched the ingredient's own name that is like it
     */
    public static function fits(string $name, Ingredient $ingredient, string $matched): bool
    {
        $last = self::last($name);
        $known = explode(' ', Name::normalised($matched));
        if (in_array($last, $known, true)) {
            return self::sameLetters($name, $known);
        }
        $kind = $ingredient->kind;

        return self::sameLetters($name, $known)
            && match (true) {
                in_array($last, self::WET, true) => in_array(
                    $kind,
                    [IngredientKind::Water, IngredientKind::Gel, IngredientKind::Humectant],
                    true,
                ),
                $last === 'oil' => ! $kind->isPlant() && ! in_array($kind, self::NO_OIL, true),
                $last === 'butter' => $kind === IngredientKind::Butter,
                $last === 'wax' => $kind === IngredientKind::Wax || $kind === IngredientKind::LiquidWaxEster,
                $last === 'powder' => ! $kind->isFat() && $kind !== IngredientKind::EssentialOil,
                default => true,
            };
    }

    /**
     * "Vitamin C" is not vitamin E: a letter by itself is a name.
     *
     * @param  list<string>  $known
     */
    private static function sameLetters(string $name, array $known): bool
    {
        [$wanted, $held] = [self::letters(explode(' ', Name::normalised($name))), self::letters($known)];

        return $wanted === [] || $held === [] || array_intersect($wanted, $held) !== [];
    }

    /**
     * @param  list<string>  $words
     * @return list<string>
     */
    private static function letters(array $words): array
    {
        return array_values(array_filter($words, static fn (string $w): bool => strlen($w) === 1 && ctype_alpha($w)));
    }

    private static function last(string $name): string
    {
        $words = explode(' ', Name::normalised($name));

        return $words[count($words) - 1];
    }
}
