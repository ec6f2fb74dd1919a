<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

/**
 * Holds what was read and reckoned of one text against what a careful practitioner reads in it. The keys of an
 * expectation are described in docs/methods/reading.md.
 *
 * @phpstan-type Answer array<string, mixed>
 */
final class Scribbles
{
    /** @var list<array{string, bool}> what was looked at, and whether it held */
    private array $rows = [];

    /** @var list<array<string, mixed>> */
    private readonly array $lines;

    /** @var list<array<string, mixed>> */
    private readonly array $parts;

    private readonly bool $sound;

    /**
     * @param  array<string, mixed>  $case
     * @param  Answer  $read
     * @param  Answer  $assessed
     */
    public function __construct(
        private readonly array $case,
        private readonly array $read,
        private readonly array $assessed,
        private readonly int $exit,
    ) {
        $this->lines = $read['lines'] ?? [];
        $this->parts = $assessed['lines'] ?? [];
        $this->sound = array_filter(array_column($this->parts, 'ingredient')) !== []
            && is_array($assessed['findings'] ?? null);
    }

    /** @return list<array{string, bool}> */
    public function rows(): array
    {
        if (($this->case['exit'] ?? null) !== null) {
            $this->put('exit', $this->exit === $this->case['exit'] && $this->assessed !== []);
        }
        foreach ($this->case['ingredients'] as $wanted) {
            $this->ingredient($wanted);
        }
        $this->findings();
        $this->steps();
        $this->silences();
        foreach ($this->case['numbers'] ?? [] as $path => $range) {
            $this->put($path, $this->sound && self::inside(self::at($this->assessed, $path), $range));
        }

        return $this->rows;
    }

    private function put(string $what, bool $held): void
    {
        $this->rows[] = [$what, $held];
    }

    /** @param  array<string, mixed>  $wanted */
    private function ingredient(array $wanted): void
    {
        $fits = static fn (array $l): bool => self::holds((string) ($l['ingredient'] ?? ''), $wanted['any_of'])
            && ! self::holds((string) $l['ingredient'], $wanted['none_of'] ?? []);
        $read = array_values(array_filter($this->lines, $fits));
        $reckoned = array_values(array_filter($this->parts, $fits));
        $name = $wanted['any_of'][0];
        $this->put("$name read", $read !== []);
        if (($wanted['form'] ?? null) !== null) {
            $forms = array_filter(
                $read,
                static fn (array $l): bool => str_contains((string) $l['form'], $wanted['form']),
            );
            $this->put("$name {$wanted['form']}", $forms !== []);
        }
        foreach (['grams' => [$reckoned, $read], 'share' => [$reckoned]] as $key => $pools) {
            if (($wanted[$key] ?? null) === null) {
                continue;
            }
            $held = array_filter($pools, static fn (array $pool): bool => self::anyInside($pool, $key, $wanted[$key]));
            $this->put("$name $key within ".implode(' and ', $wanted[$key]), $held !== []);
        }
    }

    private function findings(): void
    {
        $all = $this->assessed['findings'] ?? [];
        $codes = array_column($all, 'code');
        $alarms = array_column(array_filter($all, static fn (array $f): bool => $f['severity'] !== 'note'), 'code');
        foreach ($this->case['must'] ?? [] as $code) {
            $this->put("finding $code", array_intersect(explode('|', $code), $codes) !== []);
        }
        foreach ($this->case['must_not'] ?? [] as $code) {
            $this->put("no alarm $code", $this->sound && ! in_array($code, $alarms, true));
        }
        foreach (['water_class', 'texture'] as $key) {
            if (($this->case[$key] ?? null) !== null) {
                $this->put($key, $this->sound && in_array($this->assessed[$key] ?? null, $this->case[$key], true));
            }
        }
    }

    private function steps(): void
    {
        $steps = $this->read['steps'] ?? [];
        if (($this->case['steps_min'] ?? null) !== null) {
            $this->put('steps', count($steps) >= $this->case['steps_min']);
        }
        foreach ($this->case['step_values'] ?? [] as $values) {
            foreach ($values as $key => $wanted) {
                [$low, $high] = is_array($wanted) ? $wanted : [$wanted, $wanted];
                $range = [$low - max(0.5, 0.02 * $low), $high + max(0.5, 0.02 * $high)];
                $this->put("a step with $key ".implode(' to ', (array) $wanted), self::anyInside($steps, $key, $range));
            }
        }
    }

    /** What is asked about, what is left out, what gets no mass, and how many lines there are at most. */
    private function silences(): void
    {
        foreach ($this->case['doubtful_or_unknown'] ?? [] as $piece) {
            $asked = array_filter(
                $this->lines,
                static fn (array $l): bool => $l['understood'] !== 'yes'
                    && str_contains(self::flat($l['text']), self::flat($piece)),
            );
            $this->put("\"$piece\" asked about", $asked !== []);
        }
        $sure = array_filter($this->lines, static fn (array $l): bool => $l['understood'] === 'yes');
        $accepted = array_filter(array_column($sure, 'ingredient'));
        foreach ($this->case['absent'] ?? [] as $piece) {
            $ids = [...array_column($this->parts, 'ingredient'), ...$accepted];
            $bad = array_filter($ids, static fn (?string $id): bool => str_contains((string) $id, $piece));
            $this->put("no $piece", $this->sound && $bad === []);
        }
        foreach ($this->case['no_grams'] ?? [] as $piece) {
            $bad = array_filter(
                [...$this->parts, ...$this->lines],
                static fn (array $l): bool => str_contains((string) ($l['ingredient'] ?? ''), $piece)
                    && (self::best($l['grams'] ?? null) ?? 0.0) > 0.0,
            );
            $this->put("no grams made up for $piece", $bad === []);
        }
        if (($this->case['ingredients_max'] ?? null) !== null) {
            $this->put('no ingredient invented', count($accepted) <= $this->case['ingredients_max']);
        }
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @param  array{float|int, float|int}  $range
     */
    private static function anyInside(array $rows, string $key, array $range): bool
    {
        $found = array_filter(
            array_map(static fn (array $r): ?float => self::best($r[$key] ?? null), $rows),
            static fn (?float $v): bool => $v !== null,
        );
        foreach ($found as $value) {
            if (self::inside($value, $range)) {
                return true;
            }
        }

        return count($found) > 1 && self::inside(array_sum($found), $range);
    }

    /** @param  array{float|int, float|int}  $range */
    private static function inside(?float $value, array $range): bool
    {
        return $value !== null && $value >= $range[0] - 1e-9 && $value <= $range[1] + 1e-9;
    }

    private static function best(mixed $figure): ?float
    {
        $figure = is_array($figure) ? ($figure['best'] ?? null) : $figure;

        return is_int($figure) || is_float($figure) ? (float) $figure : null;
    }

    /** @param  Answer  $answer */
    private static function at(array $answer, string $path): ?float
    {
        $at = $answer;
        foreach (explode('.', $path) as $key) {
            $at = is_array($at) ? ($at[$key] ?? ($key === 'best' ? $at : null)) : ($key === 'best' ? $at : null);
        }

        return self::best($at);
    }

    /** @param  list<string>  $pieces */
    private static function holds(string $id, array $pieces): bool
    {
        foreach ($pieces as $piece) {
            if ($id !== '' && str_contains($id, $piece)) {
                return true;
            }
        }

        return false;
    }

    private static function flat(string $text): string
    {
        return mb_strtolower(trim(preg_replace('/[\s\x{00a0}]+/u', ' ', $text) ?? $text));
    }
}
