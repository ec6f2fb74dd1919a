<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\Name;
use Crown\Json\Format;
use Crown\Json\Node;
use Crown\Measure\Number;
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
        $grams = Number::shown($this->grams(), 1);

        return match ($this->kind) {
            EntryKind::Note => $this->seen(),
            EntryKind::Weighed => sprintf('The jar weighs %s g.', $grams),
            EntryKind::Moved => $this->moved(),
            EntryKind::Herb => sprintf('Added %s g of %s.', $grams, $this->named($catalogue)),
            EntryKind::Oil => sprintf('Topped up with %s g of %s.', $grams, $this->named($catalogue)),
            EntryKind::Drawn => sprintf('Took %s g out; the rest goes on.', $grams),
            EntryKind::Bowl => $this->weighed(),
            EntryKind::Sign => sprintf('Seen: %s', $this->data->text('sign')),
            EntryKind::Settling => 'Left to settle.',
            EntryKind::Ready => 'Put away.',
            EntryKind::Strained => $this->strained(),
        };
    }

    /** Whether the herb was kept for another draw when it was strained. */
    public function keepsHerb(): bool
    {
        return $this->kind === EntryKind::Strained && $this->data->text('herb') === 'kept';
    }

    private function moved(): string
    {
        $stay = $this->stay();
        $how = [mb_strtolower($stay->method->label())];
        if ($stay->celsius !== null) {
            $how[] = sprintf('%s °C', Number::shown($stay->celsius, 0));
        }
        if ($stay->method->isHeated() && $stay->minutes !== null) {
            $how[] = Number::counted($stay->minutes, 'minute', 1);
        }
        if ($stay->days !== null) {
            $how[] = sprintf('%d %s', $stay->days, $stay->days === 1 ? 'day' : 'days');
        }

        return sprintf('Moved: %s.', implode(', ', $how));
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

    private function seen(): string
    {
        [$colour, $smell] = [$this->data->text('colour'), $this->data->text('smell')];

        return match (true) {
            $colour !== '' && $smell !== '' => sprintf('Colour %s; smell %s', $colour, $smell),
            $colour !== '' => sprintf('Colour %s', $colour),
            $smell !== '' => sprintf('smell %s', $smell),
            default => 'Looked at.',
        };
    }

    private function strained(): string
    {
        return $this->data->text('herb') === 'kept'
            ? 'Strained. The herb is kept for another draw.'
            : 'Strained. The herb is composted.';
    }

    private function weighed(): string
    {
        return sprintf(
            'The bowl: %s g before heating, %s g after; %s g of water driven off.',
            Number::shown($this->data->number('before') ?? 0.0, 3),
            Number::shown($this->data->number('after') ?? 0.0, 3),
            Number::shown($this->weighing()->lossGrams(), 1),
        );
    }
}
