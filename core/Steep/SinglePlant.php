<?php

declare(strict_types=1);

namespace Crown\Steep;

/** The one plant of a jar, as far as what it keeps of the oil depends on it. */
final readonly class SinglePlant
{
    public function __construct(
        public string $ingredient,
        public string $form,
        public bool $pressed,
        public int $draw,
    ) {
    }

    /** Whether what another jar kept says something of this one: the same, drawn for the first time there. */
    public function learnsFrom(self $other): bool
    {
        return $other->ingredient === $this->ingredient
            && $other->form === $this->form
            && $other->pressed === $this->pressed
            && $other->draw === 1;
    }
}
