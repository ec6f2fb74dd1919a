<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use DateTimeImmutable;

/** Where an entry comes from, and which of its figures the studio put in place of the catalogue's. */
final readonly class Provenance
{
    /**
     * @param  list<Correction>  $corrections
     * @param  string|null  $withdrawn why it must not be used any more; null while it may
     * @param  list<string>  $parents ids of what a steeped oil was made from
     * @param  list<string>  $sources ids of the sources its figures cite
     * @param  DateTimeImmutable|null  $awaited the day on which a steep can be strained whose oil this will be
     * @param  Inherited  $inherited what it has from the things that it was made of
     */
    public function __construct(
        public Origin $origin = Origin::Reference,
        public array $corrections = [],
        public ?string $withdrawn = null,
        public array $parents = [],
        public array $sources = [],
        public ?DateTimeImmutable $awaited = null,
        public Inherited $inherited = new Inherited(),
    ) {
    }

    /** @param  list<Correction>  $more */
    public function corrected(array $more): self
    {
        return new self(
            $this->origin,
            [...$this->corrections, ...$more],
            $this->withdrawn,
            $this->parents,
            $this->sources,
            $this->awaited,
            $this->inherited,
        );
    }

    /** The same out of another bottle. */
    public function outOf(?Bottle $bottle): self
    {
        return new self(
            $this->origin,
            $this->corrections,
            $this->withdrawn,
            $this->parents,
            $this->sources,
            $this->awaited,
            $this->inherited->outOf($bottle),
        );
    }

    /** The day that ends whatever is made of it, of its bottle or of one inside it; null where nothing tells. */
    public function useBy(): ?DateTimeImmutable
    {
        $days = array_filter([$this->inherited->useBy, $this->inherited->bottle?->useBy]);

        return $days === [] ? null : min($days);
    }
}
