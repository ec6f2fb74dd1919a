<?php

declare(strict_types=1);

namespace App\Steep;

/**
 * Lots of steeped oil with their jars, as they are asked for: the first by itself, as most formulas name one; from the
 * second on with what else stands there, as a shelf names them all.
 */
final class SteepedLots
{
    private const MOST_AT_ONCE = 60;

    private const WITH = ['steep.events', 'steep.poured'];

    /** @var array<int, SteepedLot> by id */
    private array $known = [];

    private bool $hasAll = false;

    public function get(int $number): SteepedLot
    {
        if (! isset($this->known[$number]) && $this->known !== [] && ! $this->hasAll) {
            $this->hasAll = true;
            $standing = SteepedLot::query()
                ->with(self::WITH)
                ->whereNull('emptied_on')
                ->orderByDesc('id')
                ->limit(self::MOST_AT_ONCE)
                ->get();
            foreach ($standing as $lot) {
                $this->known[$lot->id] ??= $lot;
            }
        }

        return $this->known[$number] ??= SteepedLot::query()->with(self::WITH)->findOrFail($number);
    }
}
