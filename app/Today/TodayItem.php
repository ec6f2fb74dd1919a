<?php

declare(strict_types=1);

namespace App\Today;

use JsonSerializable;

/** Something that needs hands now: $defs/TodayItem. */
final readonly class TodayItem implements JsonSerializable
{
    /**
     * @param  string  $kind what is done; with the id it is told from all others
     * @param  string  $date by which, YYYY-MM-DD
     * @param  string  $place where on screen it is done
     * @param  Tick|null  $tick null when more has to be said than that it is done
     */
    public function __construct(
        private string $kind,
        private int $id,
        public string $date,
        private bool $overdue,
        public string $words,
        private string $place,
        private ?Tick $tick = null,
    ) {
    }

    /** The earliest first, then by their words. */
    public static function order(self $a, self $b): int
    {
        return [$a->date, $a->words] <=> [$b->date, $b->words];
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'key' => $this->kind.'-'.$this->id,
            'date' => $this->date,
            'overdue' => $this->overdue,
            'words' => $this->words,
            'kind' => $this->kind,
            'place' => $this->place,
            'tick' => $this->tick,
        ];
    }
}
