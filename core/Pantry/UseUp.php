<?php

declare(strict_types=1);

namespace Crown\Pantry;

use Crown\Assessment\Composition;
use JsonSerializable;

/**
 * How a formula would use up what is left of something: how much of it goes into a batch as it is, how large a batch
 * takes all of it, and what that batch would want besides. Method page: docs/methods/pantry.md.
 *
 * As JSON: $defs/UseUp in docs/formats/crown.schema.json.
 */
final readonly class UseUp implements JsonSerializable
{
    /** Less than this is not short, g. */
    private const NOTHING = 0.05;

    /**
     * @param  float  $share of it in the whole, above 0 and at most 1
     * @param  float  $uses grams, in a batch of the formula's own size
     * @param  float  $left grams that there are
     * @param  list<array{name: string, grams: float}>  $short what a batch for all of it wants beyond what is there
     */
    private function __construct(
        public float $share,
        public float $uses,
        public float $left,
        public array $short,
    ) {
    }

    /**
     * @param  string  $ingredient id of what is to be used up
     * @param  float  $left grams of it, more than 0
     * @param  array<string, float|null>  $atHand grams by ingredient id; null where nobody said how much
     * @return self|null null where the formula holds nothing of it
     */
    public static function of(Composition $composition, string $ingredient, float $left, array $atHand): ?self
    {
        $shares = $names = [];
        foreach ($composition->weighed() as $portion) {
            if ($portion->isFromStock($atHand)) {
                $id = $portion->ingredient->id;
                $shares[$id] = ($shares[$id] ?? 0.0) + $portion->share->best;
                $names[$id] = $portion->ingredient->name;
            }
        }
        $share = $shares[$ingredient] ?? 0.0;
        if ($share <= 0.0) {
            return null;
        }
        $whole = $left / $share;
        $short = [];
        foreach ($shares as $id => $of) {
            $there = array_key_exists($id, $atHand) ? $atHand[$id] : 0.0;
            // Of what nobody counted there may well be enough.
            $missing = $id === $ingredient || $there === null ? 0.0 : $of * $whole - $there;
            if ($missing > self::NOTHING) {
                $short[] = ['name' => $names[$id], 'grams' => round($missing, 1)];
            }
        }

        return new self($share, $share * $composition->totalGrams->best, $left, $short);
    }

    /** Grams of the batch that takes all of it. */
    public function wholeBatch(): float
    {
        return $this->left / $this->share;
    }

    /** Grams that stay when the formula is made in its own size. */
    public function remains(): float
    {
        return max(0.0, $this->left - $this->uses);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'share_percent' => round($this->share * 100, 2),
            'uses_grams' => round($this->uses, 1),
            'remains_grams' => round($this->remains(), 1),
            'batch_for_all_grams' => round($this->wholeBatch(), 1),
            'short' => $this->short,
        ];
    }
}
