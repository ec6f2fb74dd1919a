<?php

declare(strict_types=1);

namespace Tests\Feature\Fuzz;

use stdClass;

/** Makes a body that a published schema would let through, out of plausible words and figures. */
final class Draft
{
    private const DEEPEST = 7;

    private const AMOUNTS = [
        '40 g',
        '2 tbsp',
        '12 drops',
        '18 %',
        '1/2 cup',
        'to fill',
        '3 parts',
        '1 heaped tsp',
        '412 - 180 g',
        '',
    ];

    /** @param  array<string, list<mixed>>  $known values for names of fields, such as ids that exist */
    public function __construct(private readonly stdClass $schemas, private readonly array $known)
    {
    }

    public function of(string $name): mixed
    {
        return $this->made((object) ['$ref' => '#/components/schemas/'.$name], '', 0);
    }

    private function made(stdClass $schema, string $field, int $depth): mixed
    {
        if (isset($schema->{'$ref'})) {
            return $this->made($this->schemas->{basename($schema->{'$ref'})}, $field, $depth);
        }
        if (isset($this->known[$field])) {
            return self::one($this->known[$field]);
        }
        foreach (['oneOf', 'anyOf'] as $choice) {
            if (isset($schema->{$choice})) {
                return $this->made(self::one($schema->{$choice}), $field, $depth);
            }
        }
        if (isset($schema->allOf)) {
            return array_merge(
                ...array_map(fn (stdClass $part): array => (array) $this->made($part, $field, $depth), $schema->allOf),
            );
        }

        return match (true) {
            isset($schema->enum) => self::one($schema->enum),
            isset($schema->const) => $schema->const,
            default => $this->ofType($schema, $field, $depth),
        };
    }

    private function ofType(stdClass $schema, string $field, int $depth): mixed
    {
        $type = $schema->type ?? 'string';

        return match (is_array($type) ? self::one($type) : $type) {
            'object' => $this->object($schema, $depth),
            'array' => $this->list($schema, $field, $depth),
            'integer' => mt_rand((int) ($schema->minimum ?? 0), (int) min($schema->maximum ?? 9, 100)),
            'number' => round(mt_rand(0, 5_000) / 37, 2),
            'boolean' => mt_rand(0, 1) === 1,
            'null' => null,
            default => self::text($field),
        };
    }

    /** @return array<string, mixed>|stdClass */
    private function object(stdClass $schema, int $depth): array|stdClass
    {
        $made = [];
        foreach ((array) ($schema->properties ?? new stdClass()) as $name => $part) {
            if (in_array($name, $schema->required ?? [], true) || ($depth < self::DEEPEST && mt_rand(0, 2) > 0)) {
                $made[$name] = $this->made($part, (string) $name, $depth + 1);
            }
        }

        return $made === [] ? new stdClass() : $made;
    }

    /** @return list<mixed> */
    private function list(stdClass $schema, string $field, int $depth): array
    {
        $made = [];
        for ($n = $depth >= self::DEEPEST ? 0 : mt_rand(0, 3); $n > 0; $n--) {
            $made[] = $this->made($schema->items ?? new stdClass(), $field, $depth + 1);
        }

        return $made;
    }

    private static function text(string $field): string
    {
        return match (true) {
            $field === 'amount' => self::one(self::AMOUNTS),
            in_array($field, ['on', 'date', 'starts_on', 'started_on', 'wanted'], true) => sprintf(
                '2026-%02d-%02d',
                mt_rand(1, 12),
                mt_rand(1, 28),
            ),
            default => self::one(['olive-oil', 'shea-butter', 'Loft oil', 'fine', '', "two\nlines", 'ä “quoted”']),
        };
    }

    /**
     * @template T
     *
     * @param  array<array-key, T>  $of
     * @return T
     */
    private static function one(array $of): mixed
    {
        return $of[array_rand($of)];
    }
}
