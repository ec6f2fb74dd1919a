<?php

declare(strict_types=1);

namespace App\Steep;

use App\Pantry\Lot;
use App\Pantry\LotWords;
use App\Pantry\MoveStock;
use Crown\Catalogue\Catalogue;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepYield;
use Crown\Steep\WaterChoice;
use Illuminate\Support\Carbon;

/** The oil that came out of a jar becomes a lot: all of it when it is strained, a part of it when some was drawn. */
final class KeepOil
{
    public static function strained(
        Steep $steep,
        SteepPlan $plan,
        float $grams,
        float $loss,
        WaterChoice $choice,
        Carbon $on,
    ): SteepedLot {
        return self::kept($steep, new SteepYield($plan, $grams, $loss, $choice), $on, [
            'name' => $steep->name,
            'grams' => $grams,
            'loss_grams' => $loss,
            'choice' => $choice->value,
        ]);
    }

    public static function drawn(Steep $steep, SteepPlan $plan, SteepEvent $event): SteepedLot
    {
        $grams = $event->entry()->grams();

        return self::kept($steep, new SteepYield($plan, $grams, drawn: true), $event->on_date, [
            'event_id' => $event->id,
            'name' => $steep->name,
            'grams' => $grams,
            'loss_grams' => 0.0,
            'choice' => WaterChoice::Kept->value,
        ]);
    }

    /** What is learned of a jar afterwards is true of the oil that came out of it. */
    public static function refresh(Steep $steep, Catalogue $catalogue): void
    {
        $lots = SteepedLot::query()
            ->with(['steep.events', 'steep.poured'])
            ->where('steep_id', $steep->id)
            ->get();
        foreach ($lots as $lot) {
            $yield = $lot->yield($lot->steep->plan($catalogue, $lot->made_on));
            $lot->update(['best_before' => $yield->bestBefore($lot->made_on->toDateTimeImmutable())]);
            $lot->update(['use_by' => LotWords::life($lot, $catalogue)->useBy ?? Lot::NEVER]);
        }
    }

    /** @param  array<string, mixed>  $fields */
    private static function kept(Steep $steep, SteepYield $yield, Carbon $on, array $fields): SteepedLot
    {
        $lot = SteepedLot::query()->create([
            'steep_id' => $steep->id,
            'made_on' => $on,
            'best_before' => $yield->bestBefore($on->toDateTimeImmutable()),
            'use_by' => $yield->bestBefore($on->toDateTimeImmutable()),
            ...$fields,
        ]);
        $lot->update(['ingredient' => $lot->ingredientId()]);
        (new MoveStock())->begin($lot, $lot->grams ?? 0.0, $on);

        return $lot;
    }
}
