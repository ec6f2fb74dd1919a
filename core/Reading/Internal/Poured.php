<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Name;
use Crown\Catalogue\NameMatch;
use Crown\Catalogue\Nature;

/**
 * What is poured is wet, and so is a fruit: the tea of a leaf in millilitres, the cucumber and not the oil of its
 * seeds. What may be either is asked. Method page: docs/methods/unknown.md.
 */
final readonly class Poured
{
    /** What only liquids are measured in. */
    private const LIQUID = '/\d \s* (?: mls? | millilit\w* | cl | dl | l | lit(?:er|re)s? | fl\.?\s?oz | fluid\s\w+
        | pints? | quarts? ) \b/ixu';

    /** What powders are measured in as well. */
    private const VOLUME = '/\b(?:cups?|tbsps?|tablespoons?|tsps?|teaspoons?|spoons?|spoonfuls?)\b/iu';

    private const CUP = '/\b(?:cups?|mugs?|glass(?:es)?|pots?)\b/iu';

    private const DROPS = '/\b(?:drops?|gtt)\b/iu';

    private const EXACT = 0.999;

    /** How sure a wet thing is that the name does not say. */
    private const MAYBE = 0.84;

    public function __construct(private Catalogue $catalogue)
    {
    }

    /**
     * The matches of a name with what is poured before the rest.
     *
     * @param  string  $form that the name says, or ""
     * @param  list<NameMatch>  $matches best first
     * @return list<NameMatch>
     */
    public function first(string $name, string $amount, string $form, array $matches): array
    {
        $best = $matches[0]->ingredient ?? null;
        $drops = preg_match(self::DROPS, $amount) === 1;
        if ($drops || in_array($form, ['dried', 'powder', 'seed'], true)) {
            return $matches;
        }
        // Nobody gives a fruit in per cent.
        $isShare = preg_match('/%/', $amount) === 1;
        $isOily = $best !== null && ! $best->kind->isPlant() && ! self::isWatery($best);
        if ($isOily && ! $isShare && Nature::isFruit($name)) {
            return $this->fruit($name, $matches);
        }

        return $matches !== [] && $matches[0]->ingredient->kind->isPlant()
            ? $this->ofPlant($name, $amount, $matches)
            : $matches;
    }

    /**
     * Of the oil or butter that is nearest nobody is sure any more: the fruit may be meant.
     *
     * @param  list<NameMatch>  $matches
     * @return list<NameMatch>
     */
    private function fruit(string $name, array $matches): array
    {
        $wet = array_filter([$this->called("$name fruit"), $this->called("$name juice")]);

        return [
            ...array_map(
                static fn (NameMatch $m): NameMatch => new NameMatch(
                    $m->ingredient,
                    min($m->score, self::MAYBE),
                    $m->matched,
                ),
                $matches,
            ),
            ...array_map(
                static fn (Ingredient $i): NameMatch => new NameMatch($i, self::MAYBE, $name),
                array_values($wet),
            ),
        ];
    }

    /**
     * @param  non-empty-list<NameMatch>  $matches
     * @return non-empty-list<NameMatch>
     */
    private function ofPlant(string $name, string $amount, array $matches): array
    {
        $plant = $matches[0]->ingredient;
        $liquid = preg_match(self::LIQUID, $amount) === 1;
        $sounds = Nature::ofName($name) === Nature::Watery && ! Nature::isFruit($name);
        $surely = ($liquid && ! $this->isSeed($plant))
            || ($sounds && preg_match(self::CUP, $amount) === 1)
            || ($sounds && $matches[0]->score < self::EXACT);
        $leaf = $plant->usualForm() === 'fresh' && preg_match(self::VOLUME, $amount) === 1 && ! $surely;
        $bought = $leaf ? $this->called(self::bare($name).' gel') : null;
        if (! $surely && ! $sounds && $bought === null) {
            return $matches;
        }
        $poured = $bought ?? $this->pouredOf($name, $plant);

        return $surely
            ? [new NameMatch($poured, $sounds ? 1.0 : self::MAYBE, $name), ...$matches]
            : [
                new NameMatch($plant, self::MAYBE, $matches[0]->matched),
                new NameMatch($poured, self::MAYBE, $name),
                ...array_slice($matches, 1),
            ];
    }

    /** What the house has brewed of it already, or what follows from the plant. */
    private function pouredOf(string $name, Ingredient $plant): Ingredient
    {
        $bare = self::bare($name);
        $ends = $plant->usualForm() === 'fresh' ? [' gel', ' juice'] : [' water', ' tea', ', brewed'];
        foreach (["brewed $bare", ...array_map(static fn (string $end): string => $bare.$end, $ends)] as $called) {
            $is = $this->called($called);
            if ($is !== null) {
                return $is;
            }
        }

        return $this->catalogue->poured($plant->id, $name);
    }

    /** Something watery, or a fresh plant, that is called just so; null where nothing is. */
    private function called(string $name): ?Ingredient
    {
        $match = $this->catalogue->search($name, 1)[0] ?? null;

        return $match !== null && $match->score >= self::EXACT
            && (self::isWatery($match->ingredient) || $match->ingredient->usualForm() === 'fresh')
            ? $match->ingredient
            : null;
    }

    private static function bare(string $name): string
    {
        return trim(preg_replace('/\b(?:vera|strong|weak|cold|hot|brewed|fresh(?:ly)?)\b/iu', '', $name) ?? $name);
    }

    private function isSeed(Ingredient $plant): bool
    {
        return isset($plant->forms['seed']) && ! isset($plant->forms['fresh']) && ! str_contains(
            Name::normalised($plant->name),
            'coffee',
        );
    }

    private static function isWatery(Ingredient $ingredient): bool
    {
        return $ingredient->kind === IngredientKind::Water || $ingredient->kind === IngredientKind::Gel;
    }
}
