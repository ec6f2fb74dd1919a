<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\Origin;
use JsonSerializable;

/**
 * What a maker's own stock allows: the largest batch, the line that limits it, and what would then remain. Method page:
 * docs/methods/stock.md. By best shares: weighing may take a little more or less.
 *
 * As JSON: $defs/StockAnswer in docs/formats/crown.schema.json.
 */
final readonly class Stock implements JsonSerializable
{
    /**
     * @param  array<string, array{name: string, share: float, at_hand: float|null, steeped: bool}>  $wanted by
     *     ingredient id; share 0 to 1; grams at hand null when it is there but nobody said how much; what was steeped
     *     here was weighed when it came out
     * @param  float  $largest grams of the whole batch; INF when nothing that is known limits it
     */
    private function __construct(private array $wanted, public float $largest, private float $grams)
    {
    }

    /**
     * @param  array<string, float|null>  $atHand grams by ingredient id, null for "some"; what is not named is not
     *     there
     */
    public static function of(Composition $composition, array $atHand): self
    {
        $wanted = [];
        $largest = INF;
        foreach ($composition->weighed() as $portion) {
            $id = $portion->ingredient->id;
            if (! $portion->isFromStock($atHand)) {
                continue;
            }
            $wanted[$id] ??= [
                'name' => $portion->ingredient->name,
                'share' => 0.0,
                'at_hand' => array_key_exists($id, $atHand) ? $atHand[$id] : 0.0,
                'steeped' => $portion->ingredient->provenance->origin === Origin::Steeped,
            ];
            $wanted[$id]['share'] += $portion->share->best;
        }
        foreach ($wanted as $row) {
            if ($row['at_hand'] !== null && $row['share'] > 0.0) {
                $largest = min($largest, $row['at_hand'] / $row['share']);
            }
        }

        return new self($wanted, $largest, $composition->totalGrams->best);
    }

    /** @return list<string> names of what runs out first */
    public function limiting(): array
    {
        return array_values(
            array_map(
                static fn (array $row): string => $row['name'],
                array_filter(
                    $this->wanted,
                    fn (array $row): bool => $row['at_hand'] !== null
                        && $row['share'] > 0.0
                        && $this->largest + 1e-9 >= $row['at_hand'] / $row['share'],
                ),
            ),
        );
    }

    /** @return list<string> names of what is there, nobody said how much */
    public function unknown(): array
    {
        return array_values(
            array_map(
                static fn (array $row): string => $row['name'],
                array_filter($this->wanted, static fn (array $row): bool => $row['at_hand'] === null),
            ),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $largest = is_finite($this->largest) ? floor($this->largest * 10) / 10 : null;
        $rows = [];
        foreach ($this->wanted as $id => $row) {
            $needed = $row['share'] * $this->grams;
            $rows[] = [
                'ingredient' => $id,
                'name' => $row['name'],
                'needed' => round($needed, 2),
                'at_hand' => $row['at_hand'],
                'steeped' => $row['steeped'],
                'short' => $row['at_hand'] === null ? null : round(max(0.0, $needed - $row['at_hand']), 2),
                'left_of_largest' => $row['at_hand'] === null || $largest === null
                        ? null
                        : round(max(0.0, $row['at_hand'] - $row['share'] * $largest), 2),
            ];
        }

        return [
            'largest_grams' => $largest,
            'limiting' => $this->limiting(),
            'unknown' => $this->unknown(),
            'rows' => $rows,
        ];
    }
}
