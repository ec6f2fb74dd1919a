<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Catalogue\StudioCatalogue;
use Crown\Pantry\LotSource;
use Crown\Pantry\Planned;
use Illuminate\Http\JsonResponse;

/** The page of a lot as an answer, with what is about to be made of it. */
final class LotPages
{
    public function __construct(
        private readonly StudioCatalogue $catalogue,
        private readonly TraceOf $trace,
        private readonly KnowsPlans $plans,
        private readonly Ancestry $ancestry,
    ) {
    }

    public function answer(Lot $lot, int $status = 200): JsonResponse
    {
        return new JsonResponse((new LotPageResource(
            $lot,
            $this->catalogue->get(),
            $this->trace->lot($lot),
            $this->planned($lot),
            in_array($lot->id, $this->ancestry->calledBack()['lots'], true),
        ))->toArray(), $status);
    }

    /** Null for what is finished, and for what stands there no more. */
    private function planned(Lot $lot): ?Planned
    {
        if ($lot->source === LotSource::Made->value || $lot->emptied_on !== null) {
            return null;
        }
        $bought = $lot->source === LotSource::Bought->value;
        $ids = $bought ? [$lot->ingredient] : [
            $lot->ingredientId(),
            ...$lot->event_id === null ? [Lot::OF_STEEP.$lot->steep_id] : [],
        ];
        // Of several bottles it is all of them that are planned with.
        $left = $bought && $lot->withdrawn === '' ? Cupboard::left($lot->ingredient) : $lot->left_grams;

        return Planned::of($this->plans->wanted($this->catalogue->context()), $ids, $left);
    }
}
