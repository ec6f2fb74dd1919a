<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Catalogue\Name;
use Crown\Words\Message;

/** What was changed from one state of a formula to another, in sentences. Lines are the same line while their id is. */
final class Edits
{
    /** @return list<string> empty when nothing that counts was changed; notes, title and steps do not */
    public static function between(Formula $from, Formula $to): array
    {
        $before = self::byId($from);
        $after = self::byId($to);
        $said = [];
        foreach ($after as $id => $line) {
            $said = [
                ...$said,
                ...isset($before[$id])
                    ? self::ofLine($before[$id], $line)
                    : [
                        Message::said('formula.edits.added', [
                            'name' => self::name($line),
                            'amount' => $line->amount->isBlank() ? 'none' : $line->amount->text,
                        ]),
                    ],
            ];
        }
        foreach (array_diff_key($before, $after) as $line) {
            $said[] = Message::said('formula.edits.taken-out', [
                'name' => self::name($line),
                'amount' => $line->amount->isBlank() ? 'none' : $line->amount->text,
            ]);
        }

        return [...$said, ...self::ofWhole($from, $to)];
    }

    /** @return list<string> */
    private static function ofLine(Line $from, Line $to): array
    {
        if ($from->ingredient !== $to->ingredient || ($from->ingredient === null && $from->name !== $to->name)) {
            return [
                Message::said('formula.edits.place', [
                    'to' => self::name($to),
                    'from' => Name::inSentence(self::name($from)),
                    'amount' => $to->amount->text,
                ]),
            ];
        }
        $said = [];
        if (! $from->amount->equals($to->amount)) {
            $said[] = Message::said('formula.edits.amount', [
                'name' => self::name($to),
                'amount' => $to->amount->isBlank() ? 'none' : $to->amount->text,
                'before' => $from->amount->isBlank() ? 'none' : $from->amount->text,
            ]);
        }
        if ($from->form !== $to->form && $to->form !== '') {
            $said[] = Message::said('formula.edits.form', ['name' => self::name($to), 'form' => $to->form]);
        }
        if ($from->phase !== $to->phase) {
            $said[] = Message::said('formula.edits.goes-instead', [
                'to' => self::name($to),
                'phase' => $to->phase->value,
                'before' => $from->phase->value,
            ]);
        }

        return $said;
    }

    /** @return list<string> */
    private static function ofWhole(Formula $from, Formula $to): array
    {
        $said = [];
        if ($from->kind !== $to->kind) {
            $said[] = Message::said('formula.edits.kind', [
                'kind' => $to->kind->label(),
                'before' => lcfirst($from->kind->label()),
            ]);
        }
        if ($from->audience !== $to->audience) {
            $said[] = Message::said('formula.edits.instead', [
                'audience' => lcfirst($to->audience->label()),
                'before' => lcfirst($from->audience->label()),
            ]);
        }
        if ($from->wetUse !== $to->wetUse) {
            $said[] = $to->wetUse
                ? Message::said('formula.edits.meets-wet-fingers-now')
                : Message::said('formula.edits.kept-dry-now');
        }
        if ($from->forSale !== $to->forSale) {
            $said[] = $to->forSale
                ? Message::said('formula.edits.sale-now')
                : Message::said('formula.edits.no-longer-sale');
        }
        if (abs($from->storageCelsius - $to->storageCelsius) > 0.01) {
            $said[] = Message::said('formula.edits.stored', [
                'celsius' => sprintf('%g', $to->storageCelsius),
                'before' => sprintf('%g', $from->storageCelsius),
            ]);
        }
        if ($from->clearGlass !== $to->clearGlass) {
            $said[] = $to->clearGlass
                ? Message::said('formula.edits.clear-glass-now')
                : Message::said('formula.edits.no-longer-clear-glass');
        }
        if ($from->size != $to->size) {
            $said[] = Message::said('formula.edits.another-batch-size');
        }

        return $said;
    }

    /** @return array<string, Line> */
    private static function byId(Formula $formula): array
    {
        return array_combine(array_map(static fn (Line $l): string => $l->id, $formula->lines), $formula->lines);
    }

    private static function name(Line $line): string
    {
        return $line->name === '' ? Message::said('formula.edits.line-without-name') : $line->name;
    }
}
