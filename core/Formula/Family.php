<?php

declare(strict_types=1);

namespace Crown\Formula;

/**
 * One base and its variants: the same butter in three scents. A change of the base is passed on to a variant wherever
 * the variant has not gone its own way. Method page: docs/methods/family.md.
 */
final class Family
{
    /**
     * The variant with what was changed in the base since it was last passed on.
     *
     * A line of the base's that the variant has changed or taken out stays as the variant has it; a line of the
     * variant's own stays; everything else is as in the base now, in the base's order. Title, notes and what was
     * accepted are the variant's.
     */
    public static function pass(Formula $was, Formula $is, Formula $variant): Formula
    {
        $pick = static fn (mixed $before, mixed $now, mixed $here): mixed => $here == $before ? $now : $here;

        return new Formula(
            $variant->title,
            $variant->kind === $was->kind ? $is->kind : $variant->kind,
            $variant->audience === $was->audience ? $is->audience : $variant->audience,
            self::lines($was, $is, $variant),
            $variant->steps == $was->steps ? $is->steps : $variant->steps,
            $variant->size == $was->size ? $is->size : $variant->size,
            $pick($was->wetUse, $is->wetUse, $variant->wetUse) === true,
            $pick($was->forSale, $is->forSale, $variant->forSale) === true,
            $variant->storageCelsius === $was->storageCelsius ? $is->storageCelsius : $variant->storageCelsius,
            $variant->notes,
            $variant->accepted,
            $pick($was->clearGlass, $is->clearGlass, $variant->clearGlass) === true,
        );
    }

    /** @return list<Line> */
    private static function lines(Formula $was, Formula $is, Formula $variant): array
    {
        [$old, $new] = [self::byId($was), self::byId($is)];
        $own = self::apart($variant, $old, $new);
        $mine = self::byId($own);
        $lines = [];
        foreach ($is->lines as $line) {
            $had = $mine[$line->id] ?? null;
            $before = $old[$line->id] ?? null;
            if ($had === null && $before === null) {
                $lines[] = $line;
            } elseif ($had !== null) {
                $lines[] = $before !== null && $had == $before ? $line : $had;
            }
        }
        foreach ($own->lines as $line) {
            $before = $old[$line->id] ?? null;
            // Gone from the base: it goes here too, unless the variant has made it its own.
            if (! isset($new[$line->id]) && ($before === null || $line != $before)) {
                $lines[] = $line;
            }
        }

        return $lines;
    }

    /**
     * The variant with its own lines under ids that the base has not given to something new in the meantime.
     *
     * @param  array<string, Line>  $old
     * @param  array<string, Line>  $new
     */
    private static function apart(Formula $variant, array $old, array $new): Formula
    {
        $taken = [...$old, ...$new, ...self::byId($variant)];
        $lines = [];
        foreach ($variant->lines as $line) {
            if (! isset($old[$line->id]) && isset($new[$line->id])) {
                $line = $line->under(Line::freeId(array_map(strval(...), array_keys($taken))));
                $taken[$line->id] = $line;
            }
            $lines[] = $line;
        }

        return $variant->withLines($lines);
    }

    /** @return array<string, Line> */
    private static function byId(Formula $formula): array
    {
        return array_combine(array_map(static fn (Line $l): string => $l->id, $formula->lines), $formula->lines);
    }
}
