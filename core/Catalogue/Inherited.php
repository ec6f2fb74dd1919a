<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use DateTimeImmutable;

/**
 * What a thing has from the things that it was made of and from the bottle it comes out of, and passes on to whatever
 * is made with it.
 */
final readonly class Inherited
{
    /**
     * @param  list<string>  $names of everything in it, by which an allergy or a dislike may mean it
     * @param  DateTimeImmutable|null  $useBy the earliest day printed on a bottle that went in; null where none was
     * @param  string|null  $grown why microbes may have grown in it, which nothing takes away; null where none can
     * @param  Bottle|null  $bottle out of which it comes; null where none is known
     */
    public function __construct(
        public array $names = [],
        public ?DateTimeImmutable $useBy = null,
        public ?string $grown = null,
        public ?Bottle $bottle = null,
    ) {
    }

    public function outOf(?Bottle $bottle): self
    {
        return new self($this->names, $this->useBy, $this->grown, $bottle);
    }
}
