<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Name;

/**
 * Signs that a heated steep is done, for the maker to check and record. Never a promise. Method page:
 * docs/methods/steeps.md.
 */
final class Signs
{
    /** @return list<string> none for a steep that is not heated */
    public static function of(SteepPlan $plan): array
    {
        if (! $plan->timeline->method->isHeated()) {
            return [];
        }
        $signs = [];
        if ($plan->water->inGrams()->best > 0.0) {
            $signs[] = 'The bubbling has stopped: the water is gone.';
            $signs[] = 'The oil is clear, without fog.';
        }
        foreach ($plan->charge->herbs as $herb) {
            $name = Name::inSentence($herb->plant->name);
            $signs[] = match (true) {
                $herb->form === 'fresh' => sprintf('%s is crisp and has turned olive, not brown.', ucfirst($name)),
                $herb->form === 'seed' => sprintf('%s is golden and smells of itself, not burnt.', ucfirst($name)),
                $herb->form === 'powder' => 'The oil has taken the powder\'s colour and smell.',
                default => sprintf('%s has given its colour up and looks pale.', ucfirst($name)),
            };
        }

        return array_values(array_unique($signs));
    }
}
