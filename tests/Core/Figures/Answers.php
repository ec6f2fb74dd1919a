<?php

declare(strict_types=1);

namespace Tests\Core\Figures;

use BackedEnum;
use Crown\Catalogue\Catalogue;
use Crown\Measure\Band;
use DateTimeImmutable;
use DateTimeInterface;
use JsonSerializable;
use ReflectionClass;
use ReflectionMethod;
use ReflectionNamedType;
use Throwable;
use UnitEnum;

/**
 * What a value says of itself: every public method that asks for nothing, or for one plain thing, of which a few are
 * tried. Core's values are pure, so that asking changes nothing.
 */
final readonly class Answers
{
    private const DAYS = ['2027-03-09', '2027-03-10', '2027-04-07', '2028-03-10'];

    private const NUMBERS = [-1.0, 0.0, 0.5, 1.0, 5.0, 20.0, 34.5, 60.0, 100.0];

    public function __construct(private Catalogue $catalogue)
    {
    }

    /** @return list<array<string, mixed>> by method */
    public function of(?object ...$values): array
    {
        return array_map($this->one(...), array_values(array_filter($values)));
    }

    /** @return array<string, mixed> */
    private function one(object $value): array
    {
        $said = [];
        foreach ((new ReflectionClass($value))->getMethods(ReflectionMethod::IS_PUBLIC) as $method) {
            if ($method->isStatic() || str_starts_with($method->name, '__') || $method->name === 'jsonSerialize') {
                continue;
            }
            foreach ($this->asked($method) as $n => $with) {
                $said[$method->name.' '.$n] = self::tried(static fn (): mixed => $method->invoke($value, ...$with));
            }
        }

        return $said;
    }

    /** @return list<list<mixed>> what it is asked with, each time */
    private function asked(ReflectionMethod $method): array
    {
        if ($method->getNumberOfRequiredParameters() === 0) {
            return [[]];
        }
        $type = $method->getParameters()[0]->getType();
        if ($method->getNumberOfRequiredParameters() > 1 || ! $type instanceof ReflectionNamedType) {
            return [];
        }

        return match ($type->getName()) {
            'float' => array_map(static fn (float $number): array => [$number], self::NUMBERS),
            'int' => [[0], [1], [7], [30]],
            'bool' => [[true], [false]],
            Catalogue::class => [[$this->catalogue]],
            DateTimeImmutable::class => array_map(
                static fn (string $day): array => [new DateTimeImmutable($day)],
                self::DAYS,
            ),
            default => is_subclass_of($type->getName(), UnitEnum::class)
                ? array_map(static fn (UnitEnum $case): array => [$case], $type->getName()::cases())
                : [],
        };
    }

    private static function tried(callable $ask): mixed
    {
        try {
            // What is without end is written as nought.
            return json_decode((string) json_encode(self::plain($ask(), 0), JSON_PARTIAL_OUTPUT_ON_ERROR), true);
        } catch (Throwable $e) {
            return $e::class;
        }
    }

    private static function plain(mixed $answer, int $depth): mixed
    {
        return match (true) {
            $answer instanceof Band => $answer->jsonSerialize(),
            $answer instanceof BackedEnum => $answer->value,
            $answer instanceof DateTimeInterface => $answer->format('Y-m-d'),
            $answer instanceof JsonSerializable => $depth < 2 ? $answer->jsonSerialize() : $answer::class,
            is_object($answer) => [$answer::class, array_filter(get_object_vars($answer), is_scalar(...))],
            is_array($answer) => $depth < 2
                ? array_map(static fn (mixed $one): mixed => self::plain($one, $depth + 1), $answer)
                : count($answer),
            default => $answer,
        };
    }
}
