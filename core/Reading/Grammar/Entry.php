<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** What goes in: a name with its amount in the unit that counts, where it stands, and what is not sure of it. */
final readonly class Entry
{
    /** What is not sure of its amount; "" for nothing. */
    public string $doubt;

    /**
     * @param  int  $part number of the part of the text in which it stands first
     * @param  Item  $item as it stands there
     * @param  Amount|null  $amount null where none is given
     * @param  Amount|null  $per of how much of the whole it is said; null for all of it
     * @param  bool  $onlyTold whether only the method names it
     * @param  bool  $optional whether it may be left out
     * @param  string  $asks what is not sure of its amount, besides what the item says
     */
    public function __construct(
        public int $part,
        public Item $item,
        public ?Amount $amount,
        public ?Amount $per = null,
        public bool $onlyTold = false,
        public bool $optional = false,
        private string $asks = '',
    ) {
        $this->doubt = $asks === '' ? $item->doubt : $asks;
    }

    public function name(): string
    {
        return $this->item->name->text;
    }

    public function with(?Amount $amount): self
    {
        return new self($this->part, $this->item, $amount, $this->per, $this->onlyTold, $this->optional, $this->asks);
    }

    /** The same amount of what is called otherwise. */
    public function named(Named $name): self
    {
        $item = new Item($this->item->amount, $name, $this->item->choices, $this->item->out, $this->item->doubt);

        return new self($this->part, $item, $this->amount, $this->per, $this->onlyTold, $this->optional, $this->asks);
    }

    public function asking(string $doubt): self
    {
        $says = $this->asks === '' ? $doubt : $this->asks;

        return new self($this->part, $this->item, $this->amount, $this->per, $this->onlyTold, $this->optional, $says);
    }

    public function says(): string
    {
        return $this->amount->text ?? '';
    }

    /** Its place among others: by part, then by token. */
    public function place(): int
    {
        return 1_000 * $this->part + min($this->item->name->from, $this->item->amount->from ?? PHP_INT_MAX);
    }
}
