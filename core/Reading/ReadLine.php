<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Catalogue\NameMatch;
use Crown\Formula\Phase;
use Crown\Measure\Figure;
use JsonSerializable;

/** One ingredient line of a pasted recipe, as it was understood. */
final readonly class ReadLine implements JsonSerializable
{
    /**
     * @param  string  $text the line as it was pasted
     * @param  string  $name what was taken to be the ingredient's name
     * @param  string  $amount what was taken to be the amount; "" when there is none
     * @param  string  $form fresh, dried, powder, seed, melted, or ""
     * @param  list<NameMatch>  $matches best first
     * @param  list<Figure>  $grams one figure when the mass can be told, else empty
     * @param  Phase|null  $phase when it goes in, where a heading above it says so
     * @param  array<string, string>  $doubts why it is not sure, as sentences keyed by what is Asked; empty when it is
     */
    public function __construct(
        public string $text,
        public Understood $understood,
        public string $name,
        public string $amount,
        public string $form,
        public array $matches,
        public array $grams,
        public array $doubts,
        public ?Phase $phase = null,
    ) {
    }

    public function under(?Phase $phase): self
    {
        return $phase === null
            ? $this
            : new self(
                $this->text,
                $this->understood,
                $this->name,
                $this->amount,
                $this->form,
                $this->matches,
                $this->grams,
                $this->doubts,
                $phase,
            );
    }

    /** The same with a question about it. */
    public function asking(Asked $about, string $why): self
    {
        return new self(
            $this->text,
            Understood::Doubtful,
            $this->name,
            $this->amount,
            $this->form,
            $this->matches,
            $this->grams,
            [...$this->doubts, $about->value => $why],
            $this->phase,
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
            'text' => $this->text,
            'understood' => $this->understood->value,
            'ingredient' => $this->ingredient() === '' ? null : $this->ingredient(),
            'name' => $this->ingredient() === '' ? $this->name : $this->matches[0]->ingredient->name,
            'written_name' => $this->name,
            'amount' => $this->amount === '' ? null : $this->amount,
            'grams' => $this->grams === [] ? null : $this->grams[0]->band,
            'basis' => $this->grams === [] ? null : $this->grams[0]->basis->value,
            'form' => $this->form === '' ? null : $this->form,
            'doubts' => (object) $this->doubts,
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
