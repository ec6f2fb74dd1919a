<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** What an ingredient asks for before it is used, and why it is kept from some people. Minimum ages are facts of it. */
final readonly class Precautions
{
    /**
     * @param  string|null  $pregnancyReason the basis of the advice; null when there is nothing to advise
     * @param  list<string>  $allergens groups, as "tree nut"
     * @param  string|null  $dermalReason the basis of its greatest use on skin; null when there is none
     * @param  string|null  $ageReason the basis of the minimum age; null when there is none
     * @param  list<Condition>  $askFirst with these the clinician is asked first
     * @param  list<Caution>  $cautions
     */
    public function __construct(
        public Advice $pregnancy = Advice::Ok,
        public ?string $pregnancyReason = null,
        public array $allergens = [],
        public ?string $dermalReason = null,
        public ?string $ageReason = null,
        public array $askFirst = [],
        public array $cautions = [],
    ) {
    }

    /** @return list<Caution> those that warn of harm to someone */
    public function warnings(): array
    {
        return array_values(array_filter($this->cautions, static fn (Caution $c): bool => $c->kind->warns()));
    }

    public function hasCaution(CautionKind $kind): bool
    {
        return array_filter($this->cautions, static fn (Caution $c): bool => $c->kind === $kind) !== [];
    }

    /** @param  list<string>  $allergens */
    public function withAllergens(array $allergens): self
    {
        return new self(
            $this->pregnancy,
            $this->pregnancyReason,
            $allergens,
            $this->dermalReason,
            $this->ageReason,
            $this->askFirst,
            $this->cautions,
        );
    }
}
