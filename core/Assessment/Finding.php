<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Assessment\Internal\Sentences;
use Crown\Formula\Acceptance;
use Crown\Formula\FindingKey;
use Crown\Formula\Formula;
use Crown\Measure\Band;
use JsonSerializable;

/**
 * What a check found: its code, the lines it is about, the figures it rests on, the method that explains the rule, and
 * what would cure it. Its sentence is made of these, in one place for each room (FindingWords).
 */
final readonly class Finding implements JsonSerializable
{
    /**
     * @param  list<Portion>  $portions the lines it is about
     * @param  array<string, Band>  $figures keyed by name, the unit being part of the name
     * @param  list<Cure>  $cures
     * @param  bool  $acceptable whether a reason of the maker's can outweigh it
     * @param  string  $accepted the maker's reason for living with it; "" when it is open
     * @param  list<string>  $about what tells it from another of the same code, beside its lines and its figures: an
     *     allergen, a head, a line that is not there any more
     * @param  int|null  $acceptedBy place among the formula's acceptances of the one that is of it; null when it is
     *     open
     * @param  array<string, string>  $terms what its sentence names and what does not tell it from another
     * @param  FindingWords  $words the sentences of the room it comes from
     */
    public function __construct(
        public string $code,
        public Severity $severity,
        public array $portions,
        public array $figures,
        public string $method,
        public array $cures = [],
        public bool $acceptable = false,
        public string $accepted = '',
        public array $about = [],
        public ?int $acceptedBy = null,
        private array $terms = [],
        private FindingWords $words = new Sentences(),
    ) {
    }

    /** The finding with what the formula's maker has decided about it. */
    public function decidedIn(Formula $formula): self
    {
        $acceptable = Acceptability::allows($this, $formula);
        $reason = '';
        $by = null;
        foreach ($acceptable ? $formula->accepted : [] as $n => $acceptance) {
            if ($this->isOf($acceptance)) {
                [$reason, $by] = [$acceptance->reason, $n];
            }
        }

        return new self(
            $this->code,
            $this->severity,
            $this->portions,
            $this->figures,
            $this->method,
            $this->cures,
            $acceptable,
            $reason,
            $this->about,
            $by,
            $this->terms,
            $this->words,
        );
    }

    public function isOf(Acceptance $acceptance): bool
    {
        return $acceptance->sentence === null
            ? $acceptance->key->holdsFor($this->key())
            : $acceptance->key->code === $this->code && $acceptance->sentence === $this->message();
    }

    /** What it says, in words. */
    public function message(): string
    {
        return $this->words->of($this);
    }

    public function figure(string $name): Band
    {
        return $this->figures[$name];
    }

    public function term(string $name): string
    {
        return $this->terms[$name];
    }

    /** What it says, apart from its words. */
    public function key(): FindingKey
    {
        $lines = array_map(
            static fn (Portion $p): string => match (true) {
                $p->ingredient->isPlaced() => $p->ingredient->id,
                $p->of === null => $p->line->name,
                default => $p->ingredient->name,
            },
            $this->portions,
        );

        return new FindingKey(
            $this->code,
            $this->severity->value,
            [...array_values(array_unique($lines)), ...$this->about],
            array_map(self::written(...), $this->figures),
        );
    }

    /** A figure to three digits, with its high end where that is another: a tenth of a drop more changes nothing. */
    private static function written(Band $figure): string
    {
        [$best, $high] = [sprintf('%.3g', $figure->best), sprintf('%.3g', $figure->high)];

        return $best === $high ? $best : $best.' to '.$high;
    }

    /** Worst first, before all else that a clinician is asked, and what was accepted last. */
    public function rank(): int
    {
        if ($this->code === 'head.clinician') {
            return -1;
        }

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
            'lines' => array_values(
                array_unique(array_map(static fn (Portion $p): string => $p->line->id, $this->portions)),
            ),
            'message' => $this->message(),
            'figures' => (object) $this->figures,
            'method' => $this->method,
            'cures' => $this->cures,
            'acceptable' => $this->acceptable,
            'accepted' => $this->accepted,
            'accepted_by' => $this->acceptedBy,
            'key' => $this->key(),
        ];
    }
}
