<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Catalogue\NameIndex;
use Crown\Formula\Change;
use Crown\Formula\Check;
use Crown\Formula\Cure;
use Crown\Formula\Examined;
use Crown\Formula\Finding;
use Crown\Formula\Portion;
use Crown\Formula\Severity;
use Crown\Measure\Band;
use Crown\Measure\Property;

/** Does a formula suit one head: its allergies, its dislikes, its weight, its scalp? */
final readonly class HeadCheck implements Check
{
    public function __construct(private Profile $head)
    {
    }

    public function examine(Examined $subject): array
    {
        $findings = [];
        if ($this->head->scalp === Scalp::Alarming) {
            $findings[] = new Finding('head.clinician', Severity::Stop, [], sprintf('%s has signs that a clinician should see before any formula is used.', $this->head->name), [], 'fit');
        }
        foreach ($subject->composition->portions as $portion) {
            array_push($findings, ...$this->refused($portion));
        }

        return [...$findings, ...$this->weight($subject)];
    }

    /** @return list<Finding> */
    private function refused(Portion $portion): array
    {
        $findings = [];
        $cure = [new Cure(sprintf('Take out %s', mb_strtolower($portion->ingredient->name)), Change::remove($portion->line->id))];
        $figures = ['share, %' => $portion->share->scaled(100)];
        foreach ($this->head->allergies as $allergy) {
            if (self::means($allergy, $portion)) {
                $findings[] = new Finding('head.allergy', Severity::Stop, [$portion], sprintf('%s is allergic to %s; %s bears it.', $this->head->name, $allergy, mb_strtolower($portion->ingredient->name)), $figures, 'fit', $cure);
            }
        }
        foreach ($this->head->dislikes as $dislike) {
            if (self::means($dislike, $portion)) {
                $findings[] = new Finding('head.dislike', Severity::Caution, [$portion], sprintf('%s does not like %s.', $this->head->name, $dislike), $figures, 'fit', $cure);
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function weight(Examined $subject): array
    {
        $index = $shares = 0.0;
        foreach ($subject->composition->counted() as $portion) {
            if ($portion->ingredient->facts->has(Property::Weight)) {
                $index += $portion->share->best * $portion->ingredient->facts->get(Property::Weight)->band->best;
                $shares += $portion->share->best;
            }
        }
        if ($shares <= 0.0 || $subject->formula()->kind->isRinsed()) {
            return [];
        }
        $index /= $shares;
        $target = $this->head->weightTarget($subject->formula()->kind->goesOnScalp());
        if ($target->contains($index)) {
            return [];
        }

        return [new Finding(
            'head.weight',
            Severity::Caution,
            [],
            $index > $target->high
                ? sprintf('Its weight index is %.1f; for %s\'s %s hair of %s porosity up to %.1f suits. It may weigh the hair down.', $index, $this->head->name, $this->head->strand->value, $this->head->porosity->value, $target->high)
                : sprintf('Its weight index is %.1f; for %s\'s %s hair of %s porosity from %.1f suits. It may do too little.', $index, $this->head->name, $this->head->strand->value, $this->head->porosity->value, $target->low),
            ['weight index' => Band::exact($index), 'target' => $target],
            'fit',
        )];
    }

    /** Whether a written allergy or dislike means this line: by allergen, by name, or by a whole word of its names. */
    private static function means(string $word, Portion $portion): bool
    {
        $wanted = NameIndex::normalise($word);
        if ($wanted === '') {
            return false;
        }
        $names = [...$portion->ingredient->allergens, $portion->ingredient->name, $portion->ingredient->inci, ...$portion->ingredient->synonyms, $portion->line->name];
        foreach ($names as $name) {
            if (preg_match('/\b'.preg_quote($wanted, '/').'\b/', NameIndex::normalise($name)) === 1) {
                return true;
            }
        }

        return false;
    }
}
