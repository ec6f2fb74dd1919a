<?php

declare(strict_types=1);

namespace Crown\Pantry;

use Crown\Assessment\ShelfLife;
use Crown\Assessment\WaterBalance;
use Crown\Assessment\WaterCap;
use Crown\Assessment\WaterClass;
use Crown\Catalogue\Ingredient;
use Crown\Measure\Months;
use Crown\Measure\Number;
use Crown\Measure\Property;
use Crown\Words\Message;
use DateTimeImmutable;
use JsonSerializable;

/**
 * Until when what was bought is to be used: the earliest of the date printed on it, the time it keeps once opened, and
 * what its kind keeps where it stands. Method page: docs/methods/pantry.md.
 *
 * As JSON: $defs/LotLife in docs/formats/crown.schema.json.
 */
final readonly class LotLife implements JsonSerializable
{
    /** Days before its day from which a thing is used before the rest. */
    private const SOON_DAYS = 30;

    private const STEEP_DAYS = 14;

    /**
     * @param  DateTimeImmutable|null  $useBy null where nothing tells
     * @param  array<string, DateTimeImmutable>  $dates what each would allow, by LimitedBy
     * @param  list<string>  $reasons in words, the deciding one first
     */
    private function __construct(
        public ?DateTimeImmutable $useBy,
        public LimitedBy $by,
        public array $dates,
        public array $reasons,
    ) {
    }

    /**
     * @param  Ingredient|null  $what null where it is none of the catalogue
     * @param  DateTimeImmutable|null  $came the day it was bought or made
     * @param  DateTimeImmutable|null  $printed as it stands on the container
     * @param  DateTimeImmutable|null  $opened the day it was opened
     * @param  float|null  $openedMonths as it stands on the container; else as its kind keeps
     * @param  float  $celsius where it stands, in its warmest months
     */
    public static function of(
        ?Ingredient $what,
        ?DateTimeImmutable $came,
        ?DateTimeImmutable $printed,
        ?DateTimeImmutable $opened,
        ?float $openedMonths,
        float $celsius,
    ): self {
        $ends = [];
        if ($printed !== null) {
            $ends[] = [LimitedBy::Printed, $printed, Message::said('pantry.lot-life.best-before-as-printed')];
        }
        $keepsOpen = $openedMonths ?? ($what?->facts->has(Property::OpenedMonths) === true
            ? $what->facts->get(Property::OpenedMonths)->band->best
            : null);
        if ($opened !== null && $keepsOpen !== null) {
            $why = Message::said('pantry.lot-life.once-opened-keeps', ['keeps_open' => self::words($keepsOpen)]);
            // A warm room shortens what is opened as it does what is closed; a cold one is what it is said for.
            $months = $keepsOpen * min(1.0, ShelfLife::byStorage($celsius));
            $ends[] = [LimitedBy::Opened, self::after($opened, $months), $why];
        }
        if ($came !== null && $what?->facts->has(Property::LifeMonths) === true) {
            $months = $what->facts->get(Property::LifeMonths)->band->low * ShelfLife::byStorage($celsius);
            $spoils = self::spoils($what, $celsius);
            $months = $spoils === null ? $months : $spoils->months;
            $why = $spoils->why ?? Message::said('pantry.lot-life.its-kind-keeps-c', [
                'months' => self::words($months),
                'celsius' => sprintf('%g', $celsius),
            ]);
            $ends[] = [LimitedBy::Kept, self::after($came, $months), $why];
        }
        usort($ends, static fn (array $a, array $b): int => $a[1] <=> $b[1]);
        $dates = [];
        foreach ($ends as [$by, $day]) {
            $dates[$by->value] = $day;
        }

        return $ends === []
            ? new self(
                null,
                LimitedBy::Unknown,
                [],
                [Message::said('pantry.lot-life.cannot-tell-no-date')],
            )
            : new self($ends[0][1], $ends[0][0], $dates, array_column($ends, 2));
    }

    /**
     * Of what was made here: the day on its label, as long as it stands no warmer than that was worked out for.
     *
     * @param  DateTimeImmutable  $label the day that stands on it
     * @param  float  $assumedCelsius where it was said to stand
     * @param  float  $celsius where it does, in its warmest months
     */
    public static function made(
        DateTimeImmutable $made,
        DateTimeImmutable $label,
        float $assumedCelsius,
        float $celsius,
    ): self {
        $factor = min(1.0, ShelfLife::byStorage($celsius) / ShelfLife::byStorage($assumedCelsius));
        $days = (int) floor((int) $made->diff($label)->format('%r%a') * $factor);
        $until = $factor < 1.0 ? $made->modify(sprintf('+%d days', max(0, $days))) : $label;
        $kept = Message::said('pantry.lot-life.its-label-s-day', [
            'assumed_celsius' => sprintf('%g', $assumedCelsius),
        ]);

        return new self($until, LimitedBy::Kept, [LimitedBy::Kept->value => $until], $factor < 1.0
            ? [Message::said('pantry.lot-life.stands-c-so-keeps', [
                'celsius' => sprintf('%g', $celsius),
                'factor' => number_format($factor, 2),
            ]), $kept]
            : [$kept]);
    }

    /**
     * Whether so much of its life is left that it is worth steeping in: a warm steep, and time to use what comes of it.
     *
     * @param  int|null  $daysLeft null where nothing tells
     */
    public static function outlivesSteep(?int $daysLeft): bool
    {
        return $daysLeft === null || $daysLeft > self::STEEP_DAYS;
    }

    /** Whether so many days are few enough to use it before the rest; what has no day is never pressed. */
    public static function isSoon(?int $daysLeft): bool
    {
        return $daysLeft !== null && $daysLeft <= self::SOON_DAYS;
    }

    /** Days from a day on until it is to be used; below 0 when that is past, null where nothing tells. */
    public function daysLeft(DateTimeImmutable $today): ?int
    {
        return $this->useBy === null ? null : (int) $today->diff($this->useBy)->format('%r%a');
    }

    private static function after(DateTimeImmutable $day, float $months): DateTimeImmutable
    {
        return $day->modify(sprintf('+%d days', Months::inDays($months)));
    }

    private static function words(float $months): string
    {
        return $months < 1.5
            ? Number::counted(Months::inDays($months), 'day')
            : Number::counted($months, 'month', $months < 6.0 ? 1 : 0);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'use_by' => $this->useBy?->format('Y-m-d'),
            'by' => $this->by->value,
            'dates' => (object) array_map(
                static fn (DateTimeImmutable $d): string => $d->format('Y-m-d'),
                $this->dates,
            ),
            'reasons' => $this->reasons,
        ];
    }

    /**
     * What was brewed or pressed and holds nothing against microbes: the rule of every jar, and nothing at room
     * temperature. Null for what is bought ready to keep, and for what is dry.
     */
    private static function spoils(Ingredient $what, float $celsius): ?WaterCap
    {
        $brewed = $what->freeWater('')->high > WaterBalance::MOST_TRACES / 100
            && $what->facts->best(Property::LifeMonths, 1.0) < 1.0;

        return $brewed ? WaterCap::of(WaterClass::Free, false, $celsius)->atRoomTemperature($celsius) : null;
    }
}
