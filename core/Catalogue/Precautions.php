<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** Why an ingredient is kept from some people, beside its pregnancy advice and its minimum age. */
final readonly class Precautions
{
    /**
     * @param  string  $pregnancyReason the basis of the advice; "" when there is nothing to advise
     * @param  string  $ageReason the basis of the minimum age; "" when there is none
     * @param  list<Condition>  $askFirst with these the clinician is asked first
     */
    public function __construct(
        public string $pregnancyReason = '',
        public string $ageReason = '',
        public array $askFirst = [],
    ) {
    }
}
