<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

/** An amount with the name that a text gives it. */
final readonly class Item
{
    /**
     * @param  string  $amount as it is written
     * @param  string  $name "" when the text names nothing
     * @param  bool  $exact the catalogue has just this name
     * @param  bool  $known the catalogue has this name or one near it; else it is asked about
     */
    public function __construct(
        public string $amount,
        public string $name,
        public bool $exact = false,
        public bool $known = true,
    ) {
    }

    /** The same with another amount. */
    public function of(string $amount): self
    {
        return new self($amount, $this->name, $this->exact, $this->known);
    }

    /** One of two: the other stands in the name, as a text has it. */
    public function or(self $other): self
    {
        return new self($this->amount, "$this->name or $other->amount $other->name", $this->exact, $this->known);
    }

    /** With the word that it may be left out. */
    public function leftOpen(bool $open): self
    {
        return $open ? new self($this->amount, "$this->name (optional)", $this->exact, $this->known) : $this;
    }
}
