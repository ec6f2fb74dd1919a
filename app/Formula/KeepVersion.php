<?php

declare(strict_types=1);

namespace App\Formula;

/** Keeps the present state of a formula as a version, under the next number. */
final class KeepVersion
{
    public function __invoke(int $formula, string $note): void
    {
        $row = Formula::query()->lockForUpdate()->findOrFail($formula);
        FormulaVersion::query()->create([
            'formula_id' => $row->id,
            'number' => 1 + ($row->versions()->first()->number ?? 0),
            'note' => $note,
            'document' => $row->document,
            'summary' => $row->summary,
        ]);
    }
}
