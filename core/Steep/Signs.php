<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Name;
use Crown\Measure\Property;

/**
 * Signs that a heated steep is done, for the maker to check and record. Never a promise. Method page:
 * docs/methods/steeps.md.
 */
final class Signs
{
    /** °C from which water bubbles off in an open vessel. */
    private const BOILS = 98.0;

    /** Water in a leaf that is flesh, as a share of its mass. */
    private const FLESHY = 0.93;

    /** @return list<string> none for a steep that is not heated */
    public static function of(SteepPlan $plan): array
    {
        if (! $plan->timeline->method->isHeated()) {
            return [];
        }
        $signs = [];
        if ($plan->water->inGrams()->best > 0.0) {
            array_push($signs, ...self::ofWater($plan));
        }
        foreach ($plan->charge->herbs as $herb) {
            $name = Name::inSentence($herb->plant->name);
            $signs[] = match (true) {
                self::turnsCrisp($herb) => sprintf('%s is crisp and has turned olive, not brown.', ucfirst($name)),
                $herb->form === 'fresh' => sprintf('%s has shrunk, and has not turned brown.', ucfirst($name)),
                $herb->form === 'seed' => sprintf('%s is golden and smells of itself, not burnt.', ucfirst($name)),
                $herb->form === 'powder' => 'The oil has taken the powder\'s colour and smell.',
                default => sprintf('%s has given its colour up and looks pale.', ucfirst($name)),
            };
        }

        return array_values(array_unique($signs));
    }

    /**
     * Under 100 °C nothing bubbles of itself, and a closed jar keeps what rises: there only the bowl tells.
     *
     * @return list<string>
     */
    private static function ofWater(SteepPlan $plan): array
    {
        $open = $plan->timeline->method->drivesWaterOff();

        return match (true) {
            ! $open => ['A closed jar keeps its water: nothing to be seen shows that it is gone.'],
            $plan->timeline->heldAt() >= self::BOILS => [
                'The bubbling has stopped: the water is gone.',
                'The oil is clear, without fog.',
            ],
            default => ['The bowl weighs no less after ten minutes more: the water is gone.'],
        };
    }

    /** A thin leaf does; a root, a bulb or the flesh of aloe does not. */
    private static function turnsCrisp(Herb $herb): bool
    {
        return $herb->form === 'fresh'
            && str_contains($herb->plant->inci, 'Leaf')
            && $herb->plant->factsIn('fresh')->best(Property::Moisture, 0.0) < self::FLESHY;
    }
}
