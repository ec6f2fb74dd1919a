<?php

declare(strict_types=1);

namespace Crown\Head;

use Crown\Assessment\Check;
use Crown\Assessment\Cure;
use Crown\Assessment\Examined;
use Crown\Assessment\FigureName;
use Crown\Assessment\Finding;
use Crown\Assessment\Portion;
use Crown\Assessment\Said;
use Crown\Assessment\Severity;
use Crown\Catalogue\Name;
use Crown\Formula\Change;
use Crown\Formula\Formula;
use Crown\Head\Internal\HeadSentences;
use Crown\Measure\Property;
use Crown\Words\Message;

/** Does a formula suit one head: its red flags, allergies, dislikes of the season, conditions and weight? */
final readonly class HeadCheck implements Check
{
    public function __construct(private Profile $head, private Season $season = Season::Any)
    {
    }

    public function examine(Examined $subject): array
    {
        $findings = [];
        $flags = $this->head->redFlags();
        if ($flags !== []) {
            $findings[] = new Finding(
                'head.clinician',
                Severity::Stop,
                [],
                [],
                'fit',
                said: $this->said($flags),
            );
        }
        foreach ($subject->composition->possible() as $portion) {
            array_push($findings, ...$this->refused($portion, $subject->formula()));
        }

        return [...$findings, ...$this->weight($subject)];
    }

    /**
     * @param  list<string>  $about beside whose head it is
     * @param  array<string, string>  $terms
     */
    private function said(array $about = [], array $terms = []): Said
    {
        return new Said([$this->head->name, ...$about], $terms, new HeadSentences());
    }

    /** @return list<Finding> */
    private function refused(Portion $portion, Formula $formula): array
    {
        $findings = [];
        $name = Name::inSentence($portion->whole()->ingredient->name);
        if (! $portion->ingredient->isPlaced() && $this->head->allergies !== []) {
            $findings[] = new Finding(
                'head.unknown',
                Severity::Stop,
                [$portion],
                [],
                'unknown',
                [new Cure(Message::said('head.head-check.take-out'), Change::remove($portion->line->id))],
                said: $this->said($this->head->allergies),
            );
        }
        $cure = [new Cure(sprintf('Take out %s', $name), Change::remove($portion->line->id))];
        $figures = [FigureName::Share->is($portion->share->scaled(100))];
        foreach ($this->head->allergies as $allergy) {
            if (self::means($allergy, $portion)) {
                $findings[] = new Finding(
                    'head.allergy',
                    Severity::Stop,
                    [$portion],
                    $figures,
                    'fit',
                    $cure,
                    said: $this->said([$allergy]),
                );
            }
        }
        // Younger than what is in it is for, and not already stopped by whom the whole is for.
        $age = $portion->ingredient->facts->best(Property::MinimumAge, 0.0);
        if ($age > $this->head->age->youngestYears() && $formula->audience->excludes($portion->ingredient) === null) {
            $findings[] = new Finding(
                'head.age',
                Severity::Stop,
                [$portion],
                [FigureName::LeastAge->exactly($age)],
                'fit',
                $cure,
                said: $this->said(),
            );
        }
        foreach ($portion->ingredient->precautions->askFirst as $condition) {
            if (in_array($condition, $this->head->conditions, true)) {
                $findings[] = new Finding(
                    'head.condition',
                    Severity::Caution,
                    [$portion],
                    $figures,
                    'fit',
                    $cure,
                    said: $this->said([$condition->value]),
                );
            }
        }
        foreach ($this->head->dislikes as $dislike) {
            if ($dislike->holdsIn($this->season) && self::means($dislike->what, $portion)) {
                $findings[] = new Finding(
                    'head.dislike',
                    Severity::Caution,
                    [$portion],
                    $figures,
                    'fit',
                    $cure,
                    said: $this->said([$dislike->what], ['season' => $dislike->season->value]),
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function weight(Examined $subject): array
    {
        $index = $subject->heaviness();
        if ($index === null || $subject->formula()->kind->isRinsed()) {
            return [];
        }
        $target = $this->head->weightTarget($subject->formula()->kind->goesOnScalp());
        if ($target->contains($index)) {
            return [];
        }
        $hair = sprintf('%s (%s, %s)', $this->head->name, $this->head->strand->words(), $this->head->porosity->words());

        return [
            new Finding(
                'head.weight',
                Severity::Caution,
                [],
                [FigureName::WeightIndex->exactly($index), FigureName::WeightTarget->is($target)],
                'fit',
                said: new Said([$hair], words: new HeadSentences()),
            ),
        ];
    }

    /** By the ingredient's own names and allergens, or by the name that was written. */
    private static function means(string $word, Portion $portion): bool
    {
        return $portion->ingredient->answersTo($word) || Name::mentions($portion->line->name, $word);
    }
}
