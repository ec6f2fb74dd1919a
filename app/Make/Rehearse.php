<?php

declare(strict_types=1);

namespace App\Make;

use App\Formula\Formula;
use App\Studio\Day;
use App\Support\Refused;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/** Begins a make that is only rehearsed. What was rehearsed before is forgotten. */
final class Rehearse
{
    /** Hours after which a rehearsal that nobody ended is forgotten. */
    private const KEPT = 12;

    public function __construct(private readonly BatchPlan $plan)
    {
    }

    /** @throws Refused where there is nothing to weigh */
    public function __invoke(Formula $formula, string $by): Batch
    {
        Batch::rehearsals()->where('created_at', '<', Carbon::now()->subHours(self::KEPT))->forceDelete();
        $batch = new Batch([
            'formula_id' => $formula->id,
            // In the place of a lot code, which it does not use up.
            'lot_code' => 'practice-'.Str::lower(Str::random(6)),
            'title' => $formula->title,
            'kind' => $formula->kind,
            'made_on' => Day::today(),
            'by_name' => $by,
            'document' => $formula->document,
            'rehearsal' => true,
        ]);
        if ($this->plan->of($batch)->subject->composition->counted() === []) {
            throw Refused::because('formula_id', BeginBatch::NOTHING);
        }
        $batch->save();

        return Batch::rehearsals()->findOrFail($batch->id);
    }
}
