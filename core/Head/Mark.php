<?php

declare(strict_types=1);

namespace Crown\Head;

use DateTimeImmutable;

/** What one zone of the scalp was like on a day. */
final readonly class Mark
{
    public function __construct(
        public Zone $zone,
        public Scalp $state,
        public DateTimeImmutable $on,
        public string $note = '',
    ) {
    }
}
