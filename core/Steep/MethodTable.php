<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Measure\Property;
use Crown\Words\Message;
use DateTimeImmutable;
use JsonSerializable;

/**
 * All the schools side by side for one charge, with a recommendation and its reason. Method page:
 * docs/methods/steeps.md.
 */
final readonly class MethodTable implements JsonSerializable
{
    private const MOST_RISK = 5;

    /** Per cent solid at room temperature from which a fat is steeped warm. */
    private const SETS = 40.0;

    /**
     * @param  list<SteepPlan>  $plans one by each method
     * @param  DateTimeImmutable|null  $wanted the day it must be ready, if there is one
     */
    private function __construct(
        private array $plans,
        private DateTimeImmutable $today,
        private ?DateTimeImmutable $wanted,
    ) {
    }

    public static function for(SteepPlan $plan, DateTimeImmutable $today, ?DateTimeImmutable $wanted): self
    {
        return new self(array_map($plan->by(...), SteepMethod::cases()), $today, $wanted);
    }

    /** Whether a way, begun today, is ready by the day wanted. */
    public function makesIt(SteepPlan $plan): bool
    {
        return $this->wanted === null || $plan->startingOn($this->today)->timeline->readyDay() <= $this->wanted;
    }

    /** The way that costs the least for what it draws, among those that are ready in time. */
    public function recommended(): Recommended
    {
        $fresh = $this->plans[0]->charge->hasFresh();
        $short = $this->plans[0]->charge->oil()->facts->best(Property::LifeMonths, 12.0) <= 6.0;
        $first = match (true) {
            $fresh => new Recommended(
                SteepMethod::WaterBath,
                new Message('steep.method.fresh'),
            ),
            $this->plans[0]->charge->solidPercent(SteepMethod::ColdDark->celsius()) >= self::SETS => new Recommended(
                SteepMethod::WaterBath,
                new Message('steep.method.set'),
            ),
            $short => new Recommended(
                SteepMethod::WaterBath,
                new Message('steep.method.short'),
            ),
            default => new Recommended(
                SteepMethod::ColdDark,
                new Message('steep.method.cold'),
            ),
        };
        foreach ($this->plans as $plan) {
            if ($plan->timeline->method === $first->method && $this->makesIt($plan)) {
                return $first;
            }
        }
        foreach ($this->plans as $plan) {
            if ($plan->timeline->method === SteepMethod::WaterBath && $this->makesIt($plan)) {
                return new Recommended(
                    SteepMethod::WaterBath,
                    new Message('steep.method.late'),
                );
            }
        }

        return new Recommended(
            $first->method,
            new Message('steep.method.none'),
        );
    }

    /** 1 least to 5 most: of hands and oil, and of what grows where a wet plant stands for weeks. */
    private static function risk(SteepPlan $plan): int
    {
        $method = $plan->timeline->method;

        return $plan->water->comesIn() && ! $method->isHeated() ? self::MOST_RISK : $method->risk();
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $recommended = $this->recommended();

        return [
            'recommended' => $recommended->method->value,
            'why' => $recommended->why,
            'rows' => array_map(
                fn (SteepPlan $p): array => [
                    'method' => $p->timeline->method->value,
                    'label' => $p->timeline->method->label(),
                    'days' => $p->timeline->standsDays(),
                    'minutes' => $p->timeline->heldMinutes(),
                    'celsius' => $p->timeline->heldAt(),
                    'extraction_percent' => $p->extraction->atStraining(),
                    'age_spent_days' => $p->ageing->spentDays(),
                    'life_left_months' => $p->water->comesIn() ? null : $p->ageing->lifeLeftMonths(),
                    'water_in_grams' => $p->water->inGrams(),
                    'drives_water_off' => $p->timeline->method->drivesWaterOff(),
                    'risk' => self::risk($p),
                    'watching' => $p->timeline->method->watching(),
                    'ready' => $p->startingOn($this->today)->timeline->readyDay()->format('Y-m-d'),
                    'in_time' => $this->makesIt($p),
                ],
                $this->plans,
            ),
        ];
    }
}
