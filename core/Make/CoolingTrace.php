<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Assessment\Examined;
use Crown\Measure\Band;
use Crown\Measure\Point;
use JsonSerializable;

/**
 * What a probe has shown while something cooled, and what follows from it: when it comes to its gate, when it sets, and
 * when it takes air. Method page: docs/methods/cooling.md.
 *
 * As JSON: $defs/CoolingTrace in docs/formats/crown.schema.json.
 */
final readonly class CoolingTrace implements JsonSerializable
{
    /** Points of the drawn curve. */
    private const POINTS = 40;

    /** How far the curve is drawn where it never comes to its gate, in tau. */
    private const FAR = 3.0;

    /**
     * @param  list<ProbeReading>  $readings in order, the first at 0 minutes
     * @param  float  $around °C there
     * @param  Cooling|null  $cooling null while it cannot be told
     * @param  string|null  $problem why not; null where it can, or nothing was read yet
     */
    private function __construct(
        public array $readings,
        private ?Gate $gate,
        private Surroundings $where,
        private float $around,
        private ?Cooling $cooling,
        private ?string $problem,
        private Examined $of,
    ) {
    }

    /**
     * @param  list<ProbeReading>  $readings in order
     * @param  Gate|null  $gate of the task, as far as a temperature tells
     * @param  float  $around °C where it stands
     */
    public static function of(
        array $readings,
        ?Gate $gate,
        Surroundings $where,
        float $around,
        Examined $of,
    ): self {
        $step = $of->context->kitchen->tools->thermometer?->stepCelsius;
        $cooling = null;
        $problem = null;
        try {
            $last = end($readings);
            $cooling = match (count($readings)) {
                0 => null,
                1 => $last === false || $last->celsius <= $around ? null : Cooling::estimated(
                    $of->composition->totalGrams->best,
                    null,
                    $where,
                    $around,
                    $last->celsius,
                    $of->composition,
                ),
                default => Cooling::fitted($readings, $around, $step, $of->composition),
            };
        } catch (MakeError $e) {
            $problem = $e->getMessage();
        }

        return new self($readings, $gate, $where, $around, $cooling, $problem, $of);
    }

    /** Minutes from the last reading until it is as cool as its gate allows; null where that cannot be told. */
    public function minutesToGate(): ?Band
    {
        return $this->gate?->celsius === null ? null : $this->cooling?->minutesTo($this->gate->celsius->high);
    }

    /** Minutes from the last reading until it no longer pours; null where it never sets there. */
    public function minutesToSet(): ?Band
    {
        return $this->cooling?->minutesTo($this->of->texture->coolestPour());
    }

    /** @return list<Point> minutes after the first reading across, °C upwards */
    public function curve(): array
    {
        if ($this->cooling === null || $this->readings === []) {
            return [];
        }
        $from = $this->readings[count($this->readings) - 1]->minutes;
        $last = max(
            $this->minutesToGate()->high ?? 0.0,
            $this->gate?->celsius === null ? self::FAR * $this->cooling->tau->best : 0.0,
        );
        $points = [];
        for ($n = 0; $n <= self::POINTS; $n++) {
            $minutes = ($last * $n) / self::POINTS;
            $points[] = new Point(round($from + $minutes, 2), round($this->cooling->celsiusAfter($minutes), 2));
        }

        return $points;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'where' => $this->where->value,
            'surroundings_c' => $this->around,
            'readings' => array_map(static fn (ProbeReading $r): array => [
                'minutes' => round($r->minutes, 2),
                'celsius' => $r->celsius,
            ], $this->readings),
            'fitted' => count($this->readings) > 1 && $this->cooling !== null,
            'tau_minutes' => $this->cooling?->tau,
            'to_gate_minutes' => $this->minutesToGate(),
            'to_set_minutes' => $this->minutesToSet(),
            'curve' => array_map(static fn (Point $p): array => [$p->across, $p->up], $this->curve()),
            'problem' => $this->problem ?? '',
        ];
    }
}
