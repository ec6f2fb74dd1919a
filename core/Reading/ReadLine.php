<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Catalogue\NameMatch;
use Crown\Formula\Phase;
use Crown\Measure\Figure;
use Crown\Reading\Internal\Names;
use JsonSerializable;

/** One ingredient line of a pasted recipe, as it was understood. */
final readonly class ReadLine implements JsonSerializable
{
    /** The amount as it was read in the text; "" when there is none. */
    public string $writtenAmount;

    /**
     * @param  string  $text the line as it was pasted
     * @param  string  $name what was taken to be the ingredient's name
     * @param  string  $amount what counts as the amount; "" when there is none
     * @param  string  $form fresh, dried, powder, seed, melted, or ""
     * @param  list<NameMatch>  $matches best first
     * @param  Figure|null  $grams null when the mass cannot be told
     * @param  array<string, string>  $doubts why it is not sure, as sentences keyed by what is Asked; empty when it is
     * @param  Phase|null  $phase when it goes in, where a heading above it says so
     * @param  list<Choice>  $choices what the text names in its place
     * @param  bool  $optional whether the text leaves it open
     * @param  string|null  $written the amount as it was read, where another one counts now
     * @param  int|null  $row number of its row in the source; null for none
     * @param  SettledBy  $by who says what it is
     * @param  string  $place its row as it was pasted, by which it is found again; "" for none
     */
    public function __construct(
        public string $text,
        public Understood $understood,
        public string $name,
        public string $amount,
        public string $form,
        public array $matches,
        public ?Figure $grams,
        public array $doubts,
        public ?Phase $phase = null,
        public array $choices = [],
        public bool $optional = false,
        ?string $written = null,
        public ?int $row = null,
        public SettledBy $by = SettledBy::Text,
        public string $place = '',
    ) {
        $this->writtenAmount = $written ?? $amount;
    }

    public function under(?Phase $phase): self
    {
        return $phase === null ? $this : $this->but(phase: $phase);
    }

    /** The same with the place that it has in the text. */
    public function on(int $row, string $place): self
    {
        return $this->but(row: $row, place: $place);
    }

    /** The same with a question about it. */
    public function asking(Asked $about, string $why): self
    {
        return $this->but(
            understood: $this->understood === Understood::No ? null : Understood::Doubtful,
            doubts: [...$this->doubts, $about->value => $why],
        );
    }

    /**
     * The same with what the text leaves open.
     *
     * @param  list<Choice>  $choices
     */
    public function leavingOpen(array $choices, bool $optional): self
    {
        return $this->but(choices: $choices, optional: $optional);
    }

    /** What this line was taken to be, in the place, the words and the phase of another. */
    public function inPlaceOf(self $other, SettledBy $by): self
    {
        return new self(
            $other->text,
            $this->understood,
            $other->name,
            $this->amount,
            $this->form,
            $this->matches,
            $this->grams,
            $this->doubts,
            $other->phase,
            $other->choices,
            $other->optional,
            $other->writtenAmount,
            $other->row,
            $by,
            $other->place,
        );
    }

    /**
     * @param  array<string, string>|null  $doubts
     * @param  list<Choice>|null  $choices
     */
    private function but(
        ?Understood $understood = null,
        ?array $doubts = null,
        ?Phase $phase = null,
        ?array $choices = null,
        ?bool $optional = null,
        ?int $row = null,
        ?string $place = null,
    ): self {
        return new self(
            $this->text,
            $understood ?? $this->understood,
            $this->name,
            $this->amount,
            $this->form,
            $this->matches,
            $this->grams,
            $doubts ?? $this->doubts,
            $phase ?? $this->phase,
            $choices ?? $this->choices,
            $optional ?? $this->optional,
            $this->writtenAmount,
            $row ?? $this->row,
            $this->by,
            $place ?? $this->place,
        );
    }

    /** The id of the best match, or "" when nothing is near enough. */
    public function ingredient(): string
    {
        return $this->understood === Understood::No || $this->matches === [] ? '' : $this->matches[0]->ingredient->id;
    }

    /** Why it is not sure; "" when it is. */
    public function doubt(): string
    {
        return implode(' ', $this->doubts);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'row' => $this->place,
            'text' => $this->text,
            'understood' => $this->understood->value,
            'ingredient' => $this->ingredient() === '' ? null : $this->ingredient(),
            'name' => $this->ingredient() === '' ? $this->name : $this->matches[0]->ingredient->name,
            'written_name' => $this->name,
            'written_amount' => $this->writtenAmount,
            'amount' => $this->amount === '' ? null : $this->amount,
            'grams' => $this->grams?->band,
            'basis' => $this->grams?->basis->value,
            'form' => $this->form === '' ? null : $this->form,
            'doubts' => (object) $this->doubts,
            'choices' => $this->choices,
            'optional' => $this->optional,
            'settled_by' => $this->by->value,
            'memorable' => $this->name !== '' && ! Names::isKind($this->name),
            'alternatives' => array_map(
                static fn (NameMatch $m): array => [
                    'id' => $m->ingredient->id,
                    'name' => $m->ingredient->name,
                    'score' => round($m->score, 3),
                ],
                $this->understood === Understood::No ? $this->matches : array_slice($this->matches, 1),
            ),
        ];
    }
}
