<?php

declare(strict_types=1);

namespace Crown\Catalogue\Internal;

use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Name;
use Crown\Catalogue\Nature;
use Crown\Json\WordFile;

/**
 * What the words of a name say a thing is: a water is no oil, an oil no powder. However like the rest of the names are,
 * one never slides to a thing of another nature. The words stand in data/names/natures.json, for all languages.
 */
final class NatureOfName
{
    private const FILE = '/data/names/natures.json';

    /** What stands between "juice" and what it is of. */
    private const OF = '(?:(?:de|du|des|di|del|della|do|da|of|van|von|vom)\s|[dl][\'’])';

    /** What is no oil, besides plants. */
    private const NO_OIL = [
        IngredientKind::Starch,
        IngredientKind::Water,
        IngredientKind::Gel,
        IngredientKind::Humectant,
        IngredientKind::WaterActive,
    ];

    /** What a watery name may mean. */
    private const WATERY = [IngredientKind::Water, IngredientKind::Gel, IngredientKind::Humectant];

    /** What is a part of a plant is no oil and no water of it. */
    private const PARTS = ['leaf', 'leave', 'leaves', 'flower', 'root', 'bark', 'petal', 'peel', 'herb', 'bud'];

    /** How it was pressed or cleaned: one excludes the other. */
    private const RAW = ['unrefined', 'raw', 'virgin'];

    private const CLEANED = ['refined', 'deodorised', 'deodorized'];

    /** Some of a name's words, and what they say; the first that is true counts. */
    private const ORDER = [
        [Nature::Scent, ['last', 'first', 'anywhere']],
        [Nature::Watery, ['last', 'ends', 'first', 'product']],
        [Nature::Oil, ['last', 'ends', 'first']],
        [Nature::Fat, ['last', 'ends', 'first']],
        [Nature::Watery, ['anywhere']],
        [Nature::Dry, ['last', 'ends', 'first', 'anywhere']],
    ];

    /** What a name says that the thing is, a fruit among them; null when it says nothing of it. */
    public static function of(string $name): ?Nature
    {
        return self::said($name) ?? (self::isFruit($name) ? Nature::Watery : null);
    }

    /** The same by its words alone: an "orange" may be an oil, an "orange juice" may not. */
    private static function said(string $name): ?Nature
    {
        foreach (self::ORDER as [$nature, $places]) {
            foreach ($places as $place) {
                if (preg_match(self::pattern($nature, $place), self::plain($name)) === 1) {
                    return $nature;
                }
            }
        }

        return null;
    }

    /** Whether it is a fruit or a fresh thing when it is named alone: "avocado", "100 g cucumber". */
    public static function isFruit(string $name): bool
    {
        /** @var array<string, true> $fruits */
        static $fruits = [];
        if ($fruits === []) {
            $fruits = array_fill_keys(array_map(Name::normalised(...), self::words('fruit', 'names')), true);
        }

        return isset($fruits[Name::normalised($name)]);
    }

    /**
     * What a watery name is made of, in words: "nettle" of "nettle tea"; null where the name is not built so.
     *
     * @return array{of: string, said: string}|null with the word that says how: tea, juice, gel
     */
    public static function madeOf(string $name): ?array
    {
        $plain = self::plain($name);
        foreach (['last', 'first'] as $place) {
            if (preg_match(self::pattern(Nature::Watery, $place), $plain, $m, PREG_OFFSET_CAPTURE) === 1) {
                $said = trim($m['word'][0]);
                $of = $place === 'last' ? substr($plain, 0, $m['word'][1]) : substr($plain, strlen($m[0][0]));

                return trim($of) === '' ? null : ['of' => trim($of), 'said' => $said];
            }
        }

        return null;
    }

    /**
     * Whether a name may mean an ingredient.
     *
     * @param  string  $matched the ingredient's own name that is like it
     */
    public static function fits(string $name, Ingredient $ingredient, string $matched): bool
    {
        $words = explode(' ', Name::normalised($name));
        $last = $words[count($words) - 1];
        $known = explode(' ', Name::normalised($matched));
        if (in_array($last, $known, true)) {
            return self::sameLetters($words, $known) && self::sameGrade($words, $known);
        }
        $kind = $ingredient->kind;

        return self::sameLetters($words, $known)
            && self::sameGrade($words, $known)
            && match (true) {
                in_array($last, self::PARTS, true) => $kind->isPlant() || ! $kind->isLiquid(),
                $last === 'powder' => ! $kind->isFat()
                    && $kind !== IngredientKind::EssentialOil
                    && ! in_array($kind, self::WATERY, true),
                $last === 'wax' => $kind === IngredientKind::Wax || $kind === IngredientKind::LiquidWaxEster,
                $last === 'butter' => $kind === IngredientKind::Butter,
                $last === 'oil' => ! $kind->isPlant() && ! in_array($kind, self::NO_OIL, true),
                self::said($name) === Nature::Watery => in_array($kind, self::WATERY, true),
                default => true,
            };
    }

    /**
     * What is called raw is not the refined, and the other way round.
     *
     * @param  list<string>  $words
     * @param  list<string>  $known
     */
    private static function sameGrade(array $words, array $known): bool
    {
        $raw = array_intersect(self::RAW, $words) !== [];
        $cleaned = array_intersect(self::CLEANED, $words) !== [];

        return ! ($raw && array_intersect(self::CLEANED, $known) !== [])
            && ! ($cleaned && array_intersect(self::RAW, $known) !== []);
    }

    /**
     * "Vitamin C" is not vitamin E: a letter by itself is a name.
     *
     * @param  list<string>  $words
     * @param  list<string>  $known
     */
    private static function sameLetters(array $words, array $known): bool
    {
        [$wanted, $held] = [self::letters($words), self::letters($known)];

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

    private static function plain(string $name): string
    {
        return trim(mb_strtolower(preg_replace('/\s*\([^)]*\)|,.*$/u', '', $name) ?? $name));
    }

    private static function pattern(Nature $nature, string $place): string
    {
        /** @var array<string, string> $patterns */
        static $patterns = [];
        $key = $nature->value.' '.$place;
        if (! isset($patterns[$key])) {
            $quoted = static fn (string $word): string => preg_quote($word, '/');
            $words = array_map($quoted, self::words($nature->value, $place));
            $any = $words === [] ? '(?!)' : implode('|', $words);
            $patterns[$key] = match ($place) {
                'last', 'product' => "/(?:^|[\\s-])(?<word>$any)(?:s|es|n|en)?$/u",
                'ends' => "/\\p{L}{3,}(?<word>$any)$/u",
                'first' => "/^(?<word>$any)s?\\s+".self::OF.'/u',
                default => "/(?:^|\\s)(?<word>$any)(?=\\s|$)/u",
            };
        }

        return $patterns[$key];
    }

    /** @return list<string> */
    private static function words(string $nature, string $place): array
    {
        /** @var array<string, array<string, list<string>>> $all */
        static $all = [];
        $all = $all === [] ? WordFile::read(dirname(__DIR__, 3).self::FILE) : $all;

        return $all[$nature][$place] ?? [];
    }
}
