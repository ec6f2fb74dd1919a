<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** What must not be in an ingredient. Left as it is, it shuns nothing. */
final readonly class Shunned
{
    /**
     * @param  list<string>  $words allergens or names
     * @param  bool  $animalProducts whether those are shunned: it has to be vegan
     * @param  string|null  $pregnancy null for any; "ok" or "caution" for the worst advice allowed; "advised-against"
     *     for what calls for advice or is to be avoided
     */
    public function __construct(
        public array $words = [],
        public bool $animalProducts = false,
        public ?string $pregnancy = null,
    ) {
    }

    public function allows(Ingredient $ingredient): bool
    {
        return (! $this->animalProducts || $ingredient->vegan)
            && $this->isBorne($ingredient->precautions->pregnancy)
            && array_filter($this->words, $ingredient->answersTo(...)) === [];
    }

    private function isBorne(Advice $advice): bool
    {
        return match ($this->pregnancy) {
            'ok' => $advice === Advice::Ok,
            'caution' => $advice !== Advice::Avoid,
            'advised-against' => $advice !== Advice::Ok,
            default => true,
        };
    }
}
