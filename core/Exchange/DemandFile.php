<?php

declare(strict_types=1);

namespace Crown\Exchange;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Need;
use Crown\Problem;
use Crown\Solving\Answer;
use Crown\Solving\Candidate;
use Crown\Solving\Goal;
use Crown\Solving\Requirement;
use Crown\Solving\Requirement\EffectiveSolids;
use Crown\Solving\Requirements;
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
            $candidates[] = Problem::within("ingredients.$i", static fn (): Candidate => new Candidate(
                $ingredient,
                $shunned ? 0.0 : self::number($row, 'min') ?? 0.0,
                $shunned ? 0.0 : self::number($row, 'max') ?? 100.0,
                self::number($row, 'now') ?? 0.0,
                self::number($row, 'price'),
                self::number($row, 'stock'),
                // In the document 0 stands for any share, and for any number.
                step: self::number($row, 'step') ?: null,
            ));
        }
        $demands = [];
        foreach (self::rows($json, 'demands') as $i => $row) {
            $demands[] = Problem::within("demands.$i", static fn (): Requirement => Requirements::written(
                self::text($row, 'kind', ''),
                self::number($row, 'min'),
                self::number($row, 'max'),
                self::text($row, 'of', ''),
                self::number($row, 'at') ?? EffectiveSolids::USUAL_CELSIUS,
            ));
        }
        $goals = array_map(
            static fn (string $g): Goal => Goal::tryFrom($g)
                ?? throw SolveError::field('goal', implode(', ', array_column(Goal::cases(), 'value'))),
            is_string($json['goal'] ?? null) ? [$json['goal']] : self::texts($json, 'goal'),
        );
        $serves = array_map(
            static fn (string $n): Need => Need::tryFrom($n)
                ?? throw SolveError::field('serves', implode(', ', array_column(Need::cases(), 'value'))),
            self::texts($json, 'serves'),
        );

        $answer = Solver::solve(
            $candidates,
            $demands,
            $goals,
            (int) self::number($json, 'most_ingredients') ?: null,
            self::number($json, 'batch_grams') ?: null,
            $serves,
            ($json['parts'] ?? false) === true ? self::PARTS_WITHIN : null,
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
    private static function number(array $json, string $key): ?float
    {
        $value = $json[$key] ?? null;

        return $value === null || is_int($value) || is_float($value)
            ? ($value === null ? null : (float) $value)
            : throw SolveError::field($key, 'a number');
    }
}
