<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** All ingredients at hand: the reference ones, and those that a studio adds with with(). */
final readonly class Catalogue
{
    /**
     * @param  array<string, Ingredient>  $ingredients keyed by id
     * @param  array<string, ConstituentLimit>  $limits keyed by constituent
     * @param  array<string, string>  $sources keyed by id
     */
    private function __construct(
        private array $ingredients,
        private array $limits,
        private array $sources,
        private NameIndex $names,
    ) {
    }

    /**
     * @param  array<string, Ingredient>  $ingredients
     * @param  array<string, ConstituentLimit>  $limits
     * @param  array<string, string>  $sources
     *
     * @throws CatalogueError when two entries claim one name
     */
    public static function of(array $ingredients, array $limits, array $sources): self
    {
        return new self($ingredients, $limits, $sources, NameIndex::of($ingredients));
    }

    /** The same catalogue with a studio's own ingredients beside the reference ones. */
    public function with(Ingredient ...$own): self
    {
        if ($own === []) {
            return $this;
        }
        $added = [];
        foreach ($own as $ingredient) {
            $added[$ingredient->id] = $ingredient;
        }

        return new self([...$this->ingredients, ...$added], $this->limits, $this->sources, $this->names->with($added));
    }

    public function has(string $id): bool
    {
        return isset($this->ingredients[$id]);
    }

    /** @throws CatalogueError when there is none */
    public function get(string $id): Ingredient
    {
        return $this->ingredients[$id] ?? throw CatalogueError::unknown($id);
    }

    /** @return array<string, Ingredient> */
    public function all(): array
    {
        return $this->ingredients;
    }

    /** @return array<string, ConstituentLimit> */
    public function limits(): array
    {
        return $this->limits;
    }

    /** @return array<string, string> all sources in words, keyed by id */
    public function sources(): array
    {
        return $this->sources;
    }

    /** A source in words: the id itself when it is "estimate" or unknown. */
    public function source(string $id): string
    {
        return $this->sources[$id] ?? $id;
    }

    /**
     * Ingredients that a name may mean, best first; tolerates slips of the pen.
     *
     * @return list<NameMatch>
     */
    public function search(string $name, int $limit = 5): array
    {
        $matches = [];
        foreach ($this->names->search($name, $limit) as $id => [$score, $matched]) {
            $matches[] = new NameMatch($this->ingredients[$id], $score, $matched);
        }

        return $matches;
    }
}
