<?php

declare(strict_types=1);

namespace Crown\Measure;

/** A mould for bars: so many hollows of so much. */
final readonly class Mould
{
    public function __construct(public string $name, public int $hollows, public float $millilitres)
    {
    }

    public function holds(): float
    {
        return $this->hollows * $this->millilitres;
    }
}
