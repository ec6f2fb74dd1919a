<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** Amounts that are said of another: "twice as much jojoba as castor". */
final class Relations
{
    /**
     * As much as the other has, or both in parts where neither has an amount.
     *
     * @param  list<Entry>  $entries
     * @return list<Entry>
     */
    public static function settled(array $entries, Grammar $grammar): array
    {
        $related = [];
        foreach ($entries as $entry) {
            $amount = $entry->amount;
            array_push($related, ...$amount?->unit === Amount::TIMES
                ? self::related($entry, $amount, $amount->text === ''
                    ? $related[count($related) - 1] ?? null
                    : self::called($amount->text, [...$related, ...$entries], $grammar))
                : [$entry]);
        }

        return $related;
    }

    /** @return non-empty-list<Entry> */
    private static function related(Entry $entry, Amount $amount, ?Entry $other): array
    {
        $of = $other?->amount;
        if ($of !== null && $of->unit !== Amount::TIMES) {
            return [$entry->with(Amount::of($of->count * $amount->count, $of->unit, $amount->from, $amount->to))];
        }
        if ($amount->text === '') {
            return [$entry->with(null)->asking('So many times the amount of what?')];
        }
        $one = Amount::of(1.0, 'parts', $amount->from, $amount->to);
        $name = new Named($amount->text, 0.0, $entry->item->name->to, $entry->item->name->to);

        return [
            $entry->with(Amount::of($amount->count, 'parts', $amount->from, $amount->to)),
            new Entry($entry->part, new Item($one, $name), $one),
        ];
    }

    /** @param  list<Entry>  $entries */
    private static function called(string $name, array $entries, Grammar $grammar): ?Entry
    {
        $id = $grammar->meant($name);
        foreach ($entries as $entry) {
            if ($grammar->meant($entry->name()) === $id) {
                return $entry;
            }
        }

        return null;
    }
}
