<?php

declare(strict_types=1);

namespace App\Make;

use App\Formula\Formula;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Support\Refused;
use Crown\Assessment\Assessment;
use Crown\Make\MakeError;
use Crown\Make\OneDose;
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
        $this->inWholeDrops($batch, $planned, $although);
        $batch->save();

        return $batch->refresh();
    }

    /**
     * What is counted goes in as whole drops, which may be more than is written: that is judged before one falls.
     *
     * @throws MakeError
     */
    private function inWholeDrops(Batch $batch, Assessment $planned, ?string $although): void
    {
        $asked = $this->plan->asAsked($batch);
        $stops = Stops::anew($asked, $planned);
        $settled = array_filter($stops, OneDose::settles(...));
        // That it is used at once says nothing of how strong it is.
        $reason = $although === OneDose::WHY && count($settled) < count($stops) ? null : $although;
        Stops::decide($asked, $stops, $reason);
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
