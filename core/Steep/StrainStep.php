<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Words\Message;

/** One step of straining: what hands do, and why. */
final readonly class StrainStep
{
    /**
     * @param  non-empty-list<Message>  $why
     * @param  int  $fewestHours to wait; 0 when there is nothing to wait for
     */
    public function __construct(
        public string $id,
        public Message $does,
        public array $why,
        public int $fewestHours = 0,
        public int $mostHours = 0,
    ) {
    }

    /** Why, in words. */
    public function why(): string
    {
        return implode(' ', array_map(static fn (Message $m): string => $m->words(), $this->why));
    }
}
