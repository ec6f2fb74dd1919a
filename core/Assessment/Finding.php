<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Formula\Acceptance;
use Crown\Formula\Formula;
use Crown\Measure\Band;
use JsonSerializable;

/**
 * What a check says: a whole sentence, the figures it rests on, the method that explains the rule, and what would cure
 * it.
 */
final readonly class Finding implements JsonSerializable
{
    /**
     * @param  list<Portion>  $portions the lines it is about
     * @param  array<string, Band>  $figures keyed by name, the unit being part of the name
     * @param  list<Cure>  $cures
     * @param  bool  $acceptable whether a reason of the maker's can outweigh it
     * @param  string  $accepted the maker's reason for living with it; "" when it is open
     */
    public function __construct(
        public string $code,
        public Severity $severity,
        public array $portions,
        public string $message,
        public array $figures,
        public string $method,
        public array $cures = [],
        public bool $acceptable = false,
        public string $accepted = '',
    ) {
    }

    /** The finding with what the formula's maker has decided about it. */
    public function decidedIn(Formula $formula): self
    {
        $acceptable = Acceptability::allows($this, $formula);
        $reason = '';
        foreach ($acceptable ? $formula->accepted : [] as $acceptance) {
            $reason = $this->isOf($acceptance) ? $acceptance->reason : $reason;
        }

        return new self(
            $this->code,
            $this->severity,
            $this->portions,
            $this->message,
            $this->figures,
            $this->method,
            $this->cures,
            $acceptable,
            $reason,
        );
    }

    private function isOf(Acceptance $acceptance): bool
    {
        return $acceptance->code === $this->code && $acceptance->message === $this->message;
    }

    /** Worst first, and what was accepted last. */
    public function rank(): int
    {
        return $this->accepted === '' ? $this->severity->rank() : 10 + $this->severity->rank();
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'code' => $this->code,
            'severity' => $this->severity->value,
            'subject' => array_values(
                array_unique(array_map(static fn (Portion $p): string => $p->ingredient->id, $this->portions)),
            ),
            'lines' => array_map(static fn (Portion $p): string => $p->line->id, $this->portions),
            'message' => $this->message,
            'figures' => (object) $this->figures,
            'method' => $this->method,
            'cures' => $this->cures,
            'acceptable' => $this->acceptable,
            'accepted' => $this->accepted,
        ];
    }
}
