<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** A thing with its amount, as a text says it. */
final readonly class Item
{
    /** What is not sure of its amount; "" for nothing. */
    public string $doubt;

    /**
     * @param  Amount|null  $amount null where none is given
     * @param  list<self>  $choices what may take its place, each with its own amount where it has one
     * @param  bool  $out whether it is said that it stays out
     * @param  string  $doubt what is not sure of its amount; "" for nothing
     */
    public function __construct(
        public ?Amount $amount,
        public Named $name,
        public array $choices = [],
        public bool $out = false,
        string $doubt = '',
    ) {
        $this->doubt = $doubt === '' && $amount?->isMost === true ? Amount::MOST : $doubt;
    }

    public function with(?Amount $amount): self
    {
        return new self($amount, $this->name, $this->choices, $this->out, $this->doubt);
    }

    /** @param  list<self>  $choices */
    public function or(array $choices): self
    {
        return new self($this->amount, $this->name, $choices, $this->out, $this->doubt);
    }

    /** Whether it is a word beside a bare figure, which may be anything. */
    public function isWeak(): bool
    {
        return $this->amount?->isBare() === true && $this->name->cost > Namings::DOUBTFUL;
    }

    public function called(string $name): self
    {
        $called = new Named($name, $this->name->cost, $this->name->from, $this->name->to);

        return new self($this->amount, $called, $this->choices, $this->out, $this->doubt);
    }

    public function left(): self
    {
        return new self($this->amount, $this->name, $this->choices, true, $this->doubt);
    }
}
