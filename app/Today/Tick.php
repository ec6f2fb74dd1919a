<?php

declare(strict_types=1);

namespace App\Today;

use JsonSerializable;

/** What one press says is done, and of what. */
final readonly class Tick implements JsonSerializable
{
    public function __construct(private string $does, private int $id)
    {
    }

    /** @return array{does: string, id: int} */
    public function jsonSerialize(): array
    {
        return ['does' => $this->does, 'id' => $this->id];
    }
}
