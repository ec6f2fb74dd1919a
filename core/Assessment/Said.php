<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Assessment\Internal\Sentences;

/** What the sentence of a finding is made of beside its lines and its figures. */
final readonly class Said
{
    /**
     * @param  list<string>  $about what tells the finding from another of the same code: an allergen, a head, a line
     *     that is not there any more
     * @param  array<string, string>  $terms what is named only, and does not tell it from another
     * @param  FindingWords  $words the sentences of the room it comes from
     */
    public function __construct(
        public array $about = [],
        public array $terms = [],
        public FindingWords $words = new Sentences(),
    ) {
    }
}
