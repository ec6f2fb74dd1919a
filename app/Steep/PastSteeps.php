<?php

declare(strict_types=1);

namespace App\Steep;

use App\Studio\IngredientUses;
use Crown\Catalogue\Catalogue;
use Crown\Learning\Retention;
use Crown\Measure\Band;

/** What the studio's own past steeps say of a new one. */
final class PastSteeps
{
    /** Another press, other hands and another strainer were another studio. */
    private const LATEST = 20;

    /** What past steeps of the same plant, form and strainer kept; null while there are too few. */
    public static function retention(Steep $steep, Catalogue $catalogue): ?Band
    {
        $single = $steep->kept()->single();
        if ($single === null) {
            return null;
        }
        $kept = [];
        $past = Steep::query()
            ->withTrashed()
            ->with(['events', 'lots', 'poured'])
            ->where('state', 'strained')
            ->whereKeyNot($steep->id ?? 0)
            ->whereIn('id', IngredientUses::of(IngredientUses::STEEP, [$single->ingredient]))
            ->orderByDesc('strained_on')
            ->limit(self::LATEST)
            ->get();
        foreach ($past as $other) {
            $lot = $other->strained();
            $theirs = $other->kept()->single();
            if ($lot !== null && $theirs !== null && $single->learnsFrom($theirs)) {
                $kept[] = $lot->yield($other->plan($catalogue))->keptPerGram();
            }
        }

        return Retention::learned($kept);
    }
}
