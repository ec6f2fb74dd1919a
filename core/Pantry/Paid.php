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
            ! self::isForeign($this->currency, $own) => $this->sum,
            $this->rate === null => null,
            default => $this->sum * $this->rate,
        };
    }

    /** Whether it is the money of another country, whose worth has to be said; what nobody named is one's own. */
    public static function isForeign(string $currency, string $own): bool
    {
        return $currency !== '' && $own !== '' && $currency !== $own;
    }
}
