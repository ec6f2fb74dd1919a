<?php

declare(strict_types=1);

namespace Crown\Head;

use JsonSerializable;

/** Ingredients that serve a need, best first, and those left out with the reason. */
final readonly class ShortlistResult implements JsonSerializable
{
    /**
     * @param  list<array{id: string, score: float, evidence: int, reasons: list<string>}>  $ranked
     * @param  list<array{id: string, reason: string}>  $leftOut
     */
    public function __construct(public array $ranked, public array $leftOut)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['ranked' => $this->ranked, 'left_out' => $this->leftOut];
    }
}
