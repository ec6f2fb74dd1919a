<?php

declare(strict_types=1);

namespace Crown\Steep;

use DateTimeImmutable;

/** How far a jar has come, beside what it holds: its state, the days on which it was shaken, what was ticked. */
final readonly class Standing
{
    /**
     * @param  list<DateTimeImmutable>  $shaken days, in their order
     * @param  bool  $settling whether it was left to settle
     * @param  bool  $putAway whether it was put away after straining
     */
    public function __construct(
        public JarState $state = JarState::Running,
        public array $shaken = [],
        public bool $settling = false,
        public bool $putAway = false,
    ) {
    }

    public function wasShakenOn(DateTimeImmutable $day): bool
    {
        return in_array($day->format('Y-m-d'), $this->days(), true);
    }

    public function lastShaken(): ?DateTimeImmutable
    {
        return $this->shaken === [] ? null : $this->shaken[count($this->shaken) - 1];
    }

    /** @return list<string> */
    private function days(): array
    {
        return array_map(static fn (DateTimeImmutable $d): string => $d->format('Y-m-d'), $this->shaken);
    }
}
