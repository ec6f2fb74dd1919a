<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Words\Message;

/**
 * The most of a preservative that law allows, in the unit in which law counts it: often the acid, where the salt is
 * weighed.
 */
final readonly class LegalLimit
{
    /**
     * @param  float  $maximum per cent of the finished product, as $countedAs
     * @param  float  $share grams of $countedAs in one gram of what is weighed, above 0 to 1
     * @param  float|null  $rinsedMaximum per cent where it is rinsed off; null where law makes no difference
     */
    public function __construct(
        public float $maximum,
        public string $countedAs,
        public float $share,
        public string $source,
        public ?float $rinsedMaximum = null,
    ) {
        if ($share <= 0.0 || $share > 1.0 || $maximum <= 0.0) {
            throw CatalogueError::wrong(
                'a preservative',
                'preservation.law',
                Message::said('catalogue.legal-limit.maximum-above-share-above'),
            );
        }
    }

    /** Per cent of the finished product of what is weighed, at which law's limit is reached. */
    public function weighedMaximum(bool $rinsedOff = false): float
    {
        return ($rinsedOff ? $this->rinsedMaximum ?? $this->maximum : $this->maximum) / $this->share;
    }
}
