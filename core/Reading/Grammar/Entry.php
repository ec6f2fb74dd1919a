<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** An item of a text with its amount in the unit that counts, and where it stands. */
final readonly class Entry
{
    /**
     * @param  int  $row number of its row in the source
     * @param  Amount|null  $per of how much of the whole it is said; null for all of it
     */
    public function __construct(
        public string $name,
        public ?Amount $amount,
        public int $row,
        public ?Amount $per = null,
    ) {
    }

    public function with(?Amount $amount): self
    {
        return new self($this->name, $amount, $this->row, $this->per);
    }

    public function says(): string
    {
        return $this->amount->text ?? '';
    }
}
