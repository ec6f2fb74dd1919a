<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/**
 * "120 g rosemary in olive oil": an oil that the plant was steeped in. Where the plant has a state ("dried rosemary in
 * olive oil"), or it is no plant ("5 drops clary sage in jojoba"), the figure is its own, and how much oil goes in is
 * asked. An oil with a line of its own is that line's.
 */
final readonly class SteepedOils
{
    /** @param  list<Part>  $parts */
    public function __construct(private array $parts, private Grammar $grammar)
    {
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<Entry>
     */
    public function in(array $entries): array
    {
        $meant = array_map(fn (Entry $e): string => $this->grammar->meant($e->name()), $entries);
        $all = [];
        foreach ($entries as $entry) {
            $oil = $this->oil($entry);
            $isOwn = $oil === null || in_array($this->grammar->meant($oil->text), $meant, true);
            $all = [...$all, ...$isOwn ? [$entry] : $this->steeped($entry, $oil)];
        }

        return $all;
    }

    /** The fat that an entry says it stands in; null for none. */
    private function oil(Entry $entry): ?Named
    {
        $part = $this->parts[$entry->part];
        $chart = $part->sentence->chart;
        $in = $chart->past($entry->item->name->to, Kind::EqualLed);
        if ($part->isMethod || $in === $entry->item->name->to) {
            return null;
        }
        foreach ($this->grammar->namedAt($in, $chart) as $name) {
            $ends = $name->to >= $chart->length || $chart->isSign($name->to, ',', '.', ';', ')');
            if ($ends && $this->grammar->isFat($name->text)) {
                return $name;
            }
        }

        return null;
    }

    /** @return list<Entry> the steeped oil; the plant and its oil, where the figure is the plant's */
    private function steeped(Entry $entry, Named $oil): array
    {
        $name = $entry->item->name;
        $chart = $this->parts[$entry->part]->sentence->chart;
        $isItsOwn = $entry->amount?->unit === 'drops' || ! $this->grammar->isPlant($entry->name());
        for ($place = $name->from; $place < $name->to; $place++) {
            $isItsOwn = $isItsOwn || $chart->is($place, Kind::Form, Kind::PlantPart);
        }
        if ($isItsOwn) {
            return [$entry, new Entry($entry->part, new Item(null, $oil), null)];
        }
        $both = new Named($chart->text($name->from, $oil->to), $name->cost, $name->from, $oil->to);

        return [$entry->named($both)];
    }
}
