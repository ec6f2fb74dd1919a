<?php

declare(strict_types=1);

namespace Crown\Formula;

use JsonSerializable;

/**
 * What a finding says, apart from its words: by this a maker's decision knows it again. Method page:
 * docs/methods/accepting.md.
 */
final readonly class FindingKey implements JsonSerializable
{
    /**
     * @param  string  $code "load.total"
     * @param  string  $severity stop, caution or note
     * @param  list<string>  $about ids of the ingredients, and what else tells it from another of the same code
     * @param  array<string, string>  $figures each as it would be written, keyed by name
     */
    public function __construct(
        public string $code,
        public string $severity = '',
        public array $about = [],
        public array $figures = [],
    ) {
    }

    /** Whether what was decided about this holds for another: it says the same, and perhaps a figure more. */
    public function holdsFor(self $other): bool
    {
        return [$this->code, $this->severity, $this->about] === [$other->code, $other->severity, $other->about]
            && array_intersect_key($other->figures, $this->figures) == $this->figures;
    }

    /** @return array{code: string, severity: string, about: list<string>, figures: object} */
    public function jsonSerialize(): array
    {
        return [
            'code' => $this->code,
            'severity' => $this->severity,
            'about' => $this->about,
            'figures' => (object) $this->figures,
        ];
    }
}
