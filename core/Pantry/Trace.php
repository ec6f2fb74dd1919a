<?php

declare(strict_types=1);

namespace Crown\Pantry;

use JsonSerializable;

/**
 * What came of what, as a picture in columns: each thing stands one column right of the last that it came of. Method
 * page: docs/methods/pantry.md.
 *
 * As JSON: $defs/Trace in docs/formats/crown.schema.json.
 */
final readonly class Trace implements JsonSerializable
{
    /**
     * @param  array<string, array<string, mixed>>  $nodes by name: kind, id, title, withdrawn
     * @param  list<array{from: string, to: string, grams: float}>  $edges
     * @param  array<string, int>  $columns by name, from 0
     */
    private function __construct(private array $nodes, private array $edges, public array $columns)
    {
    }

    /**
     * @param  array<string, array<string, mixed>>  $nodes by name
     * @param  list<array{from: string, to: string, grams: float}>  $edges those that name no node are left out
     */
    public static function of(array $nodes, array $edges): self
    {
        $edges = array_values(array_filter(
            $edges,
            static fn (array $e): bool => isset($nodes[$e['from']], $nodes[$e['to']]),
        ));
        $columns = array_map(static fn (): int => 0, $nodes);
        // Nothing comes of itself, so there are at most as many steps as things.
        for ($n = count($nodes); $n > 0; $n--) {
            $moved = false;
            foreach ($edges as $edge) {
                $after = $columns[$edge['from']] + 1;
                if ($columns[$edge['to']] < $after && $after < count($nodes)) {
                    $columns[$edge['to']] = $after;
                    $moved = true;
                }
            }
            if (! $moved) {
                break;
            }
        }

        return new self($nodes, $edges, $columns);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'nodes' => array_map(
                fn (string $name, array $node): array => ['name' => $name, 'column' => $this->columns[$name], ...$node],
                array_keys($this->nodes),
                $this->nodes,
            ),
            'edges' => $this->edges,
        ];
    }
}
