<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Name;
use Crown\Json\Format;
use Crown\Json\Node;
use Crown\Measure\Number;
use Crown\Words\Message;
use DateTimeImmutable;

/** One entry of a jar's journal: what happened, and on which day. */
final readonly class Entry
{
    private Node $data;

    /** @param  array<array-key, mixed>  $data as its kind has it, $defs/SteepEventDraft */
    public function __construct(public EntryKind $kind, public DateTimeImmutable $on, array $data)
    {
        $this->data = Node::of(self::format()->upcast($data));
    }

    public static function format(): Format
    {
        return new Format('honest-crown/journal-entry');
    }

    /** Grams of what it is about: nothing where it is about none. */
    public function grams(): float
    {
        return $this->data->number('grams') ?? 0.0;
    }

    public function herb(Catalogue $catalogue): Herb
    {
        return new Herb(
            $catalogue->get($this->data->text('ingredient')),
            $this->data->text('form'),
            $this->grams(),
            $this->on,
            $this->data->one('preparation', Preparation::class, Preparation::None),
        );
    }

    public function pour(Catalogue $catalogue): Pour
    {
        return new Pour($catalogue->get($this->data->text('ingredient')), $this->grams(), $this->on);
    }

    public function stay(): Stay
    {
        return new Stay(
            $this->method(),
            $this->on,
            $this->data->number('celsius') ?: null,
            $this->data->number('minutes') ?: null,
            (int) ($this->data->number('days') ?? 0.0) ?: null,
        );
    }

    public function draw(): Draw
    {
        return new Draw($this->grams(), $this->on);
    }

    public function weighing(): Weighing
    {
        return new Weighing($this->data->number('before') ?? 0.0, $this->data->number('after') ?? 0.0);
    }

    /** One sentence that says what happened. */
    public function words(Catalogue $catalogue): string
    {
        return $this->message($catalogue)->words();
    }

    private function message(Catalogue $catalogue): Message
    {
        $grams = ['grams' => Number::shown($this->grams(), 1)];
        $named = [...$grams, 'name' => $this->named($catalogue)];

        return match ($this->kind) {
            EntryKind::Note => $this->seen(),
            EntryKind::Weighed => new Message('steep.entry.jar', $grams),
            EntryKind::Moved => $this->moved(),
            EntryKind::Herb => new Message('steep.entry.herb', $named),
            EntryKind::Oil => new Message('steep.entry.oil', $named),
            EntryKind::Drawn => new Message('steep.entry.drawn', $grams),
            EntryKind::Bowl => $this->weighed(),
            EntryKind::Sign => new Message('steep.entry.sign', ['sign' => $this->data->text('sign')]),
            EntryKind::Settling => new Message('steep.entry.settling'),
            EntryKind::Ready => new Message('steep.entry.ready'),
            EntryKind::Strained => $this->strained(),
        };
    }

    /** Whether the herb was kept for another draw when it was strained. */
    public function keepsHerb(): bool
    {
        return $this->kind === EntryKind::Strained && $this->data->text('herb') === 'kept';
    }

    private function moved(): Message
    {
        $stay = $this->stay();
        $how = array_filter([
            $stay->celsius === null ? null
                : new Message('steep.entry.celsius', ['celsius' => Number::shown($stay->celsius, 0)]),
            ! $stay->method->isHeated() || $stay->minutes === null ? null
                : new Message('steep.entry.minutes', ['minutes' => round($stay->minutes, 1)]),
            $stay->days === null ? null : new Message('steep.entry.days', ['days' => $stay->days]),
        ]);
        $words = [
            mb_strtolower($stay->method->label()),
            ...array_map(static fn (Message $m): string => $m->words(), array_values($how)),
        ];

        return new Message('steep.entry.moved', ['how' => implode(', ', $words)]);
    }

    private function method(): SteepMethod
    {
        return $this->data->one('method', SteepMethod::class);
    }

    private function named(Catalogue $catalogue): string
    {
        $id = $this->data->text('ingredient');

        return Name::inSentence($catalogue->has($id) ? $catalogue->get($id)->name : $id);
    }

    private function seen(): Message
    {
        [$colour, $smell] = [$this->data->text('colour'), $this->data->text('smell')];

        return match (true) {
            $colour !== '' && $smell !== '' => new Message('steep.entry.colour-smell', [
                'colour' => $colour,
                'smell' => $smell,
            ]),
            $colour !== '' => new Message('steep.entry.colour', ['colour' => $colour]),
            $smell !== '' => new Message('steep.entry.smell', ['smell' => $smell]),
            default => new Message('steep.entry.looked'),
        };
    }

    private function strained(): Message
    {
        return $this->keepsHerb() ? new Message('steep.entry.strained-kept') : new Message('steep.entry.strained');
    }

    private function weighed(): Message
    {
        return new Message('steep.entry.bowl', [
            'before' => Number::shown($this->data->number('before') ?? 0.0, 3),
            'after' => Number::shown($this->data->number('after') ?? 0.0, 3),
            'loss' => Number::shown($this->weighing()->lossGrams(), 1),
        ]);
    }
}
