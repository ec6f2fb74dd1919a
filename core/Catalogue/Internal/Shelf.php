<?php

declare(strict_types=1);

namespace Crown\Catalogue\Internal;

use Closure;
use Crown\Catalogue\CatalogueError;
use Crown\Catalogue\Ingredient;

/**
 * Entries, each made when it is first asked for: a request that judges ten lines makes ten, not three hundred.
 */
final class Shelf
{
    /** @var array<string, Ingredient> */
    private array $made = [];

    /** @param  array<string, callable(): Ingredient>  $makers keyed by id */
    public function __construct(private readonly array $makers)
    {
    }

    /** @param  array<string, Ingredient>  $ingredients keyed by id */
    public static function of(array $ingredients): self
    {
        return new self(array_map(static fn (Ingredient $i): Closure => static fn (): Ingredient => $i, $ingredients));
    }

    /** This shelf with another before it: of two entries of one id the other's is had. */
    public function under(self $more): self
    {
        return new self([
            ...$this->makers,
            ...array_map(
                static fn (string $id): Closure => static fn (): Ingredient => $more->get($id),
                array_combine(array_keys($more->makers), array_keys($more->makers)),
            ),
        ]);
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

    /**
     * What there is to choose from: what has two ids stands in it once, and what is still awaited not at all.
     *
     * @return array<string, Ingredient>
     */
    public function all(): array
    {
        $all = [];
        foreach (array_keys($this->makers) as $id) {
            $one = $this->get($id);
            if ($one->provenance->awaited === null) {
                $all[$one->id] = $one;
            }
        }

        return $all;
    }
}
