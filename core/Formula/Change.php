<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Nature;
use Crown\Measure\Amount;
use Crown\Measure\Unit;
use Crown\Measure\WrittenAmount;
use JsonSerializable;

/**
 * A change to a formula as data: what a cure proposes, what a preview shows and an undo takes back.
 *
 * As JSON: {"op": …, "lines": {line id: value}} or {"op": "add-line", "ingredient", "amount"} or {"op": "set-wet-use"
 * or "set-mass", "value"}.
 */
final readonly class Change implements JsonSerializable
{
    /** Per cent by which shares may miss the whole and still be meant as the whole. */
    private const WHOLE = 0.05;

    /** @param  array<string, string>  $values */
    private function __construct(private ChangeKind $kind, private array $values)
    {
    }

    /** @param  array<string, string>  $amounts amount as written, keyed by line id; "" takes the line out */
    public static function amounts(array $amounts): self
    {
        return new self(ChangeKind::SetAmounts, $amounts);
    }

    public static function phase(Phase $phase, string ...$lines): self
    {
        return new self(ChangeKind::SetPhase, array_fill_keys($lines, $phase->value));
    }

    public static function form(string $line, string $form): self
    {
        return new self(ChangeKind::SetForm, [$line => $form]);
    }

    public static function ingredient(string $line, string $ingredient): self
    {
        return new self(ChangeKind::SetIngredient, [$line => $ingredient]);
    }

    /** What was in doubt of these lines is as it was read. */
    public static function confirm(string ...$lines): self
    {
        return new self(ChangeKind::ConfirmLines, array_fill_keys($lines, ''));
    }

    public static function remove(string ...$lines): self
    {
        return new self(ChangeKind::RemoveLines, array_fill_keys($lines, ''));
    }

    public static function add(string $ingredient, string $amount): self
    {
        return new self(ChangeKind::AddLine, ['ingredient' => $ingredient, 'amount' => $amount]);
    }

    public static function keptDry(): self
    {
        return new self(ChangeKind::SetWetUse, ['value' => 'no']);
    }

    /** @param  float  $grams of the whole batch */
    public static function mass(float $grams): self
    {
        return new self(ChangeKind::SetMass, ['value' => (string) $grams]);
    }

    /**
     * @param  array<array-key, mixed>  $json
     *
     * @throws FormulaError
     */
    public static function fromArray(array $json): self
    {
        $op = $json['op'] ?? '';
        $kind
            = ChangeKind::tryFrom(is_string($op) ? $op : '')
            ?? throw FormulaError::field('change.op', implode(', ', array_column(ChangeKind::cases(), 'value')));
        $values = [];
        $given = $kind->takesLines() ? (array) ($json['lines'] ?? []) : array_diff_key($json, ['op' => true]);
        foreach ($given as $key => $value) {
            $values[(string) $key] = is_string($value) ? $value : throw FormulaError::field('change', 'texts');
        }

        return new self($kind, $values);
    }

    /** @throws FormulaError when it names a line that is not there, or a value that is not allowed */
    public function applyTo(Formula $formula, Catalogue $catalogue): Formula
    {
        return match ($this->kind) {
            ChangeKind::AddLine => $this->added($formula, $catalogue),
            ChangeKind::SetWetUse => $formula->withUse(
                ($this->values['value'] ?? '') === 'yes',
                $formula->forSale,
                $formula->storageCelsius,
            ),
            ChangeKind::SetMass => $formula->withSize(Size::mass((float) ($this->values['value'] ?? ''))),
            default => $this->appliedToLines($formula, $catalogue),
        };
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return $this->kind->takesLines()
            ? ['op' => $this->kind->value, 'lines' => (object) $this->values]
            : ['op' => $this->kind->value, ...$this->values];
    }

    private function appliedToLines(Formula $formula, Catalogue $catalogue): Formula
    {
        foreach ($this->values as $id => $value) {
            // A key that is a figure comes out of an array as one.
            $line = $formula->line((string) $id);
            $changed = $this->changed($line, $value, $catalogue);
            $formula = $changed === null ? self::without($formula, $line->id) : $formula->replacing($changed);
        }

        return $formula;
    }

    /** The line as it is then; null when it is taken out. */
    private function changed(Line $line, string $value, Catalogue $catalogue): ?Line
    {
        return match ($this->kind) {
            ChangeKind::SetAmounts => $value === '' ? null : $line->withAmount(new WrittenAmount($value)),
            ChangeKind::SetPhase => $line->withPhase(
                Phase::tryFrom($value)
                    ?? throw FormulaError::field('phase', implode(', ', array_column(Phase::cases(), 'value'))),
            ),
            ChangeKind::SetForm => $line->withForm($value),
            ChangeKind::ConfirmLines => $line->confirmed(),
            // A thing of which only the nature is known keeps the name that it was given.
            ChangeKind::SetIngredient => $line->withIngredient(
                $value,
                Nature::ofId($value) === null ? $catalogue->get($value)->name : $line->name,
                Phase::usualFor($catalogue->get($value)),
            )->confirmed(),
            default => null,
        };
    }

    private function added(Formula $formula, Catalogue $catalogue): Formula
    {
        $ingredient = $catalogue->get($this->values['ingredient'] ?? '');
        $line = new Line(
            Line::freeId(array_map(static fn (Line $l): string => $l->id, $formula->lines)),
            $ingredient->id,
            $ingredient->name,
            new WrittenAmount($this->values['amount'] ?? ''),
            $ingredient->usualForm(),
            Phase::usualFor($ingredient),
        );

        $formula = self::makingRoom($formula, $line->amount);

        return $formula->withLines([...$formula->lines, $line]);
    }

    /**
     * Where every line is a share and together they are the whole, a share that comes in is taken from the largest that
     * is not locked, as makers do: most often the water, or the oil that carries the rest.
     */
    private static function makingRoom(Formula $formula, WrittenAmount $amount): Formula
    {
        $shares = [];
        foreach (
            [...array_map(static fn (Line $l): WrittenAmount => $l->amount, $formula->lines), $amount] as $written
        ) {
            if ($written->read?->unit !== Unit::Percent) {
                return $formula;
            }
            $shares[] = $written->read->count->best;
        }
        $coming = array_pop($shares);
        $open = array_filter($shares, static fn (int $i): bool => ! $formula->lines[$i]->locked, ARRAY_FILTER_USE_KEY);
        if (abs(array_sum($shares) - 100.0) > self::WHOLE || $open === [] || max($open) <= 2 * $coming) {
            return $formula;
        }
        $giver = $formula->lines[(int) array_search(max($open), $open, true)];

        return $formula->replacing(
            $giver->withAmount(new WrittenAmount(Amount::percent(round(max($open) - $coming, 4))->written)),
        );
    }

    private static function without(Formula $formula, string $id): Formula
    {
        return $formula->withLines(
            array_values(array_filter($formula->lines, static fn (Line $l): bool => $l->id !== $id)),
        );
    }
}
