<?php

declare(strict_types=1);

namespace App\Make;

use App\Formula\Formula;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Studio\Studio;
use App\Support\Refused;
use Crown\Make\LotCode;
use Crown\Make\MakeError;
use Crown\Make\Stops;
use Illuminate\Support\Carbon;

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
        $this->holdStudio();
        $begun = $this->begun($formula);
        if ($begun !== null) {
            return $begun;
        }
        $batch = new Batch([
            'formula_id' => $formula->id,
            'lot_code' => $this->nextLotCode($on),
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

    /** Two who begin at once take turns: the studio is held until the transaction ends. */
    private function holdStudio(): void
    {
        Studio::query()
            ->whereKey($this->studio->get()->id)
            ->lockForUpdate()
            ->value('id');
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

    private function nextLotCode(Carbon $on): string
    {
        $day = $on->toDateTimeImmutable();

        return LotCode::next(
            $day,
            array_values(
                Batch::query()
                    ->withTrashed()
                    ->where('lot_code', 'like', LotCode::beginning($day).'%')
                    ->get(['lot_code'])
                    ->map(static fn (Batch $b): string => $b->lot_code)
                    ->all(),
            ),
        );
    }
}
