<?php

declare(strict_types=1);

namespace Crown\Make;

/** One thing to do at the counter, and when it is done. */
final readonly class Task
{
    /**
     * @param  list<string>  $lines that go in here, by id
     * @param  string|null  $caution what can hurt; null where nothing does more than usual
     * @param  Hers|null  $hers what the maker wrote of it; null where it is ours alone
     * @param  int  $round which of its kind it is, from 1
     */
    public function __construct(
        public TaskKind $kind,
        public string $act,
        public Gate $gate,
        public array $lines = [],
        public ?string $caution = null,
        public ?Hers $hers = null,
        public int $round = 1,
    ) {
    }

    /** "melt", and of a second one "melt-2": the same as long as the formula is the same. */
    public function id(): string
    {
        return $this->kind->value.($this->round > 1 ? '-'.$this->round : '');
    }

    public function inRound(int $round): self
    {
        return new self($this->kind, $this->act, $this->gate, $this->lines, $this->caution, $this->hers, $round);
    }

    /** @param  list<string>  $lines */
    public function with(array $lines, string $act): self
    {
        return new self($this->kind, $act, $this->gate, $lines, $this->caution, $this->hers, $this->round);
    }

    /** The same where it is as warm as that already: nothing is waited for. */
    public function atOnce(): self
    {
        $gate = new Gate($this->gate->sign, $this->gate->celsius, null, $this->gate->reason);

        return new self($this->kind, $this->act, $gate, $this->lines, $this->caution, $this->hers, $this->round);
    }

    /** The same, with a word on why it is not done as she wrote it. */
    public function doubting(string $why): self
    {
        return new self(
            $this->kind,
            $this->act,
            $this->gate,
            $this->lines,
            $this->caution,
            new Hers($this->hers->words ?? '', trim(($this->hers->doubt ?? '').' '.$why)),
            $this->round,
        );
    }

    /** What is to be done and when it is done, in one breath. */
    public function words(): string
    {
        return trim(implode(' ', array_filter([$this->act, $this->gate->sign, $this->caution])));
    }
}
