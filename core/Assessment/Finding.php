<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Formula\Acceptance;
use Crown\Formula\FindingKey;
use Crown\Measure\Band;
use JsonSerializable;
use LogicException;

/**
 * What a check found: its code, the lines it is about, the figures it rests on, the method that explains the rule, and
 * what would cure it. Its sentence is made of these, in one place for each room (FindingWords).
 */
final readonly class Finding implements JsonSerializable
{
    /** @var list<string> what tells it from another of the same code, beside its lines and its figures */
    public array $about;

    /**
     * @param  list<Portion>  $portions the lines it is about
     * @param  list<FindingFigure>  $figures each of another name
     * @param  list<Cure>  $cures
     */
    public function __construct(
        public string $code,
        public Severity $severity,
        public array $portions,
        public array $figures,
        public string $method,
        public array $cures = [],
        private Said $said = new Said(),
    ) {
        $this->about = $said->about;
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
        return $this->said->words->of($this);
    }

    /** @throws LogicException when it rests on no figure of this name */
    public function figure(FigureName $name): Band
    {
        foreach ($this->figures as $figure) {
            if ($figure->name === $name) {
                return $figure->band;
            }
        }
        throw new LogicException("\"$this->code\" rests on no figure \"$name->value\".");
    }

    public function term(string $name): string
    {
        return $this->said->terms[$name];
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

    /** @return array<string, mixed> apart from what was decided about it (Assessment::told) */
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
        ];
    }
}
