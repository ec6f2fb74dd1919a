<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\Band;

/** The fatty acids of an oil, per cent of all of them. Method page: docs/methods/fatty-acids.md. */
final readonly class FattyAcids
{
    /**
     * Grams of iodine per 100 g of the triglyceride of each acid (AOCS Cd 1c-85; the ricinoleic and gamma-linolenic
     * and the rarer acids' values follow from the molar masses in the same way).
     */
    private const IODINE = [
        'palmitoleic' => 0.95,
        'oleic' => 0.86,
        'linoleic' => 1.732,
        'linolenic' => 2.616,
        'gamma-linolenic' => 2.616,
        'gadoleic' => 0.785,
        'erucic' => 0.723,
        'nervonic' => 0.665,
        'ricinoleic' => 0.816,
        'punicic' => 2.616,
        'eleostearic' => 2.616,
        'stearidonic' => 3.512,
        'docosadienoic' => 1.454,
    ];

    private const MONO = ['palmitoleic', 'oleic', 'gadoleic', 'erucic', 'nervonic', 'ricinoleic'];

    private const POLY = [
        'linoleic',
        'linolenic',
        'gamma-linolenic',
        'stearidonic',
        'punicic',
        'eleostearic',
        'docosadienoic',
    ];

    /** @param  array<string, float>  $percent keyed by the acid's common name */
    public function __construct(public array $percent, public string $source)
    {
    }

    public function known(): bool
    {
        return $this->percent !== [];
    }

    public function sum(): float
    {
        return array_sum($this->percent);
    }

    /** Per cent of one acid; 0 when it is not named. */
    public function share(string $acid): float
    {
        return $this->percent[$acid] ?? 0.0;
    }

    /** g I2 per 100 g, within 8 %: the spread of harvests around a typical composition. */
    public function iodineValue(): Band
    {
        $value = 0.0;
        foreach ($this->percent as $acid => $percent) {
            $value += $percent * (self::IODINE[$acid] ?? 0.0);
        }

        return Band::within($value, 0.08);
    }

    public function monounsaturated(): float
    {
        return $this->of(self::MONO);
    }

    public function polyunsaturated(): float
    {
        return $this->of(self::POLY);
    }

    public function saturated(): float
    {
        return max(0.0, $this->sum() - $this->monounsaturated() - $this->polyunsaturated());
    }

    /** @param  list<string>  $acids */
    private function of(array $acids): float
    {
        return array_sum(array_intersect_key($this->percent, array_flip($acids)));
    }
}
