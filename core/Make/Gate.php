<?php

declare(strict_types=1);

namespace Crown\Make;

use Crown\Measure\Band;
use JsonSerializable;

/**
 * When a task is done: a sign, a temperature, a time, and why.
 *
 * As JSON: $defs/Gate in docs/formats/crown.schema.json.
 */
final readonly class Gate implements JsonSerializable
{
    /**
     * @param  string  $sign to be seen or felt
     * @param  Band|null  $celsius °C between which it is done; null where no temperature tells
     * @param  Band|null  $minutes that it takes; null where no time is known
     * @param  string|null  $reason null where it goes without saying
     */
    public function __construct(
        public string $sign,
        public ?Band $celsius = null,
        public ?Band $minutes = null,
        public ?string $reason = null,
    ) {
    }

    /** @param  Band|null  $minutes in the place of those there were, where it is known */
    public function lasting(?Band $minutes): self
    {
        return new self($this->sign, $this->celsius, $minutes ?? $this->minutes, $this->reason);
    }

    /** @param  Band|null  $celsius likewise */
    public function at(?Band $celsius): self
    {
        return new self($this->sign, $celsius ?? $this->celsius, $this->minutes, $this->reason);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'sign' => $this->sign,
            'celsius' => $this->celsius,
            'minutes' => $this->minutes,
            'reason' => $this->reason ?? '',
        ];
    }
}
