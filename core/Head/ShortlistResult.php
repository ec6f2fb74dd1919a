<?php

declare(strict_types=1);

namespace Crown\Head;

use JsonSerializable;

/** Ingredients that serve a need, best first; those left out with the reason; what to try first. */
final readonly class ShortlistResult implements JsonSerializable
{
    /**
     * @param  list<array{
     *     id: string, name: string, kind: string, matter: string, score: float, evidence: int, route: string,
     *     reasons: list<string>,
     * }>  $ranked
     * @param  list<array{id: string, name: string, reason: string}>  $leftOut
     */
    public function __construct(public array $ranked, public array $leftOut, public string $first)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['ranked' => $this->ranked, 'left_out' => $this->leftOut, 'first' => $this->first];
    }
}
