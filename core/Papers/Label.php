<?php

declare(strict_types=1);

namespace Crown\Papers;

use Crown\Assessment\Assessment;
use Crown\Assessment\Keeping;
use Crown\Assessment\Portion;
use Crown\Assessment\Store;
use Crown\Assessment\WaterClass;
use Crown\Catalogue\IngredientKind;
use Crown\Formula\ProductKind;
use DateTimeImmutable;

/**
 * The words of a jar's label, worked out from what was weighed. Method page: docs/methods/label.md. Local cosmetics law
 * is the maker's to check before selling.
 */
final readonly class Label
{
    /** Share in the finished product above which a fragrance allergen is named, per cent: left on, rinsed off. */
    private const NAMED_LEAVE_ON = 0.001;

    private const NAMED_RINSE_OFF = 0.01;

    /** Constituents that are named on labels when they pass the threshold. */
    private const FRAGRANCE_ALLERGENS = [
        'limonene',
        'linalool',
        'citral',
        'eugenol',
        'geraniol',
        'citronellol',
        'coumarin',
        'linalyl acetate',
        'menthol',
        'camphor',
    ];

    public function __construct(
        private Assessment $assessment,
        public string $lot,
        public float $netGrams,
        public DateTimeImmutable $made,
        public string $maker,
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
            foreach ($this->inciNames($portion) as $i => $name) {
                // A steep is mostly its oil: the plant's extract counts under 1 %.
                $shares[$name]
                    = ($shares[$name] ?? 0.0)
                    + ($i === 0 ? $portion->share->best : min(0.009, $portion->share->best * 0.01));
            }
        }
        arsort($shares);

        return implode(
            ', ',
            array_unique([...array_keys($shares), ...array_map(ucwords(...), $this->fragranceAllergens())]),
        );
    }

    /** @return list<string> allergen groups to be named in words: tree nut, sesame, bee product and the like */
    public function contains(): array
    {
        $groups = [];
        foreach ($this->assessment->subject->composition->counted() as $portion) {
            array_push($groups, ...$portion->ingredient->precautions->allergens);
        }

        return array_values(array_unique($groups));
    }

    /** Its dates, and where it must stand for them to hold. */
    public function keeping(): Keeping
    {
        return Keeping::of($this->assessment->subject, $this->made);
    }

    public function directions(): string
    {
        return match ($this->assessment->subject->formula()->kind) {
            ProductKind::ScalpOil => 'Part the hair, a few drops along each part, massage with the fingertips. One to '
                .'three times a week.',
            ProductKind::HotOil => 'Stand the bottle in hot water 5 to 10 minutes, test on the wrist: lukewarm, not '
                .'hot. Leave 20 to 60 minutes before washing.',
            ProductKind::SealingOil => 'A few drops over damp lengths and ends, after water or a leave-in.',
            ProductKind::ConditionerBar => 'Glide over wet hair after washing, comb through, rinse. Let the bar dry '
                .'between uses.',
            ProductKind::RinseOutBalm => 'After washing, smooth through the lengths, leave 2 to 3 minutes, rinse.',
            ProductKind::Balm => 'Warm a little between the fingers, smooth over edges and ends.',
            ProductKind::WhippedButter,
            ProductKind::StirredButter => 'Melt a fingertip of it in the palms and smooth over damp lengths. Dry '
                .'fingers or a spatula.',
            default => 'A little at a time over lengths and ends.',
        };
    }

    /** @return list<string> */
    public function cautions(): array
    {
        $formula = $this->assessment->subject->formula();
        $cautions = [
            'For use on hair and scalp only. Keep out of eyes and from children.',
            'Patch test first: inner arm, 48 hours.',
        ];
        if ($this->assessment->subject->load->oils !== []) {
            $cautions[] = 'Holds essential oils: not for children under 6, nor in pregnancy without advice.';
        }
        $store = $this->keeping()->store;
        if ($this->assessment->subject->water->class !== WaterClass::Dry) {
            $cautions[] = ($store->words() ?: 'Keep it cool.').' Throw it away if look or smell changes.';
        }
        if (! $formula->kind->isRinsed()) {
            $cautions[] = $store === Store::Fridge
                ? 'Dark and dry. Dry fingers only.'
                : 'Cool, dark and dry. Dry fingers only.';
        }
        $cautions[] = 'Sudden or patchy hair loss, sores or a rash: see a clinician.';

        return $cautions;
    }

    /** @return list<string> */
    private function inciNames(Portion $portion): array
    {
        if ($portion->ingredient->inci === '') {
            return [$portion->line->name];
        }

        return $portion->ingredient->kind === IngredientKind::ReadySteep
            || str_contains($portion->ingredient->inci, ', ')
            ? explode(', ', $portion->ingredient->inci)
            : [$portion->ingredient->inci];
    }

    /** @return list<string> */
    private function fragranceAllergens(): array
    {
        $threshold = $this->assessment->subject->formula()->audience->isRinsedOff()
            ? self::NAMED_RINSE_OFF
            : self::NAMED_LEAVE_ON;
        $named = [];
        foreach (self::FRAGRANCE_ALLERGENS as $name) {
            $percent = 0.0;
            foreach ($this->assessment->subject->composition->counted() as $portion) {
                $content = $portion->ingredient->composition->constituents[$name] ?? false;
                $percent
                    += $content === false || $portion->ingredient->kind->isPlant()
                        ? 0.0
                        : $portion->share->high * $content->band->high;
            }
            if ($percent > $threshold) {
                $named[] = $name;
            }
        }

        return $named;
    }
}
