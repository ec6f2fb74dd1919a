<?php

declare(strict_types=1);

namespace Crown\Solving;

/** Why demands cannot be met together. */
final readonly class Contradiction
{
    /**
     * @param  list<string>  $demands the smallest set of them that contradict each other, in words
     * @param  list<array{demand: string, by: float, to: float}>  $relax the least change that would make it possible
     * @param  array<string, float>  $nearest shares, per cent by ingredient id, of the blend that this makes possible
     */
    public function __construct(public array $demands = [], public array $relax = [], public array $nearest = [])
    {
    }
}
