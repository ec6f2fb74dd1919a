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
     */
    public function __construct(
        public string $id,
        public ?string $ingredient,
        public string $name,
        public WrittenAmount $amount,
        public string $form,
        public Phase $phase,
        public bool $locked = false,
    ) {
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

    public function withAmount(WrittenAmount $amount): self
    {
        return new self($this->id, $this->ingredient, $this->name, $amount, $this->form, $this->phase, $this->locked);
    }

    public function withPhase(Phase $phase): self
    {
        return new self($this->id, $this->ingredient, $this->name, $this->amount, $this->form, $phase, $this->locked);
    }

    public function withForm(string $form): self
    {
        return new self($this->id, $this->ingredient, $this->name, $this->amount, $form, $this->phase, $this->locked);
    }

    public function withIngredient(string $id, string $name, Phase $phase): self
    {
        return new self($this->id, $id, $name, $this->amount, $this->form, $phase, $this->locked);
    }
}
