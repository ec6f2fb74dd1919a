<?php

declare(strict_types=1);

namespace App\Formula;

use Crown\Formula\Edits;
use Crown\Formula\Formula as Composed;
use Crown\Formula\FormulaDocument;
use Crown\Formula\Size;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** A formula on the bench, judged, with its kept versions: $defs/FormulaPage. */
final class FormulaResource extends JsonResource
{
    public function __construct(
        private readonly Formula $formula,
        private readonly Bench $bench,
        private readonly KnowsProcessLoss $loss,
    ) {
        parent::__construct($formula);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $formula = $this->formula->loadMissing(['head.marks', 'versions']);

        return [
            'id' => $formula->id,
            'revision' => $formula->revision,
            'formula' => FormulaDocument::write($formula->composed()),
            'head_id' => $formula->head_id,
            'hair' => $formula->hair,
            'touched' => $formula->touched(),
            ...$this->bench->judged(
                $formula->composed(),
                Bench::profile($formula->head, $formula->hair),
                self::before($formula),
            ),
            'versions' => self::versions($formula),
            'sizing' => $this->sizing(),
        ];
    }

    /** @return array<string, mixed> as $defs/Sizing */
    private function sizing(): array
    {
        $loss = $this->loss->processLoss();

        return ['overfill' => Size::OVERFILL, 'loss' => round($loss->share, 4), 'batches' => $loss->batches];
    }

    /** The last kept version, beside which something can be seen to be missing. */
    private static function before(Formula $formula): ?Composed
    {
        $last = $formula->versions->first();

        return $last === null ? null : FormulaDocument::read($last->document);
    }

    /** @return list<array<string, mixed>> the newest first, each with what was changed since the one before it */
    private static function versions(Formula $formula): array
    {
        $rows = [];
        $before = null;
        foreach ($formula->versions->reverse() as $version) {
            $composed = FormulaDocument::read($version->document);
            $rows[] = [
                'id' => $version->id,
                'number' => $version->number,
                'note' => $version->note,
                'kept_at' => $version->created_at->toIso8601String(),
                'formula' => FormulaDocument::write($composed),
                'bands' => $version->summary['bands'] ?? [],
                'texture' => $version->summary['texture'] ?? '',
                'changes' => $before === null ? [] : Edits::between($before, $composed),
            ];
            $before = $composed;
        }

        return array_reverse($rows);
    }
}
