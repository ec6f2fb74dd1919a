<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** A decoded JSON object that knows which file and key it stands at, so that every complaint can name both. */
final readonly class Entry
{
    /** @param  array<array-key, mixed>  $values */
    public function __construct(public string $file, private array $values, public string $path = '')
    {
    }

    public function isEmpty(): bool
    {
        return $this->values === [];
    }

    /** @throws CatalogueError when it is missing without a fallback, or not a text */
    public function text(string $key, string $fallback = "\0"): string
    {
        $value = $this->values[$key]
            ?? ($fallback === "\0" ? throw CatalogueError::missing($this->file, $this->at($key)) : $fallback);

        return is_string($value)
            ? $value
            : throw CatalogueError::wrong($this->file, $this->at($key), 'a text in quotes');
    }

    /** @throws CatalogueError when it is missing without a fallback, or not a number */
    public function number(string $key, float $fallback = NAN): float
    {
        $value = $this->values[$key]
            ?? (is_nan($fallback) ? throw CatalogueError::missing($this->file, $this->at($key)) : $fallback);

        return is_int($value) || is_float($value)
            ? (float) $value
            : throw CatalogueError::wrong($this->file, $this->at($key), 'a number');
    }

    public function flag(string $key, bool $fallback): bool
    {
        $value = $this->values[$key] ?? $fallback;

        return is_bool($value) ? $value : throw CatalogueError::wrong($this->file, $this->at($key), 'true or false');
    }

    /** @return list<string> */
    public function texts(string $key): array
    {
        $texts = [];
        foreach ($this->child($key)->values as $value) {
            $texts[] = is_string($value)
                ? $value
                : throw CatalogueError::wrong($this->file, $this->at($key), 'a list of texts');
        }

        return $texts;
    }

    /** @return array<string, float> */
    public function numbers(): array
    {
        $numbers = [];
        foreach (array_keys($this->values) as $key) {
            $numbers[(string) $key] = $this->number((string) $key);
        }

        return $numbers;
    }

    public function child(string $key): self
    {
        $value = $this->values[$key] ?? [];

        return is_array($value)
            ? new self($this->file, $value, $this->at($key))
            : throw CatalogueError::wrong($this->file, $this->at($key), 'an object or a list');
    }

    /** @return array<string, self> */
    public function children(): array
    {
        $children = [];
        foreach (array_keys($this->values) as $key) {
            $children[(string) $key] = $this->child((string) $key);
        }

        return $children;
    }

    private function at(string $key): string
    {
        return $this->path === '' ? $key : $this->path.'.'.$key;
    }
}
