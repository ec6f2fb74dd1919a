<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Measure\Fact;

/** How an ingredient behaves on the fibre and feels afterwards. */
final readonly class OnHair
{
    /**
     * @param  string  $source of the action: id in data/sources.json, or "estimate"
     * @param  string|null  $feel a few words; null when it is not known
     * @param  list<Job>  $jobs what it is put in for, beside what the hair needs
     */
    public function __construct(
        public HairAction $action = HairAction::None,
        public string $source = Fact::ESTIMATE,
        public ?string $feel = null,
        public array $jobs = [],
    ) {
    }
}
