<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Evidence;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Need;
use Crown\Measure\Property;

/** Which ingredients serve a need on this head, evidence first. Method page: docs/methods/fit.md. */
final readonly class Shortlist
{
    /** What a step of weight outside the target costs, in steps of evidence. */
    private const WEIGHT_COST = 0.5;

    public function __construct(
        private Catalogue $catalogue,
        private Profile $head,
    ) {
    }

    /**
     * @param  list<string>  $avoid allergens or ingredient names to leave out
     * @param  string  $kind only this kind; "" for all
     */
    public function for(Need $need, array $avoid, string $kind, int $limit): ShortlistResult
    {
        $ranked = $leftOut = [];
        $onScalp = in_array($need, [Need::DryScalp, Need::Flaking, Need::Itch, Need::OilyScalp, Need::Shedding, Need::ThinEdges], true);
        $target = $this->head->weightTarget($onScalp);
        foreach ($this->catalogue->all() as $ingredient) {
            $evidence = self::evidence($ingredient, $need);
            if ($evidence === [] || ($kind !== '' && $ingredient->kind->value !== $kind)) {
                continue;
            }
            $refused = array_values(array_filter($avoid, static fn (string $a): bool => in_array(mb_strtolower($a), array_map(mb_strtolower(...), [...$ingredient->allergens, $ingredient->name, $ingredient->id, ...$ingredient->synonyms]), true)));
            if ($refused !== []) {
                $leftOut[] = ['id' => $ingredient->id, 'reason' => sprintf('Bears %s.', $refused[0])];

                continue;
            }
            $reasons = [$evidence[0]->found];
            $score = (float) $evidence[0]->grade;
            if ($ingredient->facts->has(Property::Weight) && ! $ingredient->kind->isPlant()) {
                $weight = $ingredient->facts->get(Property::Weight)->band->best;
                $off = max(0.0, $weight - $target->high, $target->low - $weight);
                $score -= self::WEIGHT_COST * $off;
                if ($off > 0.0) {
                    $reasons[] = sprintf('Its weight %g lies outside %.1f to %.1f, which suits this hair.', $weight, $target->low, $target->high);
                }
            }
            $ranked[] = ['id' => $ingredient->id, 'score' => round($score, 3), 'evidence' => $evidence[0]->grade, 'reasons' => $reasons];
        }
        usort($ranked, static fn (array $a, array $b): int => [$b['score'], $a['id']] <=> [$a['score'], $b['id']]);

        return new ShortlistResult(array_slice($ranked, 0, $limit), $leftOut);
    }

    /** @return list<Evidence> the one for this need, or none */
    private static function evidence(Ingredient $ingredient, Need $need): array
    {
        return array_values(array_filter($ingredient->evidence, static fn (Evidence $e): bool => $e->need === $need));
    }
}
