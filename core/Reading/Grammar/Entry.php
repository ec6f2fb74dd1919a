<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** An item of a text with its amount in the unit that counts, and where it stands. */
final readonly class Entry
{
    /** @param  int  $row number of its row in the source */
    public function __construct(public string $name, public Amount|null $amount, public int $row)
    {
    }

    public function with(?Amount $amount): self
    {
        return new self($this->name, $amount, $this->row);
    }

    public function says(): string
    {
        return $this->amount->text ?? '';
    }
}
