<?php

declare(strict_types=1);

namespace App\Formula;

use Crown\Formula\Edits;
use Crown\Formula\FormulaDocument;

/** Passes a base on to all its variants, and says what it did to each. */
final class PassFamily
{
    public function __construct(private readonly Bench $bench)
    {
    }

    /** @return list<array<string, mixed>> as $defs/FamilyPassed has them */
    public function __invoke(int $formula): array
    {
        $base = Formula::query()->lockForUpdate()->findOrFail($formula);
        $passed = [];
        foreach ($base->variants() as $variant) {
            $was = $variant->summary;
            [$before, $after] = [$variant->composed(), $variant->passedOnFrom($base)];
            $changes = Edits::between($before, $after);
            $now = $changes === [] ? [] : $this->bench->row(new Given($after, $variant->head, $variant->hair));
            // The revision moves with it, so that whoever has the variant open is asked, not overwritten.
            $variant
                ->fill([
                    ...$now,
                    'base_document' => $base->document,
                    'revision' => $variant->revision + ($changes === [] ? 0 : 1),
                ])
                ->save();
            if ($changes !== []) {
                $passed[] = [
                    'id' => $variant->id,
                    'title' => $variant->title,
                    'revision' => $variant->revision,
                    'changes' => $changes,
                    'stops_before' => $was['stops'],
                    'stops' => $variant->summary['stops'],
                    'cautions_before' => $was['cautions'],
                    'cautions' => $variant->summary['cautions'],
                    'before' => FormulaDocument::write($before),
                    'head_id' => $variant->head_id,
                    'hair' => $variant->hair,
                ];
            }
        }

        return $passed;
    }
}
