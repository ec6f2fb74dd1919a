<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Closure;

/**
 * The reference entries, each made when it is first asked for: a request that judges ten lines makes ten, not three hundred.
 */
final class Shelf
{
    /** @var array<string, Ingredient> */
    private array $made = [];

    /** @param  array<string, Closure(): Ingredient>  $makers keyed by id */
    public function __construct(private readonly array $makers)
    {
    }

    /** @param  array<string, Ingredient>  $ingredients keyed by id */
    public static function of(array $ingredients): self
    {
        return new self(array_map(static fn (Ingredient $i): Closure => static fn (): Ingredient => $i, $ingredients));
    }

    public function has(string $id): bool
    {
        return isset($this->makers[$id]);
    }

    /** @throws CatalogueError when there is none */
    public function get(string $id): Ingredient
    {
        return $this->made[$id] ??= ($this->makers[$id] ?? throw CatalogueError::unknown($id))();
    }

    /** @return array<string, Ingredient> */
    public function all(): array
    {
        $all = [];
        foreach (array_keys($this->makers) as $id) {
            $all[$id] = $this->get($id);
        }

        return $all;
    }
}
