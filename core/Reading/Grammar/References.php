<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** What stands for a thing that another part of the text names: "of it", "the buds". */
final readonly class References
{
    /** Parts before one in which what it stands for is looked for. */
    private const BEFORE = 2;

    /** @param  list<Part>  $parts */
    public function __construct(private array $parts)
    {
    }

    /** The thing that is meant. */
    public function meant(int $n, Item $item): Item
    {
        return $item->name->text === '' ? $this->named($n, $item) : $this->ofTitle($n, $item);
    }

    /** "60 ml of it": what was named last before it; the item itself where nothing was. */
    private function named(int $n, Item $item): Item
    {
        $last = '';
        foreach (array_slice($this->parts, max(0, $n - self::BEFORE), min($n, self::BEFORE) + 1) as $part) {
            foreach ($part->sentence->cover->items() as $other) {
                $isBefore = $part !== $this->parts[$n] || $other->name->from < $item->name->from;
                $last = $isBefore && $other->name->text !== '' && ! $other->out ? $other->name->text : $last;
            }
        }

        return match (true) {
            $last !== '' => $item->called($last),
            $this->isSteeped($n) => $item->called('the infused oil'),
            default => $item,
        };
    }

    /** Whether something was steeped or strained before a part. */
    private function isSteeped(int $n): bool
    {
        foreach (array_slice($this->parts, 0, $n + 1) as $part) {
            if ($part->sentence->chart->does('steep', 'strain')) {
                return true;
            }
        }

        return false;
    }

    /** "Dried buds 35 g" under "Lavender in almond": parts of the plant that the title names. */
    private function ofTitle(int $n, Item $item): Item
    {
        $sentence = $this->parts[$n]->sentence;
        for ($place = $item->name->from; $place < $item->name->to; $place++) {
            if (! $sentence->chart->is($place, Kind::PlantPart, Kind::Form, Kind::Grade)) {
                return $item;
            }
        }
        foreach ($this->parts as $part) {
            $plant = $part->role === Role::Title ? $part->sentence->mentioned()[0] ?? null : null;
            if ($plant !== null) {
                return $item->called($plant->name->text.' '.$item->name->text);
            }
        }

        return $item;
    }
}
