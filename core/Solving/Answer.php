<?php

declare(strict_types=1);

namespace Crown\Solving;

use JsonSerializable;

/**
 * What the solver says: the best shares with what binds them, or which demands cannot be met together and what would
 * give way least.
 */
final readonly class Answer implements JsonSerializable
{
    /** @var list<string> the smallest set of demands that contradict each other */
    public array $conflict;

    /** @var list<array{demand: string, by: float, to: float}> the least change that would make it possible */
    public array $relax;

    /**
     * @param  string  $status optimal, found (a limit of the search was reached: good, not proven best), impossible
     * @param  array<string, float>  $shares per cent by ingredient id; those with none left out
     * @param  float  $objective of the first goal
     * @param  list<string>  $binding demands and bounds that stop it from being better, in words
     * @param  array<string, int>  $parts simple parts of what may move, when the shares are such parts
     * @param  self|null  $simple about the same in simple parts, when they were asked for and some meet every demand
     * @param  Contradiction  $against what makes it impossible
     */
    public function __construct(
        public string $status,
        public array $shares = [],
        public float $objective = 0.0,
        public array $binding = [],
        public array $parts = [],
        public ?self $simple = null,
        public Contradiction $against = new Contradiction(),
    ) {
        $this->conflict = $against->demands;
        $this->relax = $against->relax;
    }

    public static function impossible(Contradiction $because): self
    {
        return new self('impossible', against: $because);
    }

    /**
     * The same with an answer in simple parts beside it.
     *
     * @param  array<string, int>  $parts
     * @param  array<string, float>  $shares per cent by ingredient id
     */
    public function withSimple(array $parts, array $shares): self
    {
        return new self(
            $this->status,
            $this->shares,
            $this->objective,
            $this->binding,
            simple: new self($this->status, $shares, $this->objective, $this->binding, parts: $parts),
        );
    }

    /** The same, good and not proven best. */
    public function asFound(): self
    {
        return new self(
            'found',
            $this->shares,
            $this->objective,
            $this->binding,
            $this->parts,
            $this->simple,
            $this->against,
        );
    }

    /** The same with one thing more that it keeps to. */
    public function boundBy(string $words): self
    {
        return new self(
            $this->status,
            $this->shares,
            $this->objective,
            [...$this->binding, $words],
            $this->parts,
            $this->simple,
            $this->against,
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'status' => $this->status,
            'shares' => (object) array_map(static fn (float $s): float => round($s, 4), $this->shares),
            'objective' => round($this->objective, 6),
            'binding' => $this->binding,
            'conflict' => $this->conflict,
            'relax' => $this->relax,
            'parts' => (object) $this->parts,
        ];
    }
}
