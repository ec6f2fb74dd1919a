<?php

declare(strict_types=1);

namespace Crown\Papers;

use Crown\Formula\Audience;
use Crown\Formula\ProductKind;
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
        $answers = [
            'How long does it keep?' => $this->howLong(),
            'Where do I keep it?' => ltrim(
                $this->store.' Dark, dry and closed, away from the shower. Dry fingers only.',
            ),
            'How often?' => $this->howOften(),
            'Do I leave it in or wash it out?' => $this->leftIn(),
            'When would I see anything?' => 'Softness and shine at once, if at all. Shedding cannot be told before 6 '
                .'to 12 weeks. Hair grows about a centimetre a month, so length cannot be told before 3 months.',
            'May a child use it?' => $this->child(),
            'May I mix it with something else?' => 'Better not: mixed, neither its date nor its cautions hold. Water '
                .'in it spoils it.',
        ];

        return array_map(
            static fn (string $q, string $a): array => ['question' => $q, 'answer' => $a],
            array_keys($answers),
            $answers,
        );
    }

    private function howLong(): string
    {
        $opened = $this->opened === null ? null : preg_replace('/^(\d+) M$/', '$1 months', $this->opened);

        return match (true) {
            $this->bestBefore === null => 'Nobody can tell. Throw it away when look or smell changes.',
            default => sprintf(
                'Until %s%s. Throw it away sooner when look or smell changes.',
                $this->bestBefore,
                $opened === null ? '' : '; once opened, '.$opened,
            ),
        };
    }

    private function howOften(): string
    {
        return match ($this->kind) {
            ProductKind::ScalpOil => 'One to three times a week, as often as the scalp stays clean. Light hair less.',
            ProductKind::HotOil => 'Once every week or two, before washing.',
            ProductKind::ConditionerBar, ProductKind::RinseOutBalm => 'After each wash, or every second one.',
            ProductKind::Balm => 'A little, when edges or ends want it.',
            default => 'After a wash, and a fingertip between washes where ends are dry. Light hair less.',
        };
    }

    private function leftIn(): string
    {
        return match (true) {
            $this->kind === ProductKind::HotOil => 'Wash it out after 20 to 60 minutes.',
            $this->kind->isRinsed() => 'Rinse it out after 2 to 3 minutes.',
            default => 'It stays in, at longest until the next wash.',
        };
    }

    /** What the label says of children; nothing here allows what it does not. */
    private function child(): string
    {
        $said = array_filter($this->cautions, static fn (string $c): bool => str_contains($c, 'children under'));

        return match (true) {
            $said !== [] => implode(' ', $said).' Ask a clinician where you are not sure.',
            $this->audience === Audience::Child6To12 => 'It was made for a child of 6 to 12. Patch test first.',
            $this->audience === Audience::Child2To6 => 'It was made for a child of 2 to 6. Patch test first.',
            default => 'It was made for adults. Ask whoever made it first; under two years, a clinician.',
        };
    }

    /** @return list<array{question: string, answer: string}> */
    public function jsonSerialize(): array
    {
        return $this->questions();
    }
}
