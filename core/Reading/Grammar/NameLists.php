<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** Names one after the other: "shea, castor and argan", "shea/castor", "shea + castor". */
final readonly class NameLists
{
    private const SIGNS = [',', '/', '+', '&', ':', ';'];

    private const MOST = 24;

    public function __construct(private Namings $names)
    {
    }

    /**
     * The longest list of two and more that begins at a place, and all that begin it.
     *
     * @return list<non-empty-list<Named>> the longest first
     */
    public function at(int $place, Chart $chart): array
    {
        return $chart->once(self::class, $place, function () use ($place, $chart): array {
            $names = $lists = [];
            for ($at = $place; count($names) < self::MOST;) {
                $name = $this->names->exactly($at, $chart)[0]
                    ?? ($names === [] && ! $chart->isWord($at) ? null : $this->names->nearly($at, $chart)[0] ?? null);
                if ($name === null || $name->cost >= Namings::UNKNOWN) {
                    break;
                }
                $names[] = $name;
                array_unshift($lists, $names);
                $next = $chart->skip($name->to, ...self::SIGNS);
                $next = max($next, $chart->past($next, Kind::Plus), $chart->past($next, Kind::RatioTo));
                if ($next === $name->to) {
                    break;
                }
                $at = $chart->past($next, Kind::Of);
            }

            return array_values(array_filter($lists, static fn (array $l): bool => count($l) > 1));
        });
    }

    /** A name by the letter, or like one. */
    public function name(int $place, Chart $chart): ?Named
    {
        $name = $this->names->exactly($place, $chart)[0] ?? $this->names->nearly($place, $chart)[0] ?? null;

        return $name === null || $name->cost >= Namings::UNKNOWN ? null : $name;
    }

    /** @return list<non-empty-list<Named>> so many names side by side, "castor olive grapeseed", or none */
    public function adjacent(int $place, int $count, Chart $chart): array
    {
        $names = [];
        for ($at = $place; count($names) < $count; $at = $name->to) {
            $name = $this->names->exactly($at, $chart)[0] ?? null;
            if ($name === null) {
                return [];
            }
            $names[] = $name;
        }

        return $names === [] ? [] : [$names];
    }

    /** @param  non-empty-list<Named>  $names */
    public static function cost(array $names): float
    {
        return array_sum(array_map(static fn (Named $n): float => $n->cost, $names));
    }
}
