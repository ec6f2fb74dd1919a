<?php

declare(strict_types=1);

namespace App\Make;

use App\Catalogue\StudioCatalogue;
use App\Pantry\Lot;
use App\Pantry\LotBottles;
use App\Pantry\LotWords;
use App\Pantry\MoveStock;
use App\Pantry\NextBottles;
use App\Studio\CurrentStudio;
use App\Support\StaleWrite;
use Closure;
use Crown\Catalogue\Bottle;
use Crown\Make\BatchClosing;
use Crown\Make\MakeError;
use Crown\Make\Stops;
use Crown\Pantry\LotSource;
use Crown\Pantry\MovementKind;
use Crown\Pantry\Take;
use Crown\Papers\Label;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;

/** Closes a batch: what was weighed is judged anew, its label worked out, its jars stand on the shelf. */
final class CloseBatch
{
    public function __construct(
        private readonly BatchPlan $plan,
        private readonly StudioCatalogue $catalogue,
        private readonly CurrentStudio $studio,
        private readonly MoveStock $move,
    ) {
    }

    /**
     * From here on it is a record.
     *
     * @param  Closure(Batch): array<string, mixed>  $present the newer state, for whoever comes too late
     *
     * @throws MakeError|StaleWrite
     */
    public function __invoke(Batch $batch, FinishRequest $asked, Closure $present): void
    {
        $net = $asked->net($this->studio->get()->ownKit());
        $begun = $batch->made_on;
        $batch->made_on = $asked->madeOn($begun);
        $stood = $batch->made_on < $begun ? $batch->made_on : null;
        if (! $batch->made_on->isSameDay($begun) && ! $batch->rehearsal) {
            $this->studio->hold();
            $batch->lot_code = LotCodes::next($batch->made_on);
        }
        $taken = $this->taken($batch, $stood);
        $actual = BatchClosing::actual(
            $batch->composed(),
            $this->plan->sheet($batch)->weighings(),
            $batch->put(),
            $asked->integer('jars'),
            $net,
            $asked->float('remainder_grams'),
            $this->catalogue->context($this->bottles($batch, $taken)),
        );
        $although = trim($asked->string('although')->value());
        Stops::decide($actual, Stops::anew($actual, $this->plan->of($batch)), $although);
        $label = new Label(
            $actual,
            $batch->lot_code,
            $net,
            $batch->made_on->toDateTimeImmutable(),
            $this->studio->get()->maker,
            $this->studio->get()->region(),
        );
        $first = $taken->sortBy([['use_by', 'asc'], ['id', 'asc']])->first();
        $words = LabelWords::of($label, $batch->made_on, $first, $this->name($first));
        $batch->revise(
            $asked->integer('revision'),
            [
                'state' => 'done',
                ...$asked->columns(),
                'lot_code' => $batch->lot_code,
                'net_grams' => $net,
                'made_on' => $batch->made_on,
                'although' => trim($batch->although.' '.$although),
                'best_before' => $words['best_before'],
                'actual' => $actual->withWorkings(),
                'label' => $words,
            ],
            $present,
        );
        $this->shelve($batch);
    }

    private function name(?Lot $lot): string
    {
        return $lot === null ? '' : LotWords::name($lot, $this->catalogue->get());
    }

    /**
     * What went in is not in its bottles any more.
     *
     * @param  Carbon|null  $stood the day it was made, where that was before it was begun here
     * @return Collection<int, Lot> the bottles it came out of
     */
    private function taken(Batch $batch, ?Carbon $stood): Collection
    {
        $lots = [];
        $of = ['by_name' => $batch->by_name, 'batch_id' => $batch->id];
        foreach ($this->plan->sheet($batch)->weighings() as $weighing) {
            $grams = ($batch->put()[$weighing->line] ?? null)->grams ?? 0.0;
            if ($weighing->ingredient !== null && $grams > 0.0) {
                $taking = $this->move->take(
                    $weighing->ingredient,
                    $grams,
                    MovementKind::Batch,
                    $batch->made_on,
                    $of,
                    $stood,
                    $batch->weighIns->firstWhere('line', $weighing->line)?->lot_id,
                );
                array_push($lots, ...array_map(static fn (Take $t): int => $t->lot, $taking->takes));
            }
        }

        return Lot::query()->whereIn('id', $lots)->get();
    }

    /**
     * @param  Collection<int, Lot>  $taken
     * @return array<string, Bottle> of all that was weighed; without a day what came out of no bottle that is known
     */
    private function bottles(Batch $batch, Collection $taken): array
    {
        $bottles = [];
        foreach ($this->plan->sheet($batch)->weighings() as $weighing) {
            if ($weighing->ingredient === null) {
                continue;
            }
            $first = $taken
                ->filter(static fn (Lot $lot): bool => NextBottles::isOf($lot, $weighing->ingredient))
                ->sortBy('use_by')
                ->first();
            $bottles[$weighing->ingredient] = $first === null
                ? new Bottle(null)
                : LotBottles::bottle($first->use_by->toDateString(), $first->use_by < $batch->made_on);
        }

        return $bottles;
    }

    /** The jars that were filled stand on the shelf from now on. */
    private function shelve(Batch $batch): void
    {
        $grams = $batch->jars * $batch->net_grams;
        $lot = Lot::query()->create([
            'source' => LotSource::Made->value,
            'batch_id' => $batch->id,
            'name' => $batch->title,
            'grams' => $grams,
            'made_on' => $batch->made_on,
            'best_before' => $batch->best_before,
            'use_by' => $batch->best_before ?? Lot::NEVER,
        ]);
        $this->move->begin($lot, $grams, $batch->made_on, $batch->by_name);
    }
}
