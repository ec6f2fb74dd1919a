<?php

declare(strict_types=1);

namespace Crown\Measure;

/** What has to be known of a thing to turn an amount of it into grams. */
final readonly class Substance
{
    /**
     * @param  bool  $chunky a butter that is measured in chunks with air between them, unless it is melted first
     * @param  bool  $liquid pours at room temperature, so that drops of it have a meaning
     */
    public function __construct(
        public string $name,
        public bool $chunky,
        public bool $liquid,
        public FactSheet $facts,
    ) {
    }
}
