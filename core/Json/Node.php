<?php

declare(strict_types=1);

namespace Crown\Json;

use BackedEnum;
use stdClass;

/**
 * A place in a document that was JSON: reads what stands there as what it should be, or says by its path what is
 * allowed. What is absent, and what is null, is none.
 */
final readonly class Node
{
    /** @param  array<array-key, mixed>  $fields */
    private function __construct(private array $fields, private string $path)
    {
    }

    /** @param  array<array-key, mixed>  $document */
    public static function of(array $document): self
    {
        return new self($document, '');
    }

    /** Whether something was said of it, be it that there is none. */
    public function names(string $key): bool
    {
        return array_key_exists($key, $this->fields);
    }

    public function has(string $key): bool
    {
        return isset($this->fields[$key]);
    }

    public function isText(string $key): bool
    {
        return is_string($this->fields[$key] ?? null);
    }

    /** @throws JsonError when there is something else than a text, or a longer one */
    public function text(string $key, string $none = '', int $longest = PHP_INT_MAX): string
    {
        $value = $this->fields[$key] ?? $none;
        if (! is_string($value)) {
            throw JsonError::field($this->at($key), 'a text');
        }

        return mb_strlen($value) <= $longest
            ? $value
            : throw JsonError::field($this->at($key), sprintf('a text of at most %d characters', $longest));
    }

    /** @throws JsonError when there is something else than a number */
    public function number(string $key): ?float
    {
        $value = $this->fields[$key] ?? null;
        if ($value === null) {
            return null;
        }

        // A form may have sent it as text.
        return is_numeric($value)
            ? (float) $value
            : throw JsonError::field($this->at($key), 'a number');
    }

    /** @throws JsonError when there is something else than a whole number */
    public function whole(string $key): ?int
    {
        $number = $this->number($key);

        return $number === null || $number === floor($number)
            ? ($number === null ? null : (int) $number)
            : throw JsonError::field($this->at($key), 'a whole number');
    }

    /** @throws JsonError when there is something else than true or false */
    public function flag(string $key, bool $none = false): bool
    {
        $value = $this->fields[$key] ?? $none;

        return match (true) {
            is_bool($value) => $value,
            // A form may have sent 0 or 1.
            in_array($value, [0, 1, '0', '1'], true) => (bool) $value,
            default => throw JsonError::field($this->at($key), 'true or false'),
        };
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum of texts
     * @param  T|null  $none
     * @return T
     *
     * @throws JsonError when it is none of the enum's values
     */
    public function one(string $key, string $enum, ?BackedEnum $none = null): BackedEnum
    {
        $value = $this->fields[$key] ?? $none?->value;

        return (is_string($value) ? $enum::tryFrom($value) : null) ?? throw JsonError::field(
            $this->at($key),
            implode(', ', array_map(static fn (BackedEnum $c): string => (string) $c->value, $enum::cases())),
        );
    }

    /** @throws JsonError when there is something else than an object or a list */
    public function object(string $key): ?self
    {
        $value = $this->fields[$key] ?? null;
        if ($value === null) {
            return null;
        }
        $value = $value instanceof stdClass ? (array) $value : $value;

        return is_array($value)
            ? new self($value, $this->at($key))
            : throw JsonError::field($this->at($key), 'an object');
    }

    /**
     * @return list<self> the objects of a list; none when it is absent
     *
     * @throws JsonError when it is no list of objects
     */
    public function objects(string $key): array
    {
        $list = $this->object($key);
        if ($list === null) {
            return [];
        }
        $objects = [];
        foreach ($list->fields as $n => $value) {
            $objects[] = is_array($value)
                ? new self($value, $list->at((string) $n))
                : throw JsonError::field($list->at((string) $n), 'an object');
        }

        return $objects;
    }

    /**
     * @return list<string> the texts of a list; none when it is absent
     *
     * @throws JsonError when it is no list of texts
     */
    public function texts(string $key): array
    {
        $list = $this->object($key);

        return $list === null
            ? []
            : array_map(
                static fn (int|string $n): string => $list->text((string) $n),
                array_keys($list->fields),
            );
    }

    /**
     * @return array<string, string> all that stands in an object of texts
     *
     * @throws JsonError when something else than a text stands in it
     */
    public function all(): array
    {
        $texts = [];
        foreach (array_keys($this->fields) as $key) {
            $texts[(string) $key] = $this->text((string) $key);
        }

        return $texts;
    }

    private function at(string $key): string
    {
        return $this->path === '' ? $key : $this->path.'.'.$key;
    }
}
