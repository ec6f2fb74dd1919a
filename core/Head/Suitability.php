<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Catalogue\Advice;
use Crown\Catalogue\Condition;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Measure\Property;

/** What speaks against an ingredient on one head, in the order in which it counts. Method page: docs/methods/fit.md. */
final readonly class Suitability
{
    public function __construct(private Profile $head, private Season $season = Season::Any)
    {
    }

    /**
     * Why it is left out for this head: allergy, age, pregnancy, a condition, a dislike that holds now.
     *
     * @return list<string> whole sentences, the weightiest first; none when nothing speaks against it
     */
    public function against(Ingredient $ingredient): array
    {
        $reasons = [];
        foreach ($this->head->allergies as $allergy) {
            if ($ingredient->answersTo($allergy)) {
                $reasons[] = sprintf('%s is allergic to %s.', $this->head->name, $allergy);
            }
        }
        $age = $ingredient->facts->best(Property::MinimumAge, 0.0);
        if ($this->head->age === AgeBand::Under2 && $ingredient->kind === IngredientKind::EssentialOil) {
            $reasons[] = 'No essential oil under 2 years.';
        } elseif ($age > $this->head->age->youngestYears()) {
            $reasons[] = sprintf('Not under %g years. %s', $age, $ingredient->precautions->ageReason);
        }
        if ($this->head->pregnant && $ingredient->precautions->pregnancy !== Advice::Ok) {
            $reasons[] = ($ingredient->precautions->pregnancy === Advice::Avoid
                    ? 'To be avoided in pregnancy and nursing. '
                    : 'In pregnancy and nursing, ask the clinician first. ')
                .$ingredient->precautions->pregnancyReason;
        }
        $asks = array_filter(
            $ingredient->precautions->askFirst,
            fn (Condition $c): bool => in_array($c, $this->head->conditions, true),
        );
        if ($asks !== []) {
            $reasons[] = sprintf(
                'With %s, ask the clinician first.',
                implode(' and ', array_map(static fn (Condition $c): string => $c->label(), $asks)),
            );
        }
        foreach ($this->head->dislikes as $dislike) {
            if ($dislike->holdsIn($this->season) && $ingredient->answersTo($dislike->what)) {
                $reasons[] = sprintf(
                    '%s does not like %s%s.',
                    $this->head->name,
                    $dislike->what,
                    $dislike->season->words(),
                );
            }
        }

        return array_map(trim(...), $reasons);
    }
}
