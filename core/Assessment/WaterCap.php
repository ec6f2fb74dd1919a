<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Measure\Months;
use Crown\Measure\Place;

/**
 * How long water lets a thing keep, whatever its oils would: the one rule for formula, jar, lot, pantry, batch, label
 * and routine. Method page: docs/methods/life.md.
 */
final readonly class WaterCap
{
    /** Free water without a fitting preservative, in the fridge: days at most. */
    public const FREE_DAYS = 7;

    /** °C of a fridge at the warmest. */
    private const FRIDGE_AT_MOST = 8.0;

    /** The same frozen. */
    public const FROZEN_DAYS = 30;

    /** Traces of water without a preservative, or an emulsion that was not tested: months at most. */
    public const TRACES_MONTHS = 3.0;

    /** Water with enough alcohol, which slowly leaves an opened bottle: months at most. */
    public const SPIRIT_MONTHS = 12.0;

    /**
     * @param  float  $months at most; INF where water sets no end
     * @param  string|null  $why a sentence; null where water sets no end
     * @param  string|null  $cure what would lift it, in words; null when nothing is known to
     */
    private function __construct(public float $months, public Store $store, public ?string $why, public ?string $cure)
    {
    }

    /**
     * @param  WaterClass|null  $class null where it cannot be told, though nothing in it may be wet
     * @param  bool  $preserved by something that fits the class
     * @param  float  $celsius where it stands
     */
    public static function of(?WaterClass $class, bool $preserved, float $celsius = 20.0): self
    {
        $spoils = $class === WaterClass::Free || ($class === WaterClass::Emulsion && ! $preserved);

        return match (true) {
            $spoils && $celsius <= Place::FROZEN => new self(
                Months::ofDays(self::FROZEN_DAYS),
                Store::Frozen,
                sprintf(
                    'Free water without a fitting preservative, frozen: %d days, and %d in the fridge once thawed.',
                    self::FROZEN_DAYS,
                    self::FREE_DAYS,
                ),
                'Without the water: the plant dried first, or an oil extract in its place',
            ),
            $spoils => new self(
                Months::ofDays(self::FREE_DAYS),
                Store::Fridge,
                sprintf(
                    'Free water without a fitting preservative: %d days in the fridge, or %d days frozen.',
                    self::FREE_DAYS,
                    self::FROZEN_DAYS,
                ),
                'Without the water: the plant dried first, or an oil extract in its place',
            ),
            $class === WaterClass::Traces && ! $preserved => new self(
                self::TRACES_MONTHS,
                Store::Cool,
                sprintf('Traces of water without a preservative: %g months at most, kept cool.', self::TRACES_MONTHS),
                'Shown to be dry',
            ),
            $class === WaterClass::Spirit => new self(
                self::SPIRIT_MONTHS,
                Store::Anywhere,
                sprintf('Water held by alcohol: %g months at most, tightly closed.', self::SPIRIT_MONTHS),
                null,
            ),
            // What testing an emulsion would give cannot be told beforehand.
            $class === WaterClass::Emulsion => new self(
                self::TRACES_MONTHS,
                Store::Anywhere,
                sprintf('A preserved emulsion that has not been tested: %g months at most.', self::TRACES_MONTHS),
                null,
            ),
            default => new self(INF, Store::Anywhere, null, null),
        };
    }

    /** The same where it stands too warm for it: free water keeps for no day there. */
    public function atRoomTemperature(float $celsius): self
    {
        return $this->store === Store::Fridge && $celsius > self::FRIDGE_AT_MOST
            ? new self(
                0.0,
                Store::Fridge,
                sprintf('It holds water and nothing keeps it: at %g °C not for a day. Fridge or freezer.', $celsius),
                $this->cure,
            )
            : $this;
    }
}
