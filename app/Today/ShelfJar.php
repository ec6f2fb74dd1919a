<?php

declare(strict_types=1);

namespace App\Today;

use JsonSerializable;

/** A jar that is under way, on the shelf of the front page: $defs/ShelfJar. */
final readonly class ShelfJar implements JsonSerializable
{
    /**
     * @param  string  $from YYYY-MM-DD, as $to
     * @param  float  $fill 0 empty to 1 full
     * @param  string  $matter what it is drawn with
     */
    public function __construct(
        private string $name,
        private string $place,
        private string $from,
        private string $to,
        private float $fill,
        private string $words,
        private string $matter,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->name,
            'place' => $this->place,
            'kind' => $this->matter === 'plant' ? 'steep' : 'routine',
            'from' => $this->from,
            'to' => $this->to,
            'fill' => $this->fill,
            'words' => $this->words,
            'matter' => $this->matter,
        ];
    }
}
