<?php

declare(strict_types=1);

namespace Crown\Reading;

use JsonSerializable;

/** Words of what was pasted, by where they stand there, and what they became. */
final readonly class Span implements JsonSerializable
{
    /**
     * @param  int  $start characters before it in the text as it was pasted
     * @param  int  $end the character after its last
     * @param  int|null  $of number of the line or step, from 1; null for what is of the whole
     * @param  string  $why in a sentence; "" for what its fate says
     */
    public function __construct(
        public int $start,
        public int $end,
        public Fate $fate,
        public string $text,
        public ?int $of = null,
        public string $why = '',
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'start' => $this->start,
            'end' => $this->end,
            'fate' => $this->fate->value,
            'of' => $this->of,
            'why' => $this->why === '' ? $this->fate->why() : $this->why,
        ];
    }
}
