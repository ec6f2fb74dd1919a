<?php

declare(strict_types=1);

namespace App\Make;

use App\Pantry\Lot;
use App\Pantry\StockMovement;
use Crown\Assessment\Cost;
use Crown\Pantry\JarCost;
use Crown\Pantry\MovementKind;

/** What a finished batch cost: by the bottles that went in, else by the studio's own prices. */
final class BatchCosts
{
    public function __construct(private readonly BatchPlan $plan)
    {
    }

    public function of(Batch $batch, CostRequest $asked): JarCost
    {
        return new JarCost(
            $this->materials($batch),
            max(1, $batch->jars),
            $asked->float('container'),
            $asked->float('minutes'),
            $asked->float('hourly'),
            $asked->float('margin'),
            $asked->filled('rise') ? $asked->float('rise') : JarCost::USUAL_RISE,
        );
    }

    /** @return list<array{name: string, grams: float, money: float|null, from: string}> */
    private function materials(Batch $batch): array
    {
        $taken = $this->taken($batch);
        $own = Cost::of($this->plan->of($batch)->subject->composition)->byLine;
        $planned = [];
        foreach ($this->plan->sheet($batch)->weighings() as $weighing) {
            $planned[$weighing->line] = $weighing;
        }
        $materials = [];
        foreach ($batch->put() as $line => $put) {
            $weighing = $planned[$line] ?? null;
            if ($weighing === null || $put->grams <= 0.0) {
                continue;
            }
            $bottles = $taken[(string) $weighing->ingredient] ?? null;
            $price = isset($own[$line]) && $weighing->targetGrams > 0.0
                ? $own[$line]->best / $weighing->targetGrams
                : null;
            $perGram = $bottles ?? $price;
            $materials[] = [
                'name' => $weighing->name,
                'grams' => $put->grams,
                'money' => $perGram === null ? null : $perGram * $put->grams,
                'from' => match (true) {
                    $bottles !== null => 'lots',
                    $price !== null => 'prices',
                    default => '',
                },
            ];
        }

        return $materials;
    }

    /** @return array<string, float> money for a gram of what came from bottles with a price, by ingredient */
    private function taken(Batch $batch): array
    {
        $moved = StockMovement::query()
            ->where('batch_id', $batch->id)
            ->where('kind', MovementKind::Batch->value)
            ->get();
        $lots = Lot::query()->whereIn('id', $moved->pluck('lot_id'))->get()->keyBy('id');
        $grams = $money = [];
        foreach ($moved as $movement) {
            $lot = $lots->get($movement->lot_id);
            $perGram = $lot?->costPerGram();
            if ($lot !== null && $perGram !== null) {
                $grams[$lot->ingredient] = ($grams[$lot->ingredient] ?? 0.0) - $movement->grams;
                $money[$lot->ingredient] = ($money[$lot->ingredient] ?? 0.0) - $movement->grams * $perGram;
            }
        }

        $perGram = [];
        foreach ($money as $ingredient => $sum) {
            $perGram[$ingredient] = $sum / max(1e-9, $grams[$ingredient]);
        }

        return $perGram;
    }
}
