<?php

declare(strict_types=1);

namespace App\Steep;

use App\Pantry\Picture;
use App\Pantry\WhereUsed;
use Crown\Catalogue\Catalogue;
use Crown\Measure\Band;
use Crown\Measure\Tools;
use Crown\Steep\Entry;
use Crown\Steep\Herb;
use Crown\Steep\Signs;
use Crown\Steep\SteepPlan;
use Crown\Steep\Straining;
use Crown\Steep\StrainStep;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Gate;

/** A jar's own page: $defs/Steep. */
final class SteepResource extends JsonResource
{
    private readonly ?Band $retention;

    private readonly SteepPlan $plan;

    public function __construct(
        private readonly Steep $steep,
        private readonly Catalogue $catalogue,
        private readonly Tools $tools,
    ) {
        parent::__construct($steep);
        $this->retention = PastSteeps::retention($steep, $catalogue);
        $this->plan = $steep->plan($catalogue, null, $this->retention);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $ids = [
            Steep::OIL.$this->steep->id,
            ...$this->steep->lots->map(static fn (SteepedLot $l): string => $l->ingredientId())->all(),
        ];

        return [
            ...(new SteepRowResource($this->steep, $this->plan, $this->catalogue))->toArray(),
            'although' => $this->steep->although,
            'usual_ratio' => $this->plan->charge->usualRatio(),
            'charge' => $this->plan->charge->words(),
            'learned' => $this->retention,
            'water_left_grams' => $this->plan->water->leftGrams(),
            'dry' => $this->plan->water->isDry(),
            'signs' => Signs::of($this->plan),
            'strain_steps' => array_map(self::strainStep(...), Straining::steps($this->plan, $this->tools)),
            'events' => array_values($this->steep->events->map($this->event(...))->all()),
            'photos' => array_values($this->steep->photos->map(static fn (Picture $p): array => $p->row())->all()),
            'measured' => $this->measured(),
            'cost' => self::seesPrices() ? $this->cost() : null,
            'cost_per_100g' => self::seesPrices() ? $this->costPerHundredGrams() : null,
            'put_away' => $this->steep->trashed(),
            'draw_again' => $this->drawsAgain(),
            'used_in' => WhereUsed::of($ids),
            'draft' => [
                ...$this->document(),
                'name' => $this->steep->name,
                'started_on' => $this->steep->started_on->toDateString(),
            ],
        ];
    }

    /** Whether whoever asks may see what things cost. */
    private static function seesPrices(): bool
    {
        return Gate::allows('make');
    }

    /** @return array<string, mixed> what went in, without its prices for whom they are not */
    private function document(): array
    {
        $document = $this->steep->document;
        if (! self::seesPrices()) {
            foreach (['herbs', 'oils'] as $part) {
                $document[$part] = array_map(
                    static fn (array $row): array => [...$row, 'cost' => null],
                    $document[$part],
                );
            }
        }

        return $document;
    }

    /** @return array<string, mixed>|null what came out beside what was foretold; null before it is strained */
    private function measured(): ?array
    {
        $lot = $this->steep->strained();

        return $lot === null
            ? null
            : [
                'yield_grams' => $lot->grams,
                'kept_per_gram' => round($lot->yield($this->plan)->keptPerGram(), 3),
                'recovered_percent' => round($lot->yield($this->plan)->recovered(), 1),
                // Without what has been learned, of this jar too.
                'foretold_grams' => $this->steep->plan($this->catalogue)->recovery->yieldGrams(),
            ];
    }

    /** Whether its herb was kept, and has a draw left. */
    private function drawsAgain(): bool
    {
        $most = max(1, ...array_map(static fn (Herb $h): int => $h->draw, $this->plan->charge->herbs));
        $kept = array_filter($this->steep->journal(), static fn (Entry $e): bool => $e->keepsHerb()) !== [];

        return $kept && $most < Herb::MOST_DRAWS;
    }

    private function cost(): ?float
    {
        $cost = SteepCosts::of($this->steep);

        return $cost === null ? null : round($cost, 2);
    }

    /** Of the oil that came out: what stays in the plant is paid for as well. */
    private function costPerHundredGrams(): ?float
    {
        $cost = SteepCosts::of($this->steep);
        $lot = $this->steep->strained();

        return $cost === null || $lot === null ? null : round((100 * $cost) / $lot->grams, 2);
    }

    /** @return array<string, mixed> */
    private function event(SteepEvent $event): array
    {
        return [
            'id' => $event->id,
            'kind' => $event->kind,
            'on' => $event->on_date->toDateString(),
            'words' => $event->entry()->words($this->catalogue),
            'note' => $event->note,
        ];
    }

    /** @return array<string, mixed> */
    private static function strainStep(StrainStep $step): array
    {
        return [
            'id' => $step->id,
            'does' => $step->does,
            'why' => $step->why(),
            'fewest_hours' => $step->fewestHours,
            'most_hours' => $step->mostHours,
        ];
    }
}
