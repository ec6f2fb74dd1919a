<?php

declare(strict_types=1);

namespace Crown\Reading;

/** How a text is to be read where it does not say: what the maker settled of it. */
final readonly class ReadAs
{
    /**
     * @param  list<Correction>  $corrections
     * @param  bool  $ouncesByVolume an ounce of a liquid is a fluid one
     */
    public function __construct(public array $corrections = [], public bool $ouncesByVolume = false)
    {
    }

    /** What is said of a line; null when nothing is. The last word counts. */
    public function about(string $row, string $name, string $amount): ?Correction
    {
        $said = null;
        foreach ($this->corrections as $correction) {
            $said = $correction->isAbout($row, $name, $amount) ? $correction : $said;
        }

        return $said;
    }

    /** @return list<Correction> of what became no line in a row */
    public function in(string $row): array
    {
        return array_values(array_filter($this->corrections, static fn (Correction $c): bool => $c->isIn($row)));
    }
}
