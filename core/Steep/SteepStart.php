<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Assessment\Severity;
use Crown\Catalogue\ConstituentLimit;

/**
 * Whether a jar may stand as it is: nothing begins under a stop without a reason. Method page: docs/methods/steeps.md.
 */
final class SteepStart
{
    /** What no reason outweighs. */
    private const NEVER = ['steep.withdrawn', 'steep.wet-oil'];

    /**
     * @param  array<string, ConstituentLimit>  $limits of the catalogue
     * @param  string|null  $although the maker's reason for going on all the same; null without one
     * @param  SteepPlan|null  $before the jar as it stood until now: what was decided then is not asked again; null for
     *                                 one that begins
     *
     * @throws SteepError about "although" when there is none, or none that could outweigh it
     */
    public static function decide(SteepPlan $plan, array $limits, ?string $although, ?SteepPlan $before = null): void
    {
        $decided = $before === null ? [] : array_map(self::words(...), self::stops($before, $limits));
        $stops = array_values(array_filter(
            self::stops($plan, $limits),
            static fn (SteepAdvice $a): bool => ! in_array($a->message(), $decided, true),
        ));
        $said = array_map(self::words(...), $stops);
        foreach ($stops as $stop) {
            if (in_array($stop->code, self::NEVER, true)) {
                throw SteepError::neverBegun($said);
            }
        }
        if ($stops !== [] && trim($although ?? '') === '') {
            throw SteepError::stopped($said);
        }
    }

    private static function words(SteepAdvice $advice): string
    {
        return $advice->message();
    }

    /**
     * @param  array<string, ConstituentLimit>  $limits
     * @return list<SteepAdvice>
     */
    private static function stops(SteepPlan $plan, array $limits): array
    {
        return array_values(array_filter(
            SteepAdvice::on($plan, $limits),
            static fn (SteepAdvice $a): bool => $a->severity === Severity::Stop,
        ));
    }
}
