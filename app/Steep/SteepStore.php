<?php

declare(strict_types=1);

namespace App\Steep;

use App\Pantry\Lot;
use App\Support\Refused;
use Crown\Catalogue\Catalogue;
use Crown\Measure\Band;
use Crown\Measure\Property;
use Crown\Steep\SteepAdvice;
use Crown\Steep\SteepMethod;
use Crown\Steep\SteepPlan;
use Crown\Steep\SteepYield;
use DateTimeImmutable;
use Illuminate\Support\Carbon;

/** Turns rows into plans and back; all figures are the core's. */
final class SteepStore
{
    private const DAYS_PER_MONTH = 30.44;

    public static function plan(Steep $steep, Catalogue $catalogue): SteepPlan
    {
        return new SteepPlan(
            $catalogue->get($steep->plant),
            $steep->form,
            $steep->plant_grams,
            $catalogue->get($steep->oil),
            $steep->oil_grams,
            SteepMethod::from($steep->method),
            new DateTimeImmutable($steep->started_on->toDateString()),
            $steep->shaken_daily,
            $steep->pressed,
            $steep->jar_ml,
            $steep->diameter_cm,
        );
    }

    /** Records the yield: the steep is strained and its oil becomes a lot. */
    public static function strain(Steep $steep, SteepPlan $plan, float $grams, float $loss, Carbon $on): Lot
    {
        $ingredient = (new SteepYield($plan, $grams, $loss))->ingredient('lot', $steep->name);
        $months = $ingredient->facts->has(Property::LifeMonths) ? $ingredient->facts->get(Property::LifeMonths)->band->low : 3.0;
        // Traces of water cap the life of the oil itself at three months.
        $months = $ingredient->waterShare > 0.0 ? min($months, 3.0) : $months;

        return Lot::query()->create([
            'steep_id' => $steep->id,
            'name' => $steep->name,
            'grams' => $grams,
            'loss_grams' => $loss,
            'made_on' => $on,
            'best_before' => $on->copy()->addDays((int) floor($months * self::DAYS_PER_MONTH)),
        ]);
    }

    /** @return array<string, mixed> */
    public static function view(Steep $steep, Catalogue $catalogue): array
    {
        $plan = self::plan($steep, $catalogue);
        $today = today();
        $days = $plan->method->days();
        $day = (int) min($days, max(0, $steep->started_on->diffInDays($steep->strained_on ?? $today, false)));
        $due = $steep->state === 'running' && $today->greaterThanOrEqualTo($plan->strainDay()->format('Y-m-d'));

        return [
            'id' => $steep->id,
            'revision' => $steep->revision,
            'name' => $steep->name,
            'plant' => $plan->plant->name,
            'plant_id' => $steep->plant,
            'oil' => $plan->oil->name,
            'oil_id' => $steep->oil,
            'form' => $steep->form,
            'plant_grams' => $steep->plant_grams,
            'oil_grams' => $steep->oil_grams,
            'method' => $steep->method,
            'method_label' => $plan->method->label(),
            'jar_ml' => $steep->jar_ml,
            'diameter_cm' => $steep->diameter_cm,
            'shaken_daily' => $steep->shaken_daily,
            'state' => $due ? 'due' : $steep->state,
            'plan' => self::figures($plan),
            'usual_ratio' => $plan->usualRatio(),
            'shakes' => self::shakes($steep, $plan, $today),
            'day' => $day,
            'days' => $days,
            'lot' => $steep->lot?->view($plan),
        ];
    }

    /** @return array<string, mixed> as $defs/SteepPlan */
    public static function figures(SteepPlan $plan): array
    {
        return [
            'oil_grams' => Band::exact($plan->oilGrams),
            'ratio' => round($plan->ratio(), 3),
            'oil_above_plant_cm' => $plan->oilAbovePlantCm(),
            'headspace_cm' => $plan->headspaceCm(),
            'extraction_percent' => $plan->extractionPercent(),
            'yield_grams' => $plan->yieldGrams(),
            'water_in_grams' => $plan->waterInGrams(),
            'age_spent_days' => $plan->ageSpentDays(),
            'dates' => [
                'start' => $plan->start->format('Y-m-d'),
                'stop_shaking' => $plan->stopShaking()->format('Y-m-d'),
                'strain' => $plan->strainDay()->format('Y-m-d'),
                'ready' => $plan->readyDay()->format('Y-m-d'),
            ],
            'straining' => $plan->straining(),
            'findings' => SteepAdvice::on($plan),
        ];
    }

    /** A shake on a day on which there is one to do, or none. */
    public static function mayShake(Steep $steep, SteepPlan $plan, Carbon $date): void
    {
        if ($steep->state !== 'running') {
            throw new Refused('date', 'This steep has been strained; there is nothing left to shake.', 409);
        }
        if ($date->lessThan($steep->started_on) || $date->greaterThan(today()) || $date->greaterThan($plan->stopShaking()->format('Y-m-d'))) {
            throw new Refused('date', sprintf('A shake can be ticked from %s to today, and no later than %s, when it is left to settle.', $steep->started_on->toDateString(), $plan->stopShaking()->format('Y-m-d')));
        }
    }

    /**
     * The last fortnight of shakes, done or not, up to the day on which it is left to settle.
     *
     * @return list<array{date: string, done: bool}>
     */
    private static function shakes(Steep $steep, SteepPlan $plan, Carbon $today): array
    {
        if (! $steep->shaken_daily || $plan->method->isHeated()) {
            return [];
        }
        $done = $steep->shakes->map(static fn (SteepShake $s): string => $s->date->toDateString())->flip();
        $last = min($today->toDateString(), $plan->stopShaking()->modify('-1 day')->format('Y-m-d'));
        $from = max($steep->started_on->toDateString(), Carbon::parse($last)->subDays(13)->toDateString());
        $days = [];
        for ($date = Carbon::parse($from); $date->toDateString() <= $last; $date->addDay()) {
            $days[] = ['date' => $date->toDateString(), 'done' => $done->has($date->toDateString())];
        }

        return $days;
    }
}
