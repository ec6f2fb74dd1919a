<?php

declare(strict_types=1);

namespace App\Formula;

use App\Catalogue\StudioCatalogue;
use App\Head\Head;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Support\Refused;
use Crown\Assessment\Assessment;
use Crown\Assessment\Assessor;
use Crown\Assessment\Finding;
use Crown\Assessment\Keeping;
use Crown\Assessment\Portion;
use Crown\Assessment\Severity;
use Crown\Formula\Formula as Composed;
use Crown\Formula\FormulaDocument;
use Crown\Head\Fit;
use Crown\Head\HeadCheck;
use Crown\Head\Porosity;
use Crown\Head\Profile;
use Crown\Head\Strand;
use DateTimeImmutable;

/** Where a formula is judged: with the studio's catalogue and kitchen, and for one head when one is chosen. */
final class Bench
{
    public function __construct(
        private readonly StudioCatalogue $catalogue,
        private readonly CurrentStudio $studio,
        private readonly Day $day,
    ) {
    }

    /**
     * @param  Profile|null  $profile the head, or the type of hair, it is judged for
     * @param  Composed|null  $before the maker's earlier version
     */
    public function assess(Composed $formula, ?Profile $profile, ?Composed $before = null): Assessment
    {
        $formula = $profile === null ? $formula : $profile->judging($formula);

        return $this->assessor($profile)->assess($formula, $this->catalogue->context()->comparedWith($before));
    }

    /** The checks that are asked, those of a head among them when it is for one. */
    public function assessor(?Profile $profile): Assessor
    {
        return $profile === null
            ? Assessor::standard()
            : Assessor::standard()->with(new HeadCheck($profile, $this->studio->get()->season(Day::today())));
    }

    /**
     * What a formula is for: one head, or a type of hair that is nobody's in particular.
     *
     * @param  array<array-key, mixed>|null  $hair {"strand": …, "porosity": …}
     */
    public static function profile(?Head $head, ?array $hair): ?Profile
    {
        if ($head !== null || $hair === null) {
            return $head?->profile();
        }
        $enum = static fn (string $key): string => is_string($hair[$key] ?? null) ? $hair[$key] : 'not-known';

        return Profile::hairType(
            Strand::tryFrom($enum('strand'))
                ?? throw Refused::because(
                    'hair.strand',
                    'Allowed: '.implode(', ', array_column(Strand::cases(), 'value')).'.',
                ),
            Porosity::tryFrom($enum('porosity'))
                ?? throw Refused::because(
                    'hair.porosity',
                    'Allowed: '.implode(', ', array_column(Porosity::cases(), 'value')).'.',
                ),
        );
    }

    /**
     * @return array{assessment: Assessment, fit: Fit|null, keeps: Keeping|null} keeps: made today; null when it cannot
     *     be told
     */
    public function judged(Composed $formula, ?Profile $profile, ?Composed $before = null): array
    {
        $assessment = $this->assess($formula, $profile, $before);

        return [
            'assessment' => $assessment,
            'fit' => $profile === null ? null : Fit::of($profile, $assessment->subject),
            'keeps' => Keeping::of($assessment->subject, new DateTimeImmutable($this->day->date())),
        ];
    }

    /**
     * What the list shows of it, kept with the row so that a list costs no assessment.
     *
     * @return array<string, mixed>
     */
    public function summary(Assessment $assessment): array
    {
        $count = static fn (Severity $severity): int => count(
            array_filter(
                $assessment->findings,
                static fn (Finding $f): bool => $f->severity === $severity && $assessment->isOpen($f),
            ),
        );

        $months = $assessment->subject->life->months;

        return [
            'lines' => count($assessment->subject->composition->portions),
            'stops' => $count(Severity::Stop),
            'cautions' => $count(Severity::Caution),
            'texture' => $assessment->subject->texture->isKnown()
                ? $assessment->subject->texture->class()->label()
                : 'cannot tell',
            'water_class' => $assessment->subject->water->class?->value,
            'settled' => $assessment->subject->composition->unknown->none(),
            'life_months' => $months === null ? null : round($months->best, 2),
            'bands' => $assessment->bands(),
        ];
    }

    /**
     * The columns of a formula's row for a composed formula.
     *
     * @return array<string, mixed>
     */
    public function row(Given $given): array
    {
        $assessment = $this->assess($given->formula, $given->profile());

        return [
            'title' => $given->formula->title,
            'kind' => $given->formula->kind->value,
            'head_id' => $given->head?->id,
            'hair' => $given->head === null ? $given->hair : null,
            'ingredients' => mb_substr(
                implode(
                    ' ',
                    array_map(
                        static fn (Portion $p): string => $p->ingredient->name,
                        $assessment->subject->composition->portions,
                    ),
                ),
                0,
                10_000,
            ),
            'document' => FormulaDocument::write($assessment->carried()),
            'summary' => $this->summary($assessment),
        ];
    }
}
