<?php

declare(strict_types=1);

namespace Crown\Assessment;

use Crown\Catalogue\IngredientKind;
use Crown\Measure\Months;
use Crown\Measure\Number;
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

    /**
     * @param  float  $openedFor months it keeps once opened
     * @param  int  $openedMonths whole ones, at least 1
     * @param  string  $opened as it stands on a label: "6 M", "7 days"
     * @param  Store  $store where it must stand for its dates to hold
     */
    private function __construct(
        public DateTimeImmutable $bestBefore,
        private float $openedFor,
        public int $openedMonths,
        public string $opened,
        public Store $store,
    ) {
    }

    /**
     * By the cautious end of its predicted life, counted in days from the day it was made; null where that life cannot
     * be told.
     */
    public static function of(Examined $subject, DateTimeImmutable $made): ?self
    {
        $months = $subject->life->months?->low;
        if ($months === null) {
            return null;
        }
        $day = $made->modify(sprintf('+%d days', Months::inDays($months)));
        $printed = self::printed($subject);
        if ($printed !== null && $printed < $day) {
            $day = max($made, $printed);
            $months = min($months, Months::ofDays((int) $made->diff($day)->format('%a')));
        }

        return self::until($day, self::opened($subject, $months), $subject->life->store);
    }

    /** @param  float  $opened months it keeps once opened */
    private static function until(DateTimeImmutable $day, float $opened, Store $store): self
    {
        return new self(
            $day,
            $opened,
            max(1, (int) floor($opened)),
            $opened < 1.0 ? Number::counted(Months::inDays($opened), 'day') : sprintf('%d M', (int) floor($opened)),
            $store,
        );
    }

    /**
     * The same where the day printed on a bottle that goes in comes sooner: it ends the whole, and what is opened.
     *
     * @param  DateTimeImmutable  $made the day it is made
     */
    public function endingBy(DateTimeImmutable $printed, DateTimeImmutable $made): self
    {
        $days = (int) $made->diff(max($made, $printed))->format('%a');

        return $printed < $this->bestBefore
            ? self::until(max($made, $printed), min($this->openedFor, Months::ofDays($days)), $this->store)
            : $this;
    }

    /** The earliest day printed on a bottle that is in it already; null where none is. */
    private static function printed(Examined $subject): ?DateTimeImmutable
    {
        $days = array_filter(array_map(
            static fn (Portion $p): ?DateTimeImmutable => $p->ingredient->provenance->useBy(),
            $subject->composition->present(),
        ));

        return $days === [] ? null : min($days);
    }

    /** Months it keeps once opened: the shortest of its main lines, at most its whole life. */
    private static function opened(Examined $subject, float $months): float
    {
        if ($subject->life->store === Store::Frozen && $subject->life->capped) {
            $months = min($months, Months::ofDays(WaterCap::FREE_DAYS));
        }
        foreach ($subject->composition->counted() as $portion) {
            // A preserved water phase keeps as the whole does, not as the bottle of water it came from.
            $watery
                = $portion->ingredient->kind === IngredientKind::Water
                || $portion->ingredient->kind === IngredientKind::Gel;
            if (
                ! $watery
                && $portion->share->best >= self::COUNTS
                && $portion->ingredient->facts->has(Property::OpenedMonths)
            ) {
                $months = min($months, $portion->ingredient->facts->get(Property::OpenedMonths)->band->best);
            }
        }

        return $months;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'best_before' => $this->bestBefore->format('Y-m-d'),
            'opened_months' => $this->openedMonths,
            'opened' => $this->opened,
            'store' => $this->store->words() ?? '',
        ];
    }
}
