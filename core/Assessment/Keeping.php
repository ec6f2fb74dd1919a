<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\IngredientKind;
use Crown\Measure\Months;
use Crown\Measure\Property;
use DateTimeImmutable;
use JsonSerializable;

/**
 * The life of something made on a day as dates: best before, and how long once opened. Method page:
 * docs/methods/life.md.
 *
 * As JSON: $defs/Keeping in docs/formats/crown.schema.json.
 */
final readonly class Keeping implements JsonSerializable
{
    /** Share of the whole from which a line's own life once opened counts. */
    private const COUNTS = 0.05;

    private function __construct(public DateTimeImmutable $bestBefore, public int $openedMonths)
    {
    }

    /** By the cautious end of its predicted life, counted in days from the day it was made. */
    public static function of(Examined $subject, DateTimeImmutable $made): self
    {
        $months = $subject->life->months->low;

        return new self(
            $made->modify(sprintf('+%d days', Months::inDays($months))),
            self::opened($subject, $months),
        );
    }

    /** Whole months it keeps once opened: the shortest of its main lines, at least 1, at most its whole life. */
    private static function opened(Examined $subject, float $months): int
    {
        foreach ($subject->composition->counted() as $portion) {
            // A preserved water phase keeps as the whole does, not as the bottle of water it came from.
            $watery = $portion->ingredient->kind === IngredientKind::Water
                || $portion->ingredient->kind === IngredientKind::Gel;
            if (
                ! $watery
                && $portion->share->best >= self::COUNTS
                && $portion->ingredient->facts->has(Property::OpenedMonths)
            ) {
                $months = min($months, $portion->ingredient->facts->get(Property::OpenedMonths)->band->best);
            }
        }

        return max(1, (int) floor($months));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['best_before' => $this->bestBefore->format('Y-m-d'), 'opened_months' => $this->openedMonths];
    }
}
