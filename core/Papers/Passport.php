<?php

declare(strict_types=1);

namespace Crown\Papers;

use Crown\Formula\Audience;
use Crown\Formula\ProductKind;
use Crown\Words\Message;
use JsonSerializable;

/**
 * What buyers and family ask of a jar, answered from the formula it was made by and from its label's own words: a
 * passport never says what the label would deny. Method page: docs/methods/label.md.
 *
 * As JSON: the questions of $defs/JarPassport in docs/formats/crown.schema.json.
 */
final readonly class Passport implements JsonSerializable
{
    /**
     * @param  string|null  $bestBefore Y-m-d; null where nobody can tell
     * @param  string|null  $opened once opened, as on the label: "6 M", "7 days"; null where nobody can tell
     * @param  string|null  $store where it must stand for its date to hold; null where anywhere will do
     * @param  list<string>  $cautions of its label
     */
    public function __construct(
        private ProductKind $kind,
        private Audience $audience,
        private ?string $bestBefore,
        private ?string $opened,
        private ?string $store,
        private array $cautions,
    ) {
    }

    /** @return list<array{question: string, answer: string}> */
    public function questions(): array
    {
        $keep = Message::said('papers.passport.kept', ['store' => $this->store ?? '']);
        $answers = [
            [Message::said('papers.passport.ask-how-long'), $this->howLong()],
            [Message::said('papers.passport.ask-where'), ltrim($keep)],
            [Message::said('papers.passport.ask-how-often'), $this->howOften()],
            [Message::said('papers.passport.ask-left-in'), $this->leftIn()],
            [Message::said('papers.passport.ask-when'), Message::said('papers.passport.softness-shine-once-if')],
            [Message::said('papers.passport.ask-child'), $this->child()],
            [Message::said('papers.passport.ask-mix'), Message::said('papers.passport.better-not-mixed-neither')],
        ];

        return array_map(static fn (array $a): array => ['question' => $a[0], 'answer' => $a[1]], $answers);
    }

    private function howLong(): string
    {
        $opened = $this->opened === null ? null : preg_replace('/^(\d+) M$/', '$1 months', $this->opened);

        return $this->bestBefore === null
            ? Message::said('papers.passport.nobody-can-tell-throw')
            : Message::said('papers.passport.until', ['day' => $this->bestBefore, 'opened' => $opened ?? 'none']);
    }

    private function howOften(): string
    {
        return match ($this->kind) {
            ProductKind::ScalpOil => Message::said('papers.passport.one-three-times-week'),
            ProductKind::HotOil => Message::said('papers.passport.once-every-week-two'),
            ProductKind::ConditionerBar,
            ProductKind::RinseOutBalm => Message::said('papers.passport.after-each-wash-every'),
            ProductKind::Balm => Message::said('papers.passport.little-when-edges-ends'),
            default => Message::said('papers.passport.after-wash-fingertip-between'),
        };
    }

    private function leftIn(): string
    {
        return match (true) {
            $this->kind === ProductKind::HotOil => Message::said('papers.passport.wash-out-after-minutes'),
            $this->kind->isRinsed() => Message::said('papers.passport.rinse-out-after-minutes'),
            default => Message::said('papers.passport.stays-longest-until-next'),
        };
    }

    /** What the label says of children; nothing here allows what it does not. */
    private function child(): string
    {
        $said = array_filter($this->cautions, static fn (string $c): bool => str_contains($c, 'children under'));

        return match (true) {
            $said !== [] => Message::said('papers.passport.child-as-said', ['said' => implode(' ', $said)]),
            $this->audience === Audience::Child6To12 => Message::said('papers.passport.was-made-child-patch'),
            $this->audience === Audience::Child2To6 => Message::said('papers.passport.was-made-child-patch-2'),
            default => Message::said('papers.passport.was-made-adults-ask'),
        };
    }

    /** @return list<array{question: string, answer: string}> */
    public function jsonSerialize(): array
    {
        return $this->questions();
    }
}
