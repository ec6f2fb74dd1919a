<?php

declare(strict_types=1);

namespace Crown\Measure;

use Crown\Json\Node;
use Crown\Words\Message;
use JsonSerializable;

/** One thing of a maker's kitchen. */
final readonly class KitItem implements JsonSerializable
{
    public const LONGEST_NAME = 80;

    /**
     * @param  int  $id by which other rooms name it; never given twice in one kit
     * @param  string|null  $ingredient id of what it was calibrated with; null for what is not
     * @param  string  $substance what that is called
     * @param  array<string, float>  $figures by field; what is not known is not there
     * @param  array<string, string>  $choices by field
     */
    private function __construct(
        public int $id,
        public KitKind $kind,
        public string $name,
        public ?string $ingredient,
        public string $substance,
        public array $figures,
        public array $choices,
    ) {
    }

    /** @throws MeasureError about the field that is not allowed, and what is */
    public static function from(int $id, Node $said): self
    {
        $kind = $said->one('kind', KitKind::class);
        $name = trim($said->text('name'));
        if ($name === '' || mb_strlen($name) > self::LONGEST_NAME) {
            throw MeasureError::kit('name', Message::said('measure.kit-item.name-letters', [
                'most' => self::LONGEST_NAME,
            ]));
        }
        $ingredient = $kind->wantsIngredient() ? $said->text('ingredient') ?: null : null;
        $substance = $ingredient === null ? '' : $said->text('substance');
        if ($kind->wantsIngredient() && $ingredient === null) {
            throw MeasureError::kit('ingredient', Message::said('measure.kit-item.say-with-what-was'));
        }
        $figures = $choices = [];
        foreach ($kind->figures() as $field => $asked) {
            $figure = $said->number($field);
            if ($figure === null ? $asked->needed : ! $asked->allowed->hold($figure)) {
                throw MeasureError::kit($field, trim(sprintf(
                    '%s: %s to %s %s',
                    $asked->label,
                    Amount::number($asked->allowed->least),
                    Amount::number($asked->allowed->most),
                    $asked->unit,
                )).'.');
            }
            if ($figure !== null) {
                $figures[$field] = $figure;
            }
        }
        foreach ($kind->choices() as $field => $asked) {
            $choice = $said->text($field, $asked->allowed[0]);
            if (! in_array($choice, $asked->allowed, true)) {
                throw MeasureError::kit($field, sprintf('%s: %s.', $asked->label, implode(', ', $asked->allowed)));
            }
            $choices[$field] = $choice;
        }

        return new self($id, $kind, $name, $ingredient, $substance, $figures, $choices);
    }

    /** As it was kept: whether it may be so was asked when it was written down. */
    public static function kept(Node $kept): self
    {
        $kind = $kept->one('kind', KitKind::class);
        $figures = $choices = [];
        foreach ($kind->figureFields() as $field) {
            $figures[$field] = $kept->number($field);
        }
        foreach ($kind->usualChoices() as $field => $usual) {
            $choices[$field] = $kept->text($field, $usual);
        }

        return new self(
            (int) $kept->whole('id'),
            $kind,
            $kept->text('name'),
            $kept->text('ingredient') ?: null,
            $kept->text('substance'),
            array_filter($figures, static fn (?float $f): bool => $f !== null),
            $choices,
        );
    }

    /** A figure that its kind must have (KitKind::figures). */
    public function figure(string $field): float
    {
        return $this->figures[$field] ?? 0.0;
    }

    /** A figure that its kind may have; null where she has not said it. */
    public function said(string $field): ?float
    {
        return $this->figures[$field] ?? null;
    }

    public function choice(string $field): string
    {
        return $this->choices[$field] ?? '';
    }

    /** Whether it gives strokes, not drops. */
    public function isPump(): bool
    {
        return $this->kind === KitKind::Dropper && $this->choice('sort') === 'pump';
    }

    /** @return array<string, int|float|string> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'kind' => $this->kind->value,
            'name' => $this->name,
            'ingredient' => $this->ingredient ?? '',
            'substance' => $this->substance,
            ...$this->figures,
            ...$this->choices,
        ];
    }
}
