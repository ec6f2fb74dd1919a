<?php

declare(strict_types=1);

namespace Crown\Exchange;

use Crown\Formula\Acceptance;
use Crown\Formula\Audience;
use Crown\Formula\Formula;
use Crown\Formula\FormulaError;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Formula\Step;

/** Formulas as open JSON: $defs/Formula in docs/formats/crown.schema.json. */
final class FormulaFile
{
    public const FORMAT = 'honest-crown/formula';

    /** @return array<string, mixed> */
    public static function write(Formula $formula): array
    {
        return [
            'format' => self::FORMAT,
            'title' => $formula->title,
            'kind' => $formula->kind->value,
            'audience' => $formula->audience->value,
            'wet_use' => $formula->wetUse,
            'for_sale' => $formula->forSale,
            'storage_c' => $formula->storageCelsius,
            'clear_glass' => $formula->clearGlass,
            'size' => self::writeSize($formula->size),
            'lines' => array_map(
                static fn (Line $l): array => [
                    'id' => $l->id,
                    'ingredient' => $l->ingredient,
                    'name' => $l->name,
                    'amount' => $l->amount,
                    'form' => $l->form,
                    'phase' => $l->phase->value,
                    'locked' => $l->locked,
                ],
                $formula->lines,
            ),
            'steps' => array_map(
                static fn (Step $s): array => [
                    'text' => $s->text,
                    'act' => $s->act,
                    'minutes' => $s->minutes,
                    'celsius' => $s->saysTemperature() ? $s->celsius : null,
                ],
                $formula->steps,
            ),
            'notes' => $formula->notes,
            'accepted' => array_map(
                static fn (Acceptance $a): array => [
                    'code' => $a->code,
                    'message' => $a->message,
                    'reason' => $a->reason,
                ],
                $formula->accepted,
            ),
        ];
    }

    /**
     * @param  array<array-key, mixed>  $json
     *
     * @throws FormulaError naming the field and what is allowed
     */
    public static function read(array $json): Formula
    {
        $size = $json['size'] ?? [];

        return new Formula(
            self::text($json, 'title', 200, 'Untitled'),
            ProductKind::tryFrom(self::text($json, 'kind', 40, 'hair-oil'))
                ?? throw FormulaError::field('kind', implode(', ', array_column(ProductKind::cases(), 'value'))),
            Audience::tryFrom(self::text($json, 'audience', 40, 'adult-leave-on'))
                ?? throw FormulaError::field('audience', implode(', ', array_column(Audience::cases(), 'value'))),
            self::lines($json['lines'] ?? []),
            self::steps($json['steps'] ?? []),
            is_array($size) ? self::size($size) : throw FormulaError::field('size', 'an object with a mode'),
            self::flag($json, 'wet_use'),
            self::flag($json, 'for_sale'),
            self::number($json, 'storage_c', 20.0),
            self::text($json, 'notes', 20_000, ''),
            self::accepted($json['accepted'] ?? []),
            self::flag($json, 'clear_glass'),
        );
    }

    /** @return array<string, mixed> */
    private static function writeSize(Size $size): array
    {
        return match ($size->mode) {
            'mass' => ['mode' => 'mass', 'grams' => $size->grams],
            'jars' => [
                'mode' => 'jars',
                'jars' => $size->jars,
                'millilitres' => $size->millilitres,
                'overfill' => $size->overfill,
                'loss' => $size->loss,
            ],
            default => ['mode' => 'as-written'],
        };
    }

    /** @param  array<array-key, mixed>  $json */
    private static function size(array $json): Size
    {
        return match ($json['mode'] ?? 'as-written') {
            'as-written' => Size::asWritten(),
            'mass' => Size::mass(self::number($json, 'grams', 0.0)),
            'jars' => Size::jars(
                (int) self::number($json, 'jars', 0.0),
                self::number($json, 'millilitres', 0.0),
                self::number($json, 'overfill', Size::OVERFILL),
                self::number($json, 'loss', Size::LOSS),
            ),
            default => throw FormulaError::field('size.mode', 'as-written, mass, jars'),
        };
    }

    /** @return list<Line> */
    private static function lines(mixed $rows): array
    {
        if (! is_array($rows)) {
            throw FormulaError::field('lines', 'a list of lines');
        }
        $lines = $ids = [];
        foreach (array_values($rows) as $i => $row) {
            if (! is_array($row)) {
                throw FormulaError::field('lines.'.$i, 'an object with ingredient and amount');
            }
            $id = self::text($row, 'id', 40, 'l'.($i + 1));
            if (isset($ids[$id])) {
                throw FormulaError::field('lines.'.$i.'.id', 'an id that no other line has');
            }
            $ids[$id] = true;
            $ingredient = self::text($row, 'ingredient', 80, '');
            $lines[] = new Line(
                $id,
                $ingredient,
                self::text($row, 'name', Line::LONGEST_NAME, $ingredient),
                self::text($row, 'amount', Line::LONGEST_AMOUNT, ''),
                self::text($row, 'form', 20, ''),
                Phase::tryFrom(self::text($row, 'phase', 20, 'warm'))
                    ?? throw FormulaError::field(
                        'lines.'.$i.'.phase',
                        implode(', ', array_column(Phase::cases(), 'value')),
                    ),
                self::flag($row, 'locked'),
            );
        }

        return $lines;
    }

    /** @return list<Step> */
    private static function steps(mixed $rows): array
    {
        if (! is_array($rows) || count($rows) > Formula::MOST_STEPS) {
            throw FormulaError::field('steps', sprintf('a list of at most %d steps', Formula::MOST_STEPS));
        }
        $steps = [];
        foreach ($rows as $row) {
            if (is_array($row)) {
                $steps[] = new Step(
                    self::text($row, 'text', 2_000, ''),
                    self::text($row, 'act', 20, 'other'),
                    self::number($row, 'minutes', 0.0),
                    self::number($row, 'celsius', 0.0),
                    isset($row['celsius']),
                );
            }
        }

        return $steps;
    }

    /** @return list<Acceptance> */
    private static function accepted(mixed $rows): array
    {
        if (! is_array($rows) || count($rows) > Formula::MOST_ACCEPTED) {
            throw FormulaError::field(
                'accepted',
                sprintf('a list of at most %d accepted findings', Formula::MOST_ACCEPTED),
            );
        }
        $accepted = [];
        foreach (array_values($rows) as $i => $row) {
            if (! is_array($row)) {
                throw FormulaError::field('accepted.'.$i, 'an object with code, message and reason');
            }
            $accepted[] = new Acceptance(
                self::text($row, 'code', 60, ''),
                self::text($row, 'message', Acceptance::LONGEST_MESSAGE, ''),
                self::text($row, 'reason', Acceptance::LONGEST_REASON, ''),
            );
        }

        return $accepted;
    }

    /** @param  array<array-key, mixed>  $json */
    private static function text(array $json, string $key, int $most, string $fallback): string
    {
        $value = $json[$key] ?? $fallback;
        if (! is_string($value) || mb_strlen($value) > $most) {
            throw FormulaError::field($key, sprintf('a text of at most %d characters', $most));
        }

        return $value;
    }

    /** @param  array<array-key, mixed>  $json */
    private static function number(array $json, string $key, float $fallback): float
    {
        $value = $json[$key] ?? $fallback;

        return is_int($value) || is_float($value) ? (float) $value : throw FormulaError::field($key, 'a number');
    }

    /** @param  array<array-key, mixed>  $json */
    private static function flag(array $json, string $key): bool
    {
        $value = $json[$key] ?? false;

        return is_bool($value) ? $value : throw FormulaError::field($key, 'true or false');
    }
}
