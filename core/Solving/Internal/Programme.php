<?php

declare(strict_types=1);

namespace Crown\Solving\Internal;

use Crown\Assessment\Blend;
use Crown\Catalogue\MixturePart;
use Crown\Catalogue\Need;
use Crown\Solving\Candidate;
use Crown\Solving\Requirement;

/**
 * The linear programme of a question: first the candidates' shares in per cent, which make up the whole, then what is
 * needed to say the rest in rows. A row belongs to a requirement, or to the frame that never gives way.
 */
final class Programme
{
    /**
     * Shares between which the square root of a need is replaced by its chords: under the curve, so never
     * over-promised.
     */
    private const CHORDS = [[0.0, 0.25], [0.25, 1.0], [1.0, 4.0], [4.0, 16.0], [16.0, 40.0], [40.0, 100.0]];

    /** Figures this near to a bound are at it. */
    private const NOISE = 1e-6;

    /** @var list<float> lower bounds of the variables */
    public array $lower = [];

    /** @var list<float> upper bounds of the variables */
    public array $upper = [];

    /** @var list<Row> */
    public array $rows = [];

    /** @var list<int|null> the requirement of each row; null for the frame's */
    public array $requirementOf = [];

    /** @var array<string, array<int, float>> slope by variable, by need */
    private array $points = [];

    /** @var array<int, array{int, int}> the variables "more than now" and "less than now", by candidate */
    private array $changes = [];

    /**
     * @param  list<Candidate>  $candidates
     * @param  list<Requirement>  $requirements
     * @param  float|null  $batchGrams of the batch whose stock counts; null when stock does not matter
     */
    public function __construct(
        public readonly array $candidates,
        public readonly array $requirements,
        ?float $batchGrams = null,
    ) {
        foreach ($candidates as $candidate) {
            $inStock = $batchGrams !== null && $candidate->supply->stock !== null
                ? (100 * $candidate->supply->stock) / $batchGrams
                : 100.0;
            $this->variable($candidate->least, max(0.0, min($candidate->most, $inStock)));
        }
        $this->row(new Row(array_fill(0, count($candidates), 1.0), 100.0, 100.0));
        foreach ($requirements as $k => $requirement) {
            foreach ($requirement->rows($this) as $row) {
                $this->row($row, $k);
            }
        }
    }

    /**
     * @param  callable(Candidate): float  $of
     * @return array<int, float> coefficients by candidate, without those that are nothing
     */
    public function each(callable $of): array
    {
        return array_filter(array_map($of, $this->candidates), static fn (float $value): bool => $value !== 0.0);
    }

    /**
     * Points of a need as a sum over chords under their square roots, which are laid when they are first asked for.
     *
     * @return array<int, float> slopes by variable
     */
    public function points(Need $need): array
    {
        return $this->points[$need->value] ??= $this->chords($need);
    }

    /** @return array<int, array{int, int}> the variables "more than now" and "less than now", by candidate */
    public function changes(): array
    {
        foreach ($this->changes === [] ? $this->candidates : [] as $j => $candidate) {
            $more = $this->variable(0.0, 100.0);
            $less = $this->variable(0.0, 100.0);
            $this->changes[$j] = [$more, $less];
            $this->row(new Row([$j => 1.0, $more => -1.0, $less => 1.0], $candidate->now, $candidate->now));
        }

        return $this->changes;
    }

    /** @param  list<float>  $x a point of the programme */
    public function blend(array $x): Blend
    {
        return new Blend(
            array_map(
                static fn (Candidate $c, int $j): MixturePart => new MixturePart($c->ingredient, $x[$j]),
                $this->candidates,
                array_keys($this->candidates),
            ),
        );
    }

    /**
     * Whether shares keep to the bounds of the ingredients and to what is asked of the blend.
     *
     * @param  list<float>  $x shares, per cent
     */
    public function allows(array $x): bool
    {
        foreach (array_keys($this->candidates) as $j) {
            if ($x[$j] < $this->lower[$j] - self::NOISE || $x[$j] > $this->upper[$j] + self::NOISE) {
                return false;
            }
        }
        foreach ($this->requirements as $requirement) {
            if ($requirement->between->missedBy($requirement->reached($this, $x)) > self::NOISE) {
                return false;
            }
        }

        return true;
    }

    /** @return list<float> as many as there are variables */
    public function zeros(): array
    {
        return array_fill(0, count($this->lower), 0.0);
    }

    /** @return array<int, float> */
    private function chords(Need $need): array
    {
        $slopes = [];
        foreach ($this->candidates as $j => $candidate) {
            $strength = ($candidate->ingredient->evidenceFor($need)[0] ?? null)?->strength() ?? 0.0;
            if ($strength <= 0.0) {
                continue;
            }
            $link = [$j => 1.0];
            foreach (self::CHORDS as [$start, $end]) {
                $variable = $this->variable(0.0, $end - $start);
                $rise = sqrt($end / 100) - sqrt($start / 100);
                $slopes[$variable] = (100 * $strength * $rise) / max(1e-9, $end - $start);
                $link[$variable] = -1.0;
            }
            // The chords together are no more than the share.
            $this->row(new Row($link, 0.0, INF));
        }

        return $slopes;
    }

    private function variable(float $lower, float $upper): int
    {
        $this->lower[] = $lower;
        $this->upper[] = $upper;

        return count($this->lower) - 1;
    }

    private function row(Row $row, ?int $requirement = null): void
    {
        $this->rows[] = $row;
        $this->requirementOf[] = $requirement;
    }
}
