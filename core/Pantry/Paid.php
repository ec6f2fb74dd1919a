<?php

declare(strict_types=1);

namespace Crown\Pantry;

/** What was paid for a bottle, in the money in which it was paid. Method page: docs/methods/pantry.md. */
final readonly class Paid
{
    /**
     * @param  string  $currency ISO 4217; "" is the studio's own
     * @param  float|null  $rate the studio's money for one of it on the day, above 0; null where nobody said
     */
    public function __construct(public float $sum, public string $currency, public ?float $rate = null)
    {
    }

    /** In the studio's own money; null where that cannot be told. */
    public function in(string $own): ?float
    {
        return match (true) {
            $this->currency === '' || $own === '' || $this->currency === $own => $this->sum,
            $this->rate === null => null,
            default => $this->sum * $this->rate,
        };
    }
}
