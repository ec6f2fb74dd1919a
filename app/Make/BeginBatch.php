<?php

declare(strict_types=1);

namespace App\Make;

use App\Formula\Formula;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Support\Refused;
use Crown\Make\MakeError;
use Crown\Make\Stops;

/** Begins to make a formula: it is kept as it is today, under a lot code of its own. */
final class BeginBatch
{
    public const NOTHING = 'This formula has no line with a mass yet, so there is nothing to weigh.';

    public function __construct(private readonly BatchPlan $plan, private readonly CurrentStudio $studio)
    {
    }

    /**
     * A batch of the very same that is begun and not finished is the one that is meant: pressing twice makes no two.
     *
     * @param  string|null  $although why it is made although the bench stops at it; null where it does not
     *
     * @throws Refused|MakeError
     */
    public function __invoke(Formula $formula, string $by, ?string $although): Batch
    {
        $on = Day::today();
        $this->studio->hold();
        $begun = $this->begun($formula);
        if ($begun !== null) {
            return $begun;
        }
        $batch = new Batch([
            'formula_id' => $formula->id,
            'lot_code' => LotCodes::next($on),
            'title' => $formula->title,
            'kind' => $formula->kind,
            'made_on' => $on,
            'by_name' => $by,
            'document' => $formula->document,
            'although' => trim($although ?? ''),
        ]);
        if ($this->plan->of($batch)->subject->composition->counted() === []) {
            throw Refused::because('formula_id', self::NOTHING);
        }
        $planned = $this->plan->of($batch);
        Stops::decide($planned, Stops::open($planned), $although);
        $batch->save();

        return $batch->refresh();
    }

    private function begun(Formula $formula): ?Batch
    {
        return Batch::query()
            ->where('formula_id', $formula->id)
            ->where('state', 'open')
            ->orderByDesc('id')
            ->get()
            ->first(static fn (Batch $b): bool => $b->document === $formula->document);
    }
}
