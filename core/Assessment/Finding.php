<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Assessment\Internal\Sentences;
use Crown\Formula\Acceptance;
use Crown\Formula\FindingKey;
use Crown\Formula\Formula;
use Crown\Measure\Band;
use JsonSerializable;
use LogicException;

/**
 * What a check found: its code, the lines it is about, the figures it rests on, the method that explains the rule, and
 * what would cure it. Its sentence is made of these, in one place for each room (FindingWords).
 */
final readonly class Finding implements JsonSerializable
{
    /**
     * @param  list<Portion>  $portions the lines it is about
     * @param  list<FindingFigure>  $figures each of another name
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

    /** @throws LogicException when it rests on no figure of this name */
    public function figure(FigureName $name): Band
    {
        foreach ($this->figures as $figure) {
            if ($figure->name === $name) {
                return $figure->band;
            }
        }
        throw new LogicException(sprintf('"%s" rests on no figure "%s".', $this->code, $name->value));
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
            array_map(static fn (FindingFigure $f): string => $f->written(), $this->named()),
        );
    }

    /** @return array<string, FindingFigure> */
    private function named(): array
    {
        $named = [];
        foreach ($this->figures as $figure) {
            $named[$figure->name->value] = $figure;
        }

        return $named;
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
            'figures' => (object) $this->named(),
            'method' => $this->method,
            'cures' => $this->cures,
            'acceptable' => $this->acceptable,
            'accepted' => $this->accepted,
            'accepted_by' => $this->acceptedBy,
            'key' => $this->key(),
        ];
    }
}
