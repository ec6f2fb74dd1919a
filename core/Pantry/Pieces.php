<?php

declare(strict_types=1);

namespace Crown\Pantry;

/** What stands between the commas of one line, sorted by what it says. */
final readonly class Pieces
{
    /**
     * @param  string  $thing amount and name
     * @param  array<string, string>  $said by what it says: printed, opened, bought, batch, supplier, tare, place
     * @param  list<string>  $notes
     */
    public function __construct(
        public string $thing = '',
        public ?float $cost = null,
        public string $currency = '',
        private array $said = [],
        public array $notes = [],
    ) {
    }

    public function of(string $what): string
    {
        return $this->said[$what] ?? '';
    }

    public function with(string $what, string $words): self
    {
        return new self($this->thing, $this->cost, $this->currency, [...$this->said, $what => $words], $this->notes);
    }

    public function thing(string $words): self
    {
        return new self($words, $this->cost, $this->currency, $this->said, $this->notes);
    }

    public function costing(float $sum, string $currency): self
    {
        return new self($this->thing, $sum, $currency, $this->said, $this->notes);
    }

    public function noting(string $words): self
    {
        return new self($this->thing, $this->cost, $this->currency, $this->said, [...$this->notes, $words]);
    }
}
