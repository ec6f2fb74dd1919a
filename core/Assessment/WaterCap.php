<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Measure\Months;
use Crown\Measure\Place;
use Crown\Words\Message;

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
                Message::said('assessment.water-cap.free-water-without-fitting', [
                    'frozendays' => self::FROZEN_DAYS,
                    'freedays' => self::FREE_DAYS,
                ]),
                Message::said('assessment.water-cap.without-water-plant-dried'),
            ),
            $spoils => new self(
                Months::ofDays(self::FREE_DAYS),
                Store::Fridge,
                Message::said('assessment.water-cap.free-water-without-fitting-2', [
                    'freedays' => self::FREE_DAYS,
                    'frozendays' => self::FROZEN_DAYS,
                ]),
                Message::said('assessment.water-cap.without-water-plant-dried'),
            ),
            $class === WaterClass::Traces && ! $preserved => new self(
                self::TRACES_MONTHS,
                Store::Cool,
                Message::said('assessment.water-cap.traces-water-without-preservative', [
                    'tracesmonths' => sprintf('%g', self::TRACES_MONTHS),
                ]),
                Message::said('assessment.water-cap.shown-be-dry'),
            ),
            $class === WaterClass::Spirit => new self(
                self::SPIRIT_MONTHS,
                Store::Anywhere,
                Message::said('assessment.water-cap.water-held-by-alcohol', [
                    'spiritmonths' => sprintf('%g', self::SPIRIT_MONTHS),
                ]),
                null,
            ),
            // What testing an emulsion would give cannot be told beforehand.
            $class === WaterClass::Emulsion => new self(
                self::TRACES_MONTHS,
                Store::Anywhere,
                Message::said('assessment.water-cap.preserved-emulsion-has-not', [
                    'tracesmonths' => sprintf('%g', self::TRACES_MONTHS),
                ]),
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
                Message::said('assessment.water-cap.holds-water-nothing-keeps', [
                    'celsius' => sprintf('%g', $celsius),
                ]),
                $this->cure,
            )
            : $this;
    }
}
