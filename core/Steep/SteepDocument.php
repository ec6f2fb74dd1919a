<?php

declare(strict_types=1);

namespace Crown\Steep;

use Crown\Catalogue\Catalogue;
use Crown\Json\Format;
use Crown\Json\Node;
use Crown\Measure\Band;
use DateTimeImmutable;

/** A jar as it is kept: what went in at the start and how it was to be looked after ($defs/SteepDraft, in grams). */
final readonly class SteepDocument
{
    private Node $document;

    /** @param  array<array-key, mixed>  $document */
    public function __construct(array $document, private DateTimeImmutable $start)
    {
        $this->document = Node::of(self::format()->upcast($document));
    }

    public static function format(): Format
    {
        return new Format('honest-crown/steep');
    }

    /**
     * The jar as it is by a day: its charge, and all that happened to it until then.
     *
     * @param  list<Entry>  $journal
     * @param  DateTimeImmutable|null  $until null for now
     * @param  DateTimeImmutable|null  $strained what was strained stood as long as it truly stood
     * @param  Band|null  $retention grams of oil kept per gram of plant, from the studio's own past steeps
     */
    public function plan(
        Catalogue $catalogue,
        array $journal = [],
        ?DateTimeImmutable $until = null,
        ?DateTimeImmutable $strained = null,
        ?Band $retention = null,
    ): SteepPlan {
        $known = array_filter($journal, static fn (Entry $e): bool => $until === null || $e->on <= $until);
        $of = static fn (EntryKind $kind): array => array_values(
            array_filter($known, static fn (Entry $e): bool => $e->kind === $kind),
        );
        $herbs = array_map(static fn (Entry $e): Herb => $e->herb($catalogue), $of(EntryKind::Herb));
        $pours = array_map(static fn (Entry $e): Pour => $e->pour($catalogue), $of(EntryKind::Oil));
        $end = $until ?? $strained;
        $stays = array_map(
            static fn (Entry $e): Stay => $end === null ? $e->stay() : $e->stay()->until($end),
            $of(EntryKind::Moved),
        );

        return new SteepPlan(
            new Charge(
                [...$this->herbs($catalogue), ...$herbs],
                [...$this->pours($catalogue), ...$pours],
                $this->document->number('water_grams') ?? 0.0,
            ),
            new Journal(
                [new Stay($this->document->one('method', SteepMethod::class), $this->start), ...$stays],
                array_map(static fn (Entry $e): Draw => $e->draw(), $of(EntryKind::Drawn)),
                array_map(static fn (Entry $e): Weighing => $e->weighing(), $of(EntryKind::Bowl)),
            ),
            $this->way($end),
            Vessel::written(
                $this->document->number('jar_ml') ?? 0.0,
                $this->document->number('diameter_cm') ?? 0.0,
                $this->document->number('mouth_cm') ?? 0.0,
            ),
            $retention,
        );
    }

    /**
     * What went into it cost, where every part has a price; null when one has none, or something came in later.
     *
     * @param  list<Entry>  $journal
     */
    public function cost(array $journal): ?float
    {
        $sum = 0.0;
        foreach ([...$this->document->objects('herbs'), ...$this->document->objects('oils')] as $part) {
            $cost = $part->number('cost');
            if ($cost === null) {
                return null;
            }
            $sum += $cost;
        }

        return array_filter($journal, static fn (Entry $e): bool => $e->kind->adds()) === [] ? $sum : null;
    }

    /** The only plant, when it teaches something of it: one plant by itself, drawn for the first time. */
    public function single(): ?SinglePlant
    {
        $herbs = $this->document->objects('herbs');

        return count($herbs) === 1
            ? new SinglePlant(
                $herbs[0]->text('ingredient'),
                $herbs[0]->text('form'),
                $this->document->flag('pressed'),
                (int) ($herbs[0]->number('draw') ?? 1.0),
            )
            : null;
    }

    /** @return list<Herb> */
    private function herbs(Catalogue $catalogue): array
    {
        return array_map(
            fn (Node $herb): Herb => new Herb(
                $catalogue->get($herb->text('ingredient')),
                $herb->text('form'),
                $herb->number('grams') ?? 0.0,
                $this->start,
                $herb->one('preparation', Preparation::class, Preparation::None),
                (int) ($herb->number('draw') ?? 1.0),
            ),
            $this->document->objects('herbs'),
        );
    }

    /** @return list<Pour> */
    private function pours(Catalogue $catalogue): array
    {
        return array_map(
            fn (Node $oil): Pour => new Pour(
                $catalogue->get($oil->text('ingredient')),
                $oil->number('grams') ?? 0.0,
                $this->start,
            ),
            $this->document->objects('oils'),
        );
    }

    /** In the document 0 stands for the method's own. */
    private function way(?DateTimeImmutable $end): Way
    {
        $days = $end === null
            ? (int) ($this->document->number('days') ?? 0.0)
            : max(1, (int) $this->start->diff($end)->format('%r%a'));

        return new Way(
            $this->document->flag('shaken_daily', true),
            $this->document->flag('pressed'),
            $this->document->number('celsius') ?: null,
            $this->document->number('minutes') ?: null,
            min(Way::MOST_DAYS, $days) ?: null,
            $this->document->flag('shaken_sometimes'),
        );
    }
}
