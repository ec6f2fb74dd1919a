<?php

declare(strict_types=1);

namespace Crown\Pantry;

use Crown\Words\Message;
use DateInterval;
use DateTimeImmutable;
use JsonSerializable;

/**
 * An order planned back from its day: how many jars of it stand there already, how many are to be made, and by when.
 * Method page: docs/methods/pantry.md.
 *
 * As JSON: part of $defs/Order in docs/formats/crown.schema.json.
 */
final readonly class OrderPlan implements JsonSerializable
{
    /** Days from making to handing over: one to set and cool, one to label, look at and pack. */
    public const LEAD_DAYS = 2;

    /**
     * @param  int  $toMake jars that have still to be made; 0 when enough stand there
     * @param  DateTimeImmutable  $makeBy the last day on which they can be
     */
    private function __construct(
        public int $fromShelf,
        public int $toMake,
        public DateTimeImmutable $makeBy,
        public bool $isLate,
        public string $words,
    ) {
    }

    /**
     * @param  int  $jars that were ordered, at least 1
     * @param  int  $there jars of it on the shelf that nobody else has ordered
     * @param  DateTimeImmutable|null  $awaited when something in it is ready that is still steeping; null for nothing
     */
    public static function of(
        int $jars,
        int $there,
        DateTimeImmutable $due,
        DateTimeImmutable $today,
        ?DateTimeImmutable $awaited = null,
    ): self {
        $from = max(0, min($jars, $there));
        $make = $jars - $from;
        $by = $due->modify(sprintf('-%d days', self::LEAD_DAYS));
        $late = $make > 0 && ($by < $today || ($awaited !== null && $awaited > $by));

        return new self($from, $make, $by, $late, match (true) {
            $make === 0 && $due < $today => Message::said('pantry.order-plan.was-due-enough-jars'),
            $make === 0 => Message::said('pantry.order-plan.enough-jars-stand-there'),
            $awaited !== null && $awaited > $by => Message::said('pantry.order-plan.what-steeps-ready-on', [
                'ready' => $awaited->format('j F'),
                'make_by' => $by->format('j F'),
            ]),
            $by < $today => Message::said('pantry.order-plan.had-be-made-by', ['day' => $by->format('j F')]),
            default => Message::said('pantry.order-plan.make-by', ['make' => $make, 'day' => $by->format('j F')]),
        });
    }

    /**
     * The day by which to make it again, when it goes on as it went and what is left keeps so long; null where nothing
     * went, or the shelf lasts longer than a year.
     *
     * @param  int  $left jars
     * @param  int  $out jars that went within the days
     * @param  int  $days more than 0
     * @param  DateTimeImmutable|null  $useBy after which what is left is none; null where that is not known
     */
    public static function makeAgainBy(
        int $left,
        int $out,
        int $days,
        DateTimeImmutable $today,
        ?DateTimeImmutable $useBy = null,
    ): ?DateTimeImmutable {
        if ($out <= 0) {
            return null;
        }
        $lasts = (int) floor($left / ($out / $days)) - self::LEAD_DAYS;

        $kept = $useBy === null ? $lasts : (int) $today->diff($useBy)->format('%r%a') - self::LEAD_DAYS;
        $until = min($lasts, $kept);

        return $until > 365 ? null : $today->add(new DateInterval(sprintf('P%dD', max(0, $until))));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'from_shelf' => $this->fromShelf,
            'to_make' => $this->toMake,
            'make_by' => $this->makeBy->format('Y-m-d'),
            'late' => $this->isLate,
            'words' => $this->words,
        ];
    }
}
