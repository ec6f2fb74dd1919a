<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Catalogue\Need;
use JsonSerializable;

/** One need, and which lines serve it with how many points. */
final readonly class Service implements JsonSerializable
{
    /** @param  list<Earned>  $earned most first */
    public function __construct(public Need $need, public bool $asked, public array $earned)
    {
    }

    public function points(): float
    {
        return array_sum(array_map(static fn (Earned $e): float => $e->points, $this->earned));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'need' => $this->need->value,
            'label' => $this->need->label(),
            'asked' => $this->asked,
            'points' => round($this->points() * 100, 1),
            'lines' => array_map(
                static fn (Earned $e): array => [
                    'line' => $e->portion->line->id,
                    'name' => $e->portion->ingredient->name,
                    'points' => round($e->points * 100, 1),
                    'grade' => $e->evidence->grade,
                    'route' => $e->evidence->route->value,
                    'found' => $e->evidence->found,
                ],
                $this->earned,
            ),
        ];
    }
}
