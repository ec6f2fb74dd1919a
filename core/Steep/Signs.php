<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Property;
use Crown\Words\Message;

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

    /** @return list<Message> none for a steep that is not heated */
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
            $with = ['plant' => $herb->plant->name];
            $signs[] = match (true) {
                self::turnsCrisp($herb) => new Message('steep.sign.crisp', $with),
                $herb->form === 'fresh' => new Message('steep.sign.shrunk', $with),
                $herb->form === 'seed' => new Message('steep.sign.golden', $with),
                $herb->form === 'powder' => new Message('steep.sign.powder'),
                default => new Message('steep.sign.pale', $with),
            };
        }

        return array_values(array_unique($signs, SORT_REGULAR));
    }

    /**
     * Under 100 °C nothing bubbles of itself, and a closed jar keeps what rises: there only the bowl tells.
     *
     * @return list<Message>
     */
    private static function ofWater(SteepPlan $plan): array
    {
        $open = $plan->timeline->method->drivesWaterOff();

        return match (true) {
            ! $open => [new Message('steep.sign.closed')],
            $plan->timeline->heldAt() >= self::BOILS => [
                new Message('steep.sign.bubbles'),
                new Message('steep.sign.clear'),
            ],
            default => [new Message('steep.sign.weight')],
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
