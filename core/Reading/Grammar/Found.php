<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** What a phrase made of some tokens. */
final readonly class Found
{
    /**
     * @param  int  $to the token after its last
     * @param  float  $cost how unlikely it is
     * @param  list<Item>  $items
     * @param  Aside|null  $aside what says something about the recipe, and goes into nothing
     */
    public function __construct(public int $to, public float $cost, public array $items, public ?Aside $aside = null)
    {
    }

    public function costing(float $cost): self
    {
        return new self($this->to, $cost, $this->items, $this->aside);
    }
}
