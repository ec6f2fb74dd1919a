<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Closure;

/**
 * The reference entries, each made an Ingredient when it is first asked for: a request that judges ten lines builds ten, not
 * three hundred. Insides of the room; use Catalogue.
 */
final class Shelf
{
    /** @var array<string, Ingredient> */
    private array $built = [];

    /**
     * @param  array<string, array<array-key, mixed>>  $entries decoded files, keyed by id
     * @param  Closure(string, array<array-key, mixed>): Ingredient  $build
     */
    public function __construct(
        private readonly array $entries,
        private readonly Closure $build,
    ) {
    }

    public function has(string $id): bool
    {
        return isset($this->entries[$id]);
    }

    /** @throws CatalogueError when there is none */
    public function get(string $id): Ingredient
    {
        return $this->built[$id] ??= isset($this->entries[$id]) ? ($this->build)($id.'.json', $this->entries[$id]) : throw CatalogueError::unknown($id);
    }

    /** @return array<string, Ingredient> */
    public function all(): array
    {
        $all = [];
        foreach (array_keys($this->entries) as $id) {
            $all[$id] = $this->get($id);
        }

        return $all;
    }
}
