<?php

declare(strict_types=1);

namespace App\Steep;

use App\Studio\Day;
use Crown\Catalogue\Catalogue;
use Crown\Measure\Band;
use Crown\Steep\MethodTable;
use Crown\Steep\SteepPlan;
use Crown\Steep\Timing;
use DateTimeImmutable;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** What would come of a jar, all ways side by side, and whether it fits the day wanted: $defs/SteepPlanned. */
final class SteepPlannedResource extends JsonResource
{
    /** @param  Band|null  $retention what the studio's own jars have taught of what a herb keeps */
    public function __construct(
        private readonly Steep $steep,
        private readonly SteepPlan $plan,
        private readonly Catalogue $catalogue,
        private readonly ?Band $retention,
        private readonly ?DateTimeImmutable $wanted,
    ) {
        parent::__construct($steep);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $today = Day::today()->toDateTimeImmutable();
        $method = $this->plan->timeline->method;
        $days = $method->standsBetween();

        return [
            'plan' => SteepRowResource::figures($this->plan, $this->catalogue),
            'methods' => MethodTable::for($this->plan, $today, $this->wanted),
            'usual_ratio' => $this->plan->charge->usualRatio(),
            'herb_grams' => self::grams($this->steep->document['herbs']),
            'oil_grams' => self::grams($this->steep->document['oils']),
            'days_range' => [(int) $days->least, (int) $days->most],
            'usual_way' => [
                'celsius' => $method->celsius(),
                'minutes' => $method->minutes(),
                'days' => $method->days(),
            ],
            'timing' => Timing::of($this->plan, $today, $this->wanted),
            'learned' => $this->retention,
            'name' => $this->plan->charge->name(),
        ];
    }

    /**
     * @param  list<array{grams: float}>  $parts
     * @return list<float>
     */
    private static function grams(array $parts): array
    {
        return array_map(static fn (array $part): float => round((float) $part['grams'], 2), $parts);
    }
}
