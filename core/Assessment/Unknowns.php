<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\NameMatch;
use Crown\Catalogue\Nature;

/**
 * What of a composition nobody can tell, in the one place that says so: lines of which there is nobody knows how much,
 * names that nobody placed, and lines that were read in one way and may mean another. Every figure and every check asks
 * here; what cannot be told counts at its worst. Method page: docs/methods/unknown.md.
 */
final readonly class Unknowns
{
    /** Things that one written name may mean. */
    private const MEANINGS = 4;

    /**
     * @param  list<Portion>  $amounts lines that are in it, nobody can tell how much
     * @param  list<Portion>  $names parts that nobody placed
     * @param  list<Portion>  $doubts lines with something unsettled since their text was read
     * @param  list<Portion>  $meanings what the doubtful lines may mean instead, each as large as its line
     */
    private function __construct(
        public array $amounts,
        public array $names,
        public array $doubts,
        public array $meanings,
    ) {
    }

    /**
     * @param  list<Portion>  $lines whole ones, none of them blank
     * @param  list<Portion>  $parts what they are made of
     */
    public static function in(array $lines, array $parts, Catalogue $catalogue): self
    {
        $doubts = array_values(array_filter($lines, static fn (Portion $p): bool => $p->line->doubt() !== null));
        $meanings = [];
        foreach ($doubts as $portion) {
            array_push($meanings, ...self::meaningsOf($portion, $catalogue));
        }

        return new self(
            array_values(array_filter($lines, static fn (Portion $p): bool => ! $p->counts())),
            array_values(array_filter($parts, static fn (Portion $p): bool => ! $p->ingredient->isPlaced())),
            $doubts,
            $meanings,
        );
    }

    /** @return list<Portion> */
    private static function meaningsOf(Portion $portion, Catalogue $catalogue): array
    {
        $doubt = $portion->line->doubt();
        if ($doubt === null || ! $doubt->isAboutWhat($portion->line)) {
            return [];
        }
        $others = array_filter(
            $catalogue->search($doubt->written, self::MEANINGS),
            static fn (NameMatch $m): bool => $m->ingredient->id !== $portion->ingredient->id,
        );
        $meanings = array_map(static fn (NameMatch $m): Portion => $portion->meaning($m->ingredient), $others);
        if (Nature::ofName($doubt->written) === Nature::Watery) {
            $meanings[] = $portion->meaning($catalogue->get(Nature::Watery->id())->called($doubt->written));
        }

        return array_values($meanings);
    }

    public function none(): bool
    {
        return $this->amounts === [] && $this->names === [] && $this->doubts === [];
    }

    /** Whether the whole is open: shares of the others are "at most", and what hangs on them cannot be told. */
    public function open(): bool
    {
        return $this->amounts !== [];
    }

    /** Whether what it is made of is known line for line and gram for gram, though a doubt may be left. */
    public function leavesFigures(): bool
    {
        return $this->amounts === [] && $this->names === [];
    }

    /** @return list<Portion> of which nobody knows whether they bring water */
    public function mayBeWet(): array
    {
        return [
            ...array_filter($this->names, static fn (Portion $p): bool => $p->ingredient->mayBeWet()),
            ...array_filter($this->meanings, static fn (Portion $p): bool => $p->freeWater()->high > 0.0),
        ];
    }
}
