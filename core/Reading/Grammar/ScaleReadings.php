<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** What a scale showed after each thing, beginning with the empty vessel: "jar 180, with shea 240". */
final class ScaleReadings
{
    private const SAYS = 'It was taken as what the scale showed with all before it.';

    /**
     * What lies between one reading and the next, where all figures are such: each more than the one before.
     *
     * @param  list<Entry>  $entries in the order of the text
     * @param  Amount|null  $tare what the scale showed first; null where it is not said
     * @return list<Entry>
     */
    public static function asWeighed(array $entries, ?Amount $tare): array
    {
        $read = array_filter($entries, self::isReading(...));
        $others = array_filter($entries, static fn (Entry $e): bool => in_array(
            $e->amount?->unit,
            [...Amount::SIZES, Amount::FILL, Amount::FRACTION, '%', 'parts'],
            true,
        ) && ! self::isReading($e));
        $figures = array_map(static fn (Entry $e): float => $e->amount->count ?? 0.0, $read);
        if ($tare === null || $others !== [] || count($read) < 2 || ! self::isRising([$tare->count, ...$figures])) {
            return $entries;
        }
        $before = $tare->count;
        foreach ($read as $n => $entry) {
            $amount = $entry->amount;
            $grams = round(($amount->count ?? 0.0) - $before, 2);
            $before = $amount->count ?? 0.0;
            $weighed = Amount::of($grams, 'g', $amount->from ?? 0, $amount->to ?? 0);
            $entries[$n] = $entry->with($weighed)->asking(self::SAYS);
        }

        return array_values($entries);
    }

    private static function isReading(Entry $entry): bool
    {
        return $entry->amount?->unit === Amount::BARE || $entry->amount?->unit === Amount::SAME
            || $entry->amount?->unit === 'g';
    }

    /** @param  non-empty-list<float>  $figures */
    private static function isRising(array $figures): bool
    {
        $sorted = array_unique($figures);
        sort($sorted);

        return $sorted === array_values($figures);
    }
}
