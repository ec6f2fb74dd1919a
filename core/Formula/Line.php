<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Measure\WrittenAmount;

/** One ingredient in a formula, with its amount as the maker wrote it. */
final readonly class Line
{
    /** Characters. */
    public const LONGEST_NAME = 200;

    public const LONGEST_AMOUNT = 120;

    /**
     * @param  string  $id stays with the line through every edit
     * @param  string|null  $ingredient id in the catalogue; null when the name was not placed
     * @param  string  $name as written
     * @param  string  $form fresh, dried, powder, seed, melted, or ""
     * @param  Doubt|null  $read what was not sure when its text was read, see doubt()
     */
    public function __construct(
        public string $id,
        public ?string $ingredient,
        public string $name,
        public WrittenAmount $amount,
        public string $form,
        public Phase $phase,
        public bool $locked = false,
        private ?Doubt $read = null,
    ) {
    }

    /** What is not sure of it since its text was read; null when nothing is any more. */
    public function doubt(): ?Doubt
    {
        return $this->read?->isOpen($this) === true ? $this->read : null;
    }

    /**
     * An id that no line has yet: l1, l2, ...
     *
     * @param  array<string>  $taken
     */
    public static function freeId(array $taken): string
    {
        $n = count(array_unique($taken)) + 1;
        while (in_array('l'.$n, $taken, true)) {
            $n++;
        }

        return 'l'.$n;
    }

    /** The same under another id. */
    public function under(string $id): self
    {
        return new self(
            $id,
            $this->ingredient,
            $this->name,
            $this->amount,
            $this->form,
            $this->phase,
            $this->locked,
            $this->read,
        );
    }

    public function withAmount(WrittenAmount $amount): self
    {
        return $this->but(amount: $amount);
    }

    public function withPhase(Phase $phase): self
    {
        return $this->but(phase: $phase);
    }

    public function withForm(string $form): self
    {
        return $this->but(form: $form);
    }

    public function withIngredient(string $id, string $name, Phase $phase): self
    {
        return $this->but(ingredient: $id, name: $name, phase: $phase);
    }

    /** The same with nothing in doubt: the maker has said that it is so. */
    public function confirmed(): self
    {
        return new self(
            $this->id,
            $this->ingredient,
            $this->name,
            $this->amount,
            $this->form,
            $this->phase,
            $this->locked,
        );
    }

    private function but(
        ?string $ingredient = null,
        ?string $name = null,
        ?WrittenAmount $amount = null,
        ?string $form = null,
        ?Phase $phase = null,
    ): self {
        return new self(
            $this->id,
            $ingredient ?? $this->ingredient,
            $name ?? $this->name,
            $amount ?? $this->amount,
            $form ?? $this->form,
            $phase ?? $this->phase,
            $this->locked,
            $this->read,
        );
    }
}
