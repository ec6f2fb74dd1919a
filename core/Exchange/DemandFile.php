<?php

declare(strict_types=1);

namespace Crown\Exchange;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Need;
use Crown\Solving\Answer;
use Crown\Solving\Candidate;
use Crown\Solving\Demand;
use Crown\Solving\Goal;
use Crown\Solving\SolveError;
use Crown\Solving\Solver;

/** What is asked of the solver, as open JSON: $defs/Demands in docs/formats/crown.schema.json. */
final class DemandFile
{
    /** Points by which a share may move so that all become simple parts. */
    private const PARTS_WITHIN = 12.0;

    /**
     * Reads and solves it.
     *
     * @param  array<array-key, mixed>  $json
     *
     * @throws SolveError naming the field and what is allowed
     */
    public static function solve(array $json, Catalogue $catalogue): Answer
    {
        $without = self::texts($json, 'without');
        $candidates = [];
        foreach (self::rows($json, 'ingredients') as $i => $row) {
            $id = self::text($row, 'id', '');
            if (! $catalogue->has($id)) {
                throw SolveError::field(sprintf('ingredients.%d.id', $i), 'the id of an ingredient in the catalogue');
            }
            $ingredient = $catalogue->get($id);
            $shunned = array_filter($without, $ingredient->answersTo(...)) !== [];
            $least = self::number($row, 'min', 0.0, "ingredients.$i");
            $candidates[] = new Candidate(
                $ingredient,
                $shunned ? 0.0 : $least,
                $shunned ? 0.0 : self::number($row, 'max', 100.0, "ingredients.$i"),
                self::number($row, 'now', 0.0, "ingredients.$i"),
                self::number($row, 'price', -1.0, "ingredients.$i"),
                self::number($row, 'stock', INF, "ingredients.$i"),
                step: self::number($row, 'step', 0.0, "ingredients.$i"),
            );
        }
        $demands = [];
        foreach (self::rows($json, 'demands') as $i => $row) {
            $demands[] = new Demand(
                self::text($row, 'kind', ''),
                self::number($row, 'min', -INF, "demands.$i"),
                self::number($row, 'max', INF, "demands.$i"),
                self::text($row, 'of', ''),
                self::number($row, 'at', 25.0, "demands.$i"),
            );
        }
        $goals = array_map(
            static fn (string $g): Goal => Goal::tryFrom($g)
                ?? throw SolveError::field('goal', implode(', ', array_column(Goal::cases(), 'value'))),
            is_string($json['goal'] ?? null) ? [$json['goal']] : self::texts($json, 'goal'),
        );
        $serves = array_map(
            static fn (string $n): string => Need::tryFrom($n) === null
                ? throw SolveError::field('serves', implode(', ', array_column(Need::cases(), 'value')))
                : $n,
            self::texts($json, 'serves'),
        );

        $answer = Solver::solve(
            $candidates,
            $demands,
            $goals,
            (int) self::number($json, 'most_ingredients', 0.0, ''),
            self::number($json, 'batch_grams', 0.0, ''),
            $serves,
            ($json['parts'] ?? false) === true ? self::PARTS_WITHIN : 0.0,
        );

        return $answer->simple ?? $answer;
    }

    /**
     * @param  array<array-key, mixed>  $json
     * @return list<array<array-key, mixed>>
     */
    private static function rows(array $json, string $key): array
    {
        $rows = [];
        $given = $json[$key] ?? [];
        foreach (is_array($given) ? $given : throw SolveError::field($key, 'a list') as $row) {
            $rows[] = is_array($row) ? $row : throw SolveError::field($key, 'a list of objects');
        }

        return $rows;
    }

    /**
     * @param  array<array-key, mixed>  $json
     * @return list<string>
     */
    private static function texts(array $json, string $key): array
    {
        $texts = [];
        $given = $json[$key] ?? [];
        foreach (is_array($given) ? $given : throw SolveError::field($key, 'a list of texts') as $text) {
            $texts[] = is_string($text) ? $text : throw SolveError::field($key, 'a list of texts');
        }

        return $texts;
    }

    /** @param  array<array-key, mixed>  $json */
    private static function text(array $json, string $key, string $fallback): string
    {
        $value = $json[$key] ?? $fallback;

        return is_string($value) ? $value : throw SolveError::field($key, 'a text');
    }

    /** @param  array<array-key, mixed>  $json */
    private static function number(array $json, string $key, float $fallback, string $where): float
    {
        $value = $json[$key] ?? $fallback;

        return is_int($value) || is_float($value)
            ? (float) $value
            : throw SolveError::field(ltrim($where.'.'.$key, '.'), 'a number');
    }
}
