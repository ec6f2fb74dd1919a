<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Catalogue\Advice;
use Crown\Catalogue\Condition;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\IngredientKind;
use Crown\Measure\Property;
use Crown\Words\Message;

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
                $reasons[] = Message::said('head.suitability.allergic', [
                    'head' => $this->head->name,
                    'allergy' => $allergy,
                ]);
            }
        }
        $age = $ingredient->facts->best(Property::MinimumAge, 0.0);
        if ($this->head->age === AgeBand::Under2 && $ingredient->kind === IngredientKind::EssentialOil) {
            $reasons[] = Message::said('head.suitability.no-essential-oil-under');
        } elseif ($age > $this->head->age->youngestYears()) {
            $reasons[] = Message::said('head.suitability.not-under-years', [
                'age' => sprintf('%g', $age),
                'why' => $ingredient->precautions->ageReason ?? '',
            ]);
        }
        if ($this->head->pregnant && $ingredient->precautions->pregnancy !== Advice::Ok) {
            $reasons[] = Message::said('head.suitability.pregnancy', [
                'advice' => $ingredient->precautions->pregnancy->value,
                'why' => $ingredient->precautions->pregnancyReason ?? '',
            ]);
        }
        $asks = array_filter(
            $ingredient->precautions->askFirst,
            fn (Condition $c): bool => in_array($c, $this->head->conditions, true),
        );
        if ($asks !== []) {
            $reasons[] = Message::said('head.suitability.asks', [
                'conditions' => implode(' and ', array_map(static fn (Condition $c): string => $c->label(), $asks)),
            ]);
        }
        foreach ($this->head->dislikes as $dislike) {
            if ($dislike->holdsIn($this->season) && $ingredient->answersTo($dislike->what)) {
                $reasons[] = Message::said('head.suitability.does-not-like', [
                    'head' => $this->head->name,
                    'what' => $dislike->what,
                    'season' => $dislike->season->value,
                ]);
            }
        }

        return array_map(trim(...), $reasons);
    }
}
