<?php

declare(strict_types=1);

namespace App\Formula;

use App\Catalogue\StudioCatalogue;
use App\Head\Head;
use Crown\Exchange\FormulaFile;
use Crown\Formula\Assessment;
use Crown\Formula\Assessor;
use Crown\Formula\Finding;
use Crown\Formula\Formula as Composed;
use Crown\Formula\Portion;
use Crown\Formula\Severity;
use Crown\Head\HeadCheck;

/** Where a formula is judged: with the studio's catalogue and kitchen, and for one head when one is chosen. */
final class Bench
{
    public function __construct(private readonly StudioCatalogue $catalogue)
    {
    }

    public function assess(Composed $formula, ?Head $head): Assessment
    {
        $assessor = Assessor::standard();
        if ($head !== null) {
            $profile = $head->profile();
            $assessor = $assessor->with(new HeadCheck($profile));
            $formula = $profile->judging($formula);
        }

        return $assessor->assess($formula, $this->catalogue->context());
    }

    /**
     * What the list shows of it, kept with the row so that a list costs no assessment.
     *
     * @return array<string, mixed>
     */
    public function summary(Assessment $assessment): array
    {
        $count = static fn (Severity $severity): int => count(array_filter($assessment->findings, static fn (Finding $f): bool => $f->severity === $severity));
        $bands = [];
        foreach ($assessment->jsonSerialize()['lines'] as $line) {
            if ($line['shown_percent'] > 0.0) {
                $bands[] = ['matter' => $line['matter'], 'percent' => $line['shown_percent']];
            }
        }

        return [
            'lines' => count($assessment->subject->composition->portions),
            'stops' => $count(Severity::Stop),
            'cautions' => $count(Severity::Caution),
            'texture' => $assessment->subject->texture->class()->label(),
            'water_class' => $assessment->subject->water->class->value,
            'life_months' => round($assessment->subject->life->months->best, 2),
            'bands' => $bands,
        ];
    }

    /**
     * The columns of a formula's row for a composed formula.
     *
     * @return array<string, mixed>
     */
    public function row(Composed $formula, ?Head $head): array
    {
        $assessment = $this->assess($formula, $head);

        return [
            'title' => $formula->title,
            'kind' => $formula->kind->value,
            'head_id' => $head?->id,
            'ingredients' => mb_substr(implode(' ', array_map(static fn (Portion $p): string => $p->ingredient->name, $assessment->subject->composition->portions)), 0, 10_000),
            'document' => FormulaFile::write($formula),
            'summary' => $this->summary($assessment),
        ];
    }
}
