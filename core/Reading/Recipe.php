<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Formula\Audience;
use Crown\Formula\Doubt;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Formula\Phase;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Formula\Step;
use Crown\Measure\WrittenAmount;
use Crown\Reading\Internal\ForWhom;
use Crown\Reading\Internal\KindOf;
use Crown\Reading\Internal\Lines;
use JsonSerializable;

/** A pasted text as it was understood: every line of it is in one of the lists. */
final readonly class Recipe implements JsonSerializable
{
    /** What of it is a steep of its own; null when nothing is. */
    public ?FoundSteep $steep;

    /** What a list of names alone lets conclude; null where amounts are given. */
    public ?FallingOrder $order;

    /**
     * @param  list<ReadLine>  $lines
     * @param  list<Step>  $steps
     * @param  list<string>  $notes headings and remarks that are neither
     * @param  ForWhom|null  $for whom it says it is for, when that asks for more care
     * @param  list<Span>  $spans words of the text with what they became, in its order, none over another
     * @param  Claims  $claims how much it says it makes, and how long it keeps
     * @param  list<Step>  $plainSteps the steps in plain English words, in their order
     * @param  list<Span>  $unplaced figures that stand in no line and no step
     * @param  bool  $wet whether it is kept in a bathroom, or met by wet hands
     */
    public function __construct(
        public string $title,
        public array $lines,
        public array $steps,
        public array $notes,
        public ?ForWhom $for,
        public array $spans,
        public Claims $claims,
        private array $plainSteps,
        private array $unplaced,
        private bool $wet = false,
    ) {
        $this->steep = FoundSteep::in($lines, $plainSteps);
        $this->order = FallingOrder::of($lines);
    }

    /** The recipe as a formula: lines that were not placed keep their written name. */
    public function toFormula(): Formula
    {
        $lines = [];
        foreach ($this->lines as $i => $read) {
            $known = $read->ingredient() !== '';
            $lines[] = new Line(
                'l'.($i + 1),
                $read->ingredient() ?: null,
                $known ? $read->matches[0]->ingredient->name : $read->name,
                new WrittenAmount($read->amount),
                $read->form,
                $read->phase ?? ($known ? $this->phaseOf($read) : Phase::Warm),
                read: self::doubtOf($read),
            );
        }
        $kind = (new KindOf($this->title, $this->lines, $this->plainSteps, implode(' ', $this->notes)))->kind();

        return new Formula(
            $this->title === '' ? 'Untitled recipe' : mb_substr($this->title, 0, 120),
            $kind,
            $this->for->audience ?? (self::isRinsed($kind) ? Audience::AdultRinseOff : Audience::AdultLeaveOn),
            $lines,
            $this->steps,
            Size::asWritten(),
            wetUse: $kind === ProductKind::ConditionerBar || $this->wet,
            notes: mb_substr(implode("\n", $this->notes), 0, Formula::LONGEST_NOTES),
        );
    }

    /** What is rinsed out at once; a hot oil stays long enough to count as left on. */
    private static function isRinsed(ProductKind $kind): bool
    {
        return $kind === ProductKind::ConditionerBar || $kind === ProductKind::RinseOutBalm;
    }

    /** What is left open of a line whose ingredient is known; null when nothing is, or when nobody placed it. */
    private static function doubtOf(ReadLine $read): ?Doubt
    {
        $what = isset($read->doubts[Asked::Ingredient->value]) ? $read->ingredient() : null;
        // An amount that is not there at all is said by its own finding.
        $much = isset($read->doubts[Asked::Amount->value]) ? $read->amount ?: null : null;
        $open = $read->understood === Understood::Doubtful && $read->ingredient() !== '';

        return $open && ($what !== null || $much !== null) ? new Doubt($read->name, $what, $much) : null;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'title' => $this->title,
            'lines' => $this->lines,
            'steps' => array_map(
                static fn (Step $s): array => [
                    'text' => $s->text,
                    'act' => $s->act,
                    'minutes' => $s->minutes,
                    'celsius' => $s->celsius === null ? null : round($s->celsius, 1),
                ],
                $this->steps,
            ),
            'notes' => $this->notes,
            'for' => $this->for,
            'yield' => $this->claims,
            'times' => $this->claims->times,
            'steep' => $this->steep,
            'order' => $this->order,
            'spans' => $this->spans,
            'unplaced' => array_map(
                static fn (Span $s): array => ['start' => $s->start, 'end' => $s->end, 'text' => $s->text],
                $this->unplaced(),
            ),
        ];
    }

    /** @return list<Span> figures that stand in no line and no step */
    public function unplaced(): array
    {
        return $this->unplaced;
    }

    /** Whether some ounce of it may be meant by weight or by volume. */
    public function leavesOuncesOpen(): bool
    {
        foreach ($this->lines as $line) {
            $known = $line->ingredient() !== '';
            if ($known && Lines::isOpenOunce($line->text, $line->writtenAmount, $line->matches[0]->ingredient)) {
                return true;
            }
        }

        return false;
    }

    /**
     * The usual phase, unless the method says it is heated: an essential oil that goes into the melt is to be caught,
     * not quietly put right.
     */
    private function phaseOf(ReadLine $read): Phase
    {
        $ingredient = $read->matches[0]->ingredient;
        $usual = Phase::usualFor($ingredient);
        if ($usual !== Phase::CoolDown) {
            return $usual;
        }
        $names = array_filter(
            [
                mb_strtolower($read->name),
                mb_strtolower($ingredient->name),
                ...array_map(mb_strtolower(...), $ingredient->synonyms),
            ],
            static fn (string $n): bool => mb_strlen($n) > 3,
        );
        foreach ($this->plainSteps as $step) {
            $text = mb_strtolower($step->text);
            $cooled
                = preg_match('/\b(cool|chill|lukewarm|room temperature|below|off the heat|remove from)/u', $text) === 1
                || $step->act === 'cool';
            $named = false;
            foreach ($names as $name) {
                $named = $named || str_contains($text, $name);
            }
            $all = preg_match('/\b(all( the| of the)?( ingredients)?|everything|all together)\b/u', $text) === 1;
            if (in_array($step->act, ['melt', 'heat'], true) && ! $cooled && ($named || $all)) {
                return Phase::Melt;
            }
            if ($cooled) {
                return $usual;
            }
        }

        return $usual;
    }
}
