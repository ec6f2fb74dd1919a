<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** A thing with its amount, as a text says it. */
final readonly class Item
{
    /**
     * @param  Amount|null  $amount null where none is given
     * @param  list<Named>  $choices what may take its place
     * @param  bool  $out whether it is said that it stays out
     */
    public function __construct(
        public ?Amount $amount,
        public Named $name,
        public array $choices = [],
        public bool $out = false,
    ) {
    }

    public function with(?Amount $amount): self
    {
        return new self($amount, $this->name, $this->choices, $this->out);
    }

    public function left(): self
    {
        return new self($this->amount, $this->name, $this->choices, true);
    }
}
