<?php

declare(strict_types=1);

namespace Crown\Papers;

use Crown\Assessment\Assessment;
use Crown\Assessment\Finding;
use Crown\Assessment\Keeping;
use Crown\Assessment\Load;
use Crown\Assessment\Portion;
use Crown\Assessment\Severity;
use Crown\Assessment\Store;
use Crown\Assessment\WaterClass;
use Crown\Catalogue\Advice;
use Crown\Catalogue\CautionKind;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\Name;
use Crown\Catalogue\ScentAllergens;
use Crown\Formula\Audience;
use Crown\Formula\ProductKind;
use Crown\Measure\Property;
use Crown\Words\Message;
use DateTimeImmutable;

/**
 * The words of a jar's label, worked out from what was weighed. Method page: docs/methods/label.md. Local cosmetics law
 * is the maker's to check before selling.
 */
final readonly class Label
{
    /** What holds essential oils is not for the youngest, years. */
    private const SCENTED_YEARS = 6.0;

    /** Share in the finished product above which a fragrance allergen is named, per cent: left on, rinsed off. */
    private const NAMED_LEAVE_ON = 0.001;

    private const NAMED_RINSE_OFF = 0.01;

    public function __construct(
        private Assessment $assessment,
        public string $lot,
        public float $netGrams,
        public DateTimeImmutable $made,
        public string $maker,
        private Region $region = Region::Other,
    ) {
    }

    public function name(): string
    {
        return $this->assessment->subject->formula()->title;
    }

    /**
     * INCI names by falling share; those under 1 % may stand in any order and keep theirs; then the fragrance allergens
     * that pass their threshold.
     */
    public function ingredients(): string
    {
        $shares = [];
        foreach ($this->assessment->subject->composition->counted() as $portion) {
            foreach ($this->inciShares($portion) as $name => $share) {
                $shares[$name] = ($shares[$name] ?? 0.0) + $portion->share->best * $share;
            }
        }
        arsort($shares);

        return implode(
            ', ',
            array_map($this->region->inci(...), array_unique([...array_keys($shares), ...$this->fragranceAllergens()])),
        );
    }

    /** Net contents of one jar, as they are written where it is labelled. */
    public function net(): string
    {
        return $this->region->net($this->netGrams);
    }

    /** @return list<string> allergen groups to be named in words: tree nut, sesame, bee product and the like */
    public function contains(): array
    {
        $groups = [];
        foreach ($this->assessment->subject->composition->present() as $portion) {
            array_push($groups, ...$portion->ingredient->precautions->allergens);
        }

        return array_values(array_unique($groups));
    }

    /** Its dates, and where it must stand for them to hold; null where nobody can tell. */
    public function keeping(): ?Keeping
    {
        return Keeping::of($this->assessment->subject, $this->made);
    }

    public function directions(): string
    {
        $formula = $this->assessment->subject->formula();
        if ($formula->audience === Audience::Face && ! $formula->kind->isRinsed()) {
            return Message::said('papers.label.few-drops-fingertip-warmed');
        }

        return match ($formula->kind) {
            ProductKind::ScalpOil => Message::said('papers.label.part-hair-few-drops'),
            ProductKind::HotOil => Message::said('papers.label.stand-bottle-hot-water'),
            ProductKind::SealingOil => Message::said('papers.label.few-drops-over-damp'),
            ProductKind::ConditionerBar => Message::said('papers.label.glide-over-wet-hair'),
            ProductKind::RinseOutBalm => Message::said('papers.label.after-washing-smooth-through'),
            ProductKind::Balm => Message::said('papers.label.warm-little-between-fingers'),
            ProductKind::WhippedButter,
            ProductKind::StirredButter => Message::said('papers.label.melt-fingertip-palms-smooth'),
            default => Message::said('papers.label.little-time-over-lengths'),
        };
    }

    /**
     * @param  bool  $isDated whether a day stands on it although nobody can tell its life: that of a bottle in it
     * @return list<string>
     */
    public function cautions(bool $isDated = false): array
    {
        $formula = $this->assessment->subject->formula();
        $cautions = [
            // Where the bench stops at it, whoever holds the jar is told so.
            ...$this->isStopped() ? [Message::said('papers.label.against-checks')] : [],
            Message::said('papers.label.where-used', ['audience' => $formula->audience->value]),
            ...$this->notKnown(),
            ...$this->hasSediment() ? [Message::said('papers.label.stir-shake-before-use')] : [],
            Message::said('papers.label.patch-test-first-inner'),
            ...array_unique($this->forWhomNot()),
        ];
        foreach ($this->scentsNotKnown() as $name) {
            $cautions[] = Message::said('papers.label.scent-allergens-not-known', [
                'name' => Name::inSentence($name),
            ]);
        }
        if ($this->keeping() === null && ! $isDated) {
            $cautions[] = Message::said('papers.label.no-date');
        }

        return [...$cautions, ...$this->where(), Message::said('papers.label.sudden-patchy-hair-loss')];
    }

    /** @return list<string> where and how it stands */
    private function where(): array
    {
        $cautions = [];
        $store = $this->keeping()->store ?? Store::Anywhere;
        $dry = [WaterClass::Dry, null];
        if (! in_array($this->assessment->subject->water->class, $dry, true) || $store !== Store::Anywhere) {
            $cautions[] = Message::said('papers.label.kept', [
                'store' => $store->words() ?? Message::said('papers.label.keep-cool'),
            ]);
        }
        if (! $this->assessment->subject->formula()->kind->isRinsed()) {
            $cautions[] = in_array($store, [Store::Fridge, Store::Chilled, Store::Frozen], true)
                ? Message::said('papers.label.dark-dry-dry-fingers')
                : Message::said('papers.label.cool-dark-dry-dry');
        }

        return $cautions;
    }

    /** @return list<string> whom it is not for, by what is in it: ages, pregnancy, sunlight */
    private function forWhomNot(): array
    {
        $scented = $this->assessment->subject->load->oils !== [];
        $years = $scented ? self::SCENTED_YEARS : 0.0;
        foreach ($this->assessment->subject->composition->possible() as $portion) {
            $years = max($years, $portion->ingredient->facts->best(Property::MinimumAge, 0.0));
        }

        return [
            ...$scented ? [Message::said('papers.label.holds-essential-oils')] : [],
            ...$years > 0.0 ? [Message::said('papers.label.not-children-under', [
                'years' => sprintf('%g', $years),
            ])] : [],
            ...array_filter([
                $this->inPregnancy($scented)->words(),
                $this->burnsInSun() ? CautionKind::Sunlight->onLabel() : null,
            ]),
            ...$this->warned(),
        ];
    }

    /**
     * Whether skin that it was on must stay out of the sun, as the bench says it: not where all that burns stays under
     * its limit, and not of what is rinsed off. What has no limit that is known burns at any share.
     */
    private function burnsInSun(): bool
    {
        if ($this->assessment->subject->formula()->audience->isRinsedOff()) {
            return false;
        }
        foreach ($this->assessment->findings as $finding) {
            if (str_starts_with($finding->code, 'phototoxic') && $finding->severity === Severity::Stop) {
                return true;
            }
        }
        foreach ($this->assessment->subject->composition->present() as $portion) {
            $warns = $portion->ingredient->precautions->hasCaution(CautionKind::Sunlight);
            if ($warns && ! $portion->ingredient->isPhototoxic()) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> that not all of it is known, of whom and of what nobody can say more */
    private function notKnown(): array
    {
        $names = array_map(
            static fn (Portion $p): string => mb_substr($p->name(), 0, 40),
            $this->assessment->subject->composition->unknown->names,
        );

        return $names === []
            ? []
            : [Message::said('papers.label.not-known', ['names' => implode(' and ', $names)])];
    }

    /** Whether something in it sinks to the ground. */
    private function hasSediment(): bool
    {
        foreach ($this->assessment->findings as $finding) {
            if ($finding->code === 'insoluble.powder' && ! $this->assessment->subject->formula()->kind->isSolid()) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> what its ingredients warn of, each kind once, and with what a clinician is asked first */
    private function warned(): array
    {
        $words = $conditions = [];
        foreach ($this->assessment->subject->composition->present() as $portion) {
            foreach ($portion->ingredient->precautions->warnings() as $caution) {
                // Sunlight has its own rule.
                $words[] = $caution->kind === CautionKind::Sunlight ? null : $caution->kind->onLabel();
            }
            foreach ($portion->ingredient->precautions->askFirst as $condition) {
                $conditions[] = $condition->label();
            }
        }

        return [
            ...array_values(array_filter(array_unique($words))),
            ...$conditions === []
                ? []
                : [Message::said('papers.label.asks', ['conditions' => implode(', ', array_unique($conditions))])],
        ];
    }

    /** The strictest word of its lines; what is scented is never plainly allowed. */
    private function inPregnancy(bool $scented): Advice
    {
        $of = array_map(
            static fn (Portion $portion): Advice => $portion->ingredient->precautions->pregnancy,
            $this->assessment->subject->composition->possible(),
        );

        return match (true) {
            in_array(Advice::Avoid, $of, true) => Advice::Avoid,
            $scented || in_array(Advice::Caution, $of, true) => Advice::Caution,
            default => Advice::Ok,
        };
    }

    /** @return array<string, float> by name; what has no INCI name stands as the maker calls it */
    private function inciShares(Portion $portion): array
    {
        $called = $portion->of === null ? $portion->line->name : $portion->ingredient->name;

        return $portion->ingredient->inciShares() ?: [$called => 1.0];
    }

    /** Whether the bench stops at what was weighed, with or without a reason for living with it. */
    private function isStopped(): bool
    {
        return array_filter(
            $this->assessment->findings,
            static fn (Finding $f): bool => $f->severity === Severity::Stop,
        ) !== [];
    }

    /** @return list<string> essential oils and fragrances of which nobody has said what is in them */
    private function scentsNotKnown(): array
    {
        $names = [];
        foreach ($this->assessment->subject->load->oils as $portion) {
            if ($portion->ingredient->composition->constituents === []) {
                $names[] = $portion->ingredient->name;
            }
        }

        return array_values(array_unique($names));
    }

    /** @return list<string> */
    private function fragranceAllergens(): array
    {
        $threshold = $this->assessment->subject->formula()->audience->isRinsedOff()
            ? self::NAMED_RINSE_OFF
            : self::NAMED_LEAVE_ON;
        $percent = [];
        foreach (ScentAllergens::NAMES as $constituent => $name) {
            $percent[$name] = ($percent[$name] ?? 0.0) + $this->assessment->subject->composition->most(
                static fn (Ingredient $i): float => Load::brings($i, $constituent),
            );
        }

        return array_keys(array_filter($percent, static fn (float $p): bool => $p > $threshold));
    }
}
