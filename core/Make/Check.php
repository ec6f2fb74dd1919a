<?php

declare(strict_types=1);

namespace Crown\Make;

use DateTimeImmutable;
use JsonSerializable;

/**
 * A day on which a finished batch is to be looked at: after one week, and after one, three and six months.
 * Method page: docs/methods/making.md.
 *
 * As JSON: $defs/BatchCheck in docs/formats/crown.schema.json.
 */
final readonly class Check implements JsonSerializable
{
    /** Days after it was made, with what they are called. */
    private const DUE = [7 => '1 week', 30 => '1 month', 91 => '3 months', 182 => '6 months'];

    /** Looked at so much sooner counts as that check, a share of its days. */
    private const SOONER = 0.25;

    private function __construct(public string $name, public DateTimeImmutable $due, public bool $done)
    {
    }

    /**
     * @param  list<DateTimeImmutable>  $looked days on which something was found or said of it
     * @param  DateTimeImmutable|null  $until the last day on which it may be used: it is not looked at after that
     * @return list<self> in order
     */
    public static function of(DateTimeImmutable $made, array $looked, ?DateTimeImmutable $until): array
    {
        $checks = [];
        $days = array_keys(self::DUE);
        foreach ($days as $n => $day) {
            $due = $made->modify(sprintf('+%d days', $day));
            if ($until !== null && $due > $until) {
                break;
            }
            $from = self::from($made, $day);
            $to = isset($days[$n + 1]) ? self::from($made, $days[$n + 1]) : null;
            $within = array_filter(
                $looked,
                static fn (DateTimeImmutable $d): bool => $d >= $from && ($to === null || $d < $to),
            );
            $checks[] = new self(self::DUE[$day], $due, $within !== []);
        }

        return $checks;
    }

    private static function from(DateTimeImmutable $made, int $days): DateTimeImmutable
    {
        return $made->modify(sprintf('+%d days', (int) round($days * (1 - self::SOONER))));
    }

    public function isDue(DateTimeImmutable $today): bool
    {
        return ! $this->done && $this->due <= $today;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['name' => $this->name, 'due_on' => $this->due->format('Y-m-d'), 'done' => $this->done];
    }
}
