<?php

declare(strict_types=1);

namespace Crown\Pantry;

use Crown\Assessment\Composition;
use Crown\Measure\Amount;
use JsonSerializable;

/**
 * What has to be bought for one batch or several: what they need together, less what stands there, in the packs in
 * which it was bought before. Method page: docs/methods/pantry.md.
 *
 * As JSON: $defs/ShoppingList in docs/formats/crown.schema.json.
 */
final readonly class Shopping implements JsonSerializable
{
    /**
     * @param  array<string, array{name: string, needed: float, at_hand: float|null}>  $needs by ingredient id; at_hand
     *     is null where it is there and nobody said how much
     * @param  array<string, list<Pack>>  $packs by ingredient id
     */
    private function __construct(private array $needs, private array $packs)
    {
    }

    /**
     * @param  list<Composition>  $wanted each in the size in which it is to be made
     * @param  array<string, float|null>  $atHand grams by ingredient id; what is not named is not there
     * @param  array<string, list<Pack>>  $packs by ingredient id
     */
    public static function of(array $wanted, array $atHand, array $packs): self
    {
        $needs = [];
        foreach ($wanted as $composition) {
            foreach ($composition->weighed() as $portion) {
                $id = $portion->ingredient->id;
                if (! $portion->isFromStock($atHand)) {
                    continue;
                }
                $needs[$id] ??= [
                    'name' => $portion->ingredient->name,
                    'needed' => 0.0,
                    'at_hand' => array_key_exists($id, $atHand) ? $atHand[$id] : 0.0,
                ];
                $needs[$id]['needed'] += $portion->grams->band->best;
            }
        }
        uasort($needs, static fn (array $a, array $b): int => $a['name'] <=> $b['name']);

        return new self($needs, $packs);
    }

    /** @return list<ShoppingRow> what is short comes first */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->needs as $id => $need) {
            $short = $need['at_hand'] === null ? null : round(max(0.0, $need['needed'] - $need['at_hand']), 2);
            $rows[] = new ShoppingRow(
                $id,
                $need['name'],
                round($need['needed'], 2),
                $need['at_hand'] === null ? null : round($need['at_hand'], 2),
                $short,
                $short === null || $short <= 0.0 ? [] : Pack::cheapest($this->packs[$id] ?? [], $short),
            );
        }
        usort($rows, static fn (ShoppingRow $a, ShoppingRow $b): int => $b->isShort() <=> $a->isShort());

        return $rows;
    }

    /** What is short, a line each, as it is taken along. */
    public function text(): string
    {
        $lines = [];
        foreach ($this->rows() as $row) {
            if (! $row->isShort()) {
                continue;
            }
            $packs = array_map(
                static fn (array $b): string => sprintf('%d x %s g', $b['count'], Amount::number($b['pack']->grams)),
                $row->buy,
            );
            $lines[] = sprintf(
                '%s: %s g%s',
                $row->name,
                Amount::number($row->short ?? 0.0),
                $packs === [] ? '' : ', '.implode(' and ', $packs),
            );
        }

        return implode("\n", $lines);
    }

    /** The same for a spreadsheet: ingredient, needed, at hand, short, money. */
    public function csv(): string
    {
        $rows = ['"ingredient","needed_g","at_hand_g","short_g","money"'];
        $cell = static fn (?float $figure): string => $figure === null ? '' : Amount::number($figure);
        foreach ($this->rows() as $row) {
            $rows[] = implode(',', [
                '"'.str_replace('"', '""', $row->name).'"',
                $cell($row->needed),
                $cell($row->atHand),
                $cell($row->short),
                $cell($row->money()),
            ]);
        }

        return implode("\r\n", $rows)."\r\n";
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['rows' => $this->rows(), 'text' => $this->text(), 'csv' => $this->csv()];
    }
}
