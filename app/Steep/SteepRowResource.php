<?php

declare(strict_types=1);

namespace App\Steep;

use App\Pantry\Withdrawal;
use App\Studio\Day;
use Crown\Catalogue\Catalogue;
use Crown\Steep\Herb;
use Crown\Steep\JarState;
use Crown\Steep\NextAct;
use Crown\Steep\Pour;
use Crown\Steep\ShakeStrip;
use Crown\Steep\Signs;
use Crown\Steep\SteepAdvice;
use Crown\Steep\SteepPlan;
use Crown\Steep\Straining;
use DateTimeImmutable;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** A jar on the shelf: $defs/SteepRow. */
final class SteepRowResource extends JsonResource
{
    public function __construct(
        private readonly Steep $steep,
        private readonly SteepPlan $plan,
        private readonly Catalogue $catalogue,
    ) {
        parent::__construct($steep);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $today = Day::today()->toDateTimeImmutable();
        $days = $this->plan->timeline;
        $standing = $this->steep->standing();
        $isLate = $standing->state === JarState::Running && $today > $days->strainDay();
        // What was forgotten goes on drawing and ageing: it is shown as it stands today.
        $plan = $isLate ? $this->steep->plan($this->catalogue, standsTo: Day::today()) : $this->plan;
        $stood = $days->start->diff($this->steep->strained_on?->toDateTimeImmutable() ?? $today)->format('%r%a');

        return [
            'id' => $this->steep->id,
            'revision' => $this->steep->revision,
            'name' => $this->steep->name,
            'touched' => $this->steep->touched(),
            'plant' => $this->plan->charge->plant()->name,
            'oil' => $this->plan->charge->oil()->name,
            'herbs' => array_map(self::herb(...), $this->plan->charge->herbs),
            'oils' => array_map(self::pour(...), $this->plan->charge->pours),
            'method' => $days->method->value,
            'method_label' => $days->method->label(),
            'jar_ml' => $this->plan->vessel->millilitres ?? 0.0,
            'diameter_cm' => $this->plan->vessel->diameterCm ?? 0.0,
            'shaken_daily' => $this->plan->way->shakenDaily,
            'shaken_sometimes' => $this->plan->way->shakenSometimes,
            'state' => $standing->state === JarState::Running && $today >= $days->strainDay()
                ? 'due'
                : $standing->state->value,
            'reason' => Withdrawal::words($this->steep->reason, $this->steep->spoiled_on) ?? '',
            'plan' => self::standing($plan, $this->plan, $this->catalogue, $standing->state === JarState::Running),
            'day' => $isLate ? (int) $stood : min(max(0, (int) $stood), $days->standsDays()),
            'days' => $days->standsDays(),
            'drawn_now_percent' => $plan->extraction->on(min($today, $plan->timeline->strainDay())),
            'oil_left_grams' => round($this->plan->oilLeftGrams(), 2),
            'next' => NextAct::of($this->plan, $standing, $today),
            'shakes' => new ShakeStrip($days, $standing, $today),
            'lot' => $this->lot($this->steep->strained(), $this->plan),
            'lots' => array_values(
                $this->steep->lots
                    ->map(fn (SteepedLot $l): ?array => $this->lot($l))
                    ->all(),
            ),
        ];
    }

    /** @return array<string, mixed>|null */
    private function lot(?SteepedLot $lot, ?SteepPlan $plan = null): ?array
    {
        return $lot === null
            ? null
            : (new LotResource($lot->setRelation('steep', $this->steep), $this->catalogue, $plan))->toArray();
    }

    /**
     * The figures of a jar as it stands, with the days that were planned for it.
     *
     * @return array<string, mixed> as $defs/SteepPlan
     */
    private static function standing(SteepPlan $as, SteepPlan $planned, Catalogue $catalogue, bool $running): array
    {
        return [
            ...self::figures($as, $catalogue, $running),
            'dates' => [...$planned->dates(), 'best_before' => $as->bestBefore()?->format('Y-m-d')],
        ];
    }

    /** @return array<string, mixed> as $defs/SteepPlan */
    public static function figures(SteepPlan $plan, Catalogue $catalogue, bool $running = true): array
    {
        return [
            ...$plan->figures(),
            'straining' => Straining::inShort($plan),
            'signs' => Signs::of($plan),
            'findings' => $running
                ? SteepAdvice::on($plan, $catalogue->limits())
                : SteepAdvice::after($plan, $catalogue->limits()),
        ];
    }

    /** @return array<string, mixed> */
    private static function herb(Herb $herb): array
    {
        return [
            'ingredient' => $herb->plant->id,
            'name' => $herb->plant->name,
            'form' => $herb->form,
            'preparation' => $herb->preparation->value,
            'grams' => round($herb->grams, 2),
            'draw' => $herb->draw,
            'since' => self::date($herb->since),
        ];
    }

    /** @return array<string, mixed> */
    private static function pour(Pour $pour): array
    {
        return [
            'ingredient' => $pour->oil->id,
            'name' => $pour->oil->name,
            'grams' => round($pour->grams, 2),
            'since' => self::date($pour->since),
        ];
    }

    private static function date(DateTimeImmutable $day): string
    {
        return $day->format('Y-m-d');
    }
}
