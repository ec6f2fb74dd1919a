<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Assessment\Composition;
use Crown\Measure\Band;
use Crown\Measure\Point;
use Crown\Measure\Vessel;
use JsonSerializable;

/**
 * How something warm cools: T(t) = Te + (T0 - Te) exp(-t/tau) (Newton), slower while fat in it sets and gives off the
 * heat of it. Method page: docs/methods/cooling.md.
 *
 * As JSON: $defs/Cooling in docs/formats/crown.schema.json.
 */
final readonly class Cooling implements JsonSerializable
{
    /** Heat that a fat holds, J/gK; and what a vessel does, by what it is made of. */
    private const FAT = 2.0;

    private const HEAT = ['glass' => 0.84, 'ceramic' => 0.85, 'steel' => 0.5, 'plastic' => 1.7];

    /** What a vessel weighs for each millilitre that it holds, g: where it was never weighed. Estimates of ours. */
    private const WEIGHS = ['glass' => 0.55, 'ceramic' => 0.65, 'steel' => 0.25, 'plastic' => 0.08];

    /** Of a vessel only what the fat touches warms wholly, a share of its mass. */
    private const WARMED = [0.4, 0.7, 1.0];

    /** A melt in a bowl, g/ml; a bowl holds twice what is in it where nobody said which. */
    private const DENSITY = 0.9;

    private const ROOMY = 2.0;

    /** Given off by a gram of fat that sets, J: 120 to 180 by the kind of fat. */
    private const SETTING = 150.0;

    /** Nothing is said of what is as good as there, K over where it stands. */
    private const NEAR = 0.05;

    /** A probe is off by so much where nobody said what it shows steps of, °C. */
    public const PROBE_OFF = 0.5;

    /**
     * @param  Band  $tau minutes in which the difference falls to 1/e of itself
     * @param  float  $surroundings °C
     * @param  float  $from °C it has now
     * @param  list<Point>  $setting °C from cold to warm across, and upwards per cent of it that is set there; straight
     *     in between, and empty where nothing in it sets
     */
    private function __construct(
        public Band $tau,
        public float $surroundings,
        public float $from,
        private array $setting,
    ) {
    }

    /**
     * @param  Band  $tau minutes, more than 0
     * @param  Composition|null  $of what sets in it
     */
    public static function known(Band $tau, float $surroundings, float $from, ?Composition $of = null): self
    {
        return new self($tau, $surroundings, $from, $of?->solidCurve() ?? []);
    }

    /**
     * Before anything was measured: tau = m c / (h A), of a bowl as wide as twice its depth.
     *
     * @param  float  $grams of what cools, more than 0
     * @param  Vessel|null  $in null where nobody said: taken to be of glass
     */
    public static function estimated(
        float $grams,
        ?Vessel $in,
        Surroundings $where,
        float $surroundings,
        float $from,
        ?Composition $of = null,
    ): self {
        $millilitres = $grams / self::DENSITY;
        $material = isset(self::HEAT[$in->material ?? '']) ? ($in->material ?? '') : 'glass';
        $holds = max($millilitres, $in->millilitres ?? self::ROOMY * $millilitres);
        $vessel = $in->tareGrams ?? self::WEIGHS[$material] * $holds;
        $joules = Band::of(...self::WARMED)
            ->scaled($vessel * self::HEAT[$material])
            ->plus(Band::exact($grams * self::FAT));
        // A cylinder half as high as wide: pi d^3 / 8 of volume, pi d^2 of surface.
        $metres = ((8 * $millilitres) / M_PI) ** (1 / 3) / 100;
        $watts = $where->transfer()->scaled(M_PI * $metres ** 2);

        return new self($joules->over($watts)->scaled(1 / 60), $surroundings, $from, $of?->solidCurve() ?? []);
    }

    /**
     * From what the probe has shown: the tau that lies nearest to all readings, with what the probe may be off by.
     *
     * @param  list<ProbeReading>  $readings two or more, in any order
     * @param  float|null  $step what the probe shows steps of, °C, above 0; null where nobody said
     *
     * @throws MakeError about "readings" when it does not cool, or is as cold as where it stands
     */
    public static function fitted(
        array $readings,
        float $surroundings,
        ?float $step = null,
        ?Composition $of = null,
    ): self {
        usort($readings, static fn (ProbeReading $a, ProbeReading $b): int => $a->minutes <=> $b->minutes);
        $first = $readings[0] ?? throw MakeError::tooFewReadings();
        $last = $readings[count($readings) - 1];
        $setting = $of?->solidCurve() ?? [];
        $off = $step === null ? self::PROBE_OFF : $step / 2;
        if (count($readings) < 2 || $last->minutes <= $first->minutes) {
            throw MakeError::tooFewReadings();
        }
        if ($last->celsius >= $first->celsius) {
            throw MakeError::doesNotCool();
        }
        if ($last->celsius - $off <= $surroundings) {
            throw MakeError::asColdAsAround($surroundings);
        }
        $one = new self(Band::exact(1.0), $surroundings, $first->celsius, $setting);
        $work = array_map(static fn (ProbeReading $r): float => $one->work($first->celsius, $r->celsius), $readings);
        $minutes = array_map(static fn (ProbeReading $r): float => $r->minutes, $readings);
        $best = self::slope($work, $minutes);
        if ($best <= 0.0) {
            throw MakeError::doesNotCool();
        }
        $took = $last->minutes - $first->minutes;
        $least = $one->work($first->celsius + $off, $last->celsius - $off);
        $most = $one->work($first->celsius - $off, $last->celsius + $off);
        $low = min($best, $took / $least);
        // Two readings no further apart than the probe is off tell only how fast at most.
        $high = $most > 0.0 ? max($best, $took / $most) : $best * 10;

        return new self(Band::of($low, $best, $high), $surroundings, $last->celsius, $setting);
    }

    /** Minutes from now until it is as cool as that; null where it never gets there. */
    public function minutesTo(float $celsius): ?Band
    {
        if ($celsius >= $this->from) {
            return Band::exact(0.0);
        }

        return $celsius <= $this->surroundings + self::NEAR
            ? null
            : $this->tau->scaled($this->work($this->from, $celsius));
    }

    /** °C after so many minutes, by the best guess. */
    public function celsiusAfter(float $minutes): float
    {
        $left = $minutes / $this->tau->best;
        $floor = $this->surroundings + self::NEAR / 2;
        $warm = $this->from;
        foreach ([...$this->bends($warm, $floor), $floor] as $cool) {
            $slower = $this->slower($warm, $cool);
            $work = $slower * log(($warm - $this->surroundings) / ($cool - $this->surroundings));
            if ($work >= $left) {
                return $this->surroundings + ($warm - $this->surroundings) * exp(-$left / $slower);
            }
            $left -= $work;
            $warm = $cool;
        }

        return min($this->from, $floor);
    }

    /** How many tau it takes from one temperature to another: ln of the differences, times what setting adds. */
    private function work(float $from, float $to): float
    {
        if ($from < $to) {
            return -$this->work($to, $from);
        }
        $sum = 0.0;
        $warm = $from;
        foreach ([...$this->bends($from, $to), $to] as $cool) {
            $differences = ($warm - $this->surroundings) / ($cool - $this->surroundings);
            $sum += $this->slower($warm, $cool) * log($differences);
            $warm = $cool;
        }

        return $sum;
    }

    /** @return list<float> temperatures between two at which the line of what is set bends, from warm to cold */
    private function bends(float $warm, float $cool): array
    {
        $between = array_filter(
            array_map(static fn (Point $p): float => $p->across, $this->setting),
            static fn (float $celsius): bool => $celsius < $warm && $celsius > $cool,
        );

        return array_reverse(array_values($between));
    }

    /** How many times slower it cools between two temperatures, with no bend in between, than if nothing set. */
    private function slower(float $warm, float $cool): float
    {
        $sets = $warm > $cool ? ($this->set($cool) - $this->set($warm)) / ($warm - $cool) : 0.0;

        return 1.0 + (max(0.0, $sets) / 100) * (self::SETTING / self::FAT);
    }

    /** Per cent of it that is set. */
    private function set(float $celsius): float
    {
        $cold = $this->setting[0] ?? new Point($celsius, 0.0);
        foreach ($this->setting as $warm) {
            if ($celsius <= $warm->across) {
                return $warm->across > $cold->across
                    ? $cold->up + ($warm->up - $cold->up) * ($celsius - $cold->across) / ($warm->across - $cold->across)
                    : $warm->up;
            }
            $cold = $warm;
        }

        return $cold->up;
    }

    /**
     * The straight line that lies nearest to some points.
     *
     * @param  list<float>  $x
     * @param  list<float>  $y
     */
    private static function slope(array $x, array $y): float
    {
        $n = count($x);
        $meanX = array_sum($x) / $n;
        $meanY = array_sum($y) / $n;
        $over = $under = 0.0;
        foreach ($x as $i => $value) {
            $over += ($value - $meanX) * ($y[$i] - $meanY);
            $under += ($value - $meanX) ** 2;
        }

        return $under > 0.0 ? $over / $under : 0.0;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'tau_minutes' => $this->tau,
            'surroundings_c' => $this->surroundings,
            'from_c' => round($this->from, 1),
        ];
    }
}
