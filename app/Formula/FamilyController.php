<?php

declare(strict_types=1);

namespace App\Formula;

use App\Support\Refused;
use App\Support\Speaks;
use Crown\Formula\Edits;
use Crown\Formula\Family;
use Crown\Formula\Formula as Composed;
use Crown\Formula\FormulaDocument;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** One base and its variants: a change of the base is passed on to them, and what it did to each is said. */
final class FamilyController
{
    /** Variants of one base. */
    private const MOST = 40;

    public function __construct(private readonly Bench $bench)
    {
    }

    #[Speaks('Family', does: 'The base of a formula and its variants, each with what waits to be passed on')]
    public function show(int $formula): JsonResponse
    {
        return new JsonResponse($this->family(Formula::query()->findOrFail($formula)));
    }

    #[Speaks('FormulaPage', 'VariantDraft', 201, 'Make a variant of a formula as it stands')]
    public function store(int $formula, Request $request, FormulaController $formulas): JsonResponse
    {
        $base = Formula::query()->with('head.marks')->findOrFail($formula);
        $request->validate(
            ['title' => 'required|string|max:200'],
            ['title.required' => 'A variant needs a name: its scent, or its herb.'],
        );
        $title = $request->string('title')->value();
        if ($base->base_id !== null) {
            throw Refused::because('formula', 'This is a variant itself. Make the new one from its base.');
        }
        if (Formula::query()->where('base_id', $base->id)->count() >= self::MOST) {
            throw Refused::because('formula', sprintf('At most %d variants of one base.', self::MOST));
        }
        $composed = FormulaDocument::read([...$base->document, 'title' => $title]);
        $row = Formula::query()->create([
            ...$this->bench->row(new Given($composed, $base->head, $base->hair)),
            'base_id' => $base->id,
            'base_document' => $base->document,
        ]);

        return new JsonResponse($formulas->page($row->refresh()), 201);
    }

    #[Speaks('FamilyPassed', '', 200, 'Pass the base on to all its variants; says what it did to each')]
    public function pass(int $formula): JsonResponse
    {
        $passed = DB::transaction(function () use ($formula): array {
            $base = Formula::query()->lockForUpdate()->findOrFail($formula);
            $done = [];
            foreach ($this->variants($base) as $variant) {
                [$before, $after] = [$variant->composed(), self::passedOn($base, $variant)];
                $changes = Edits::between($before, $after);
                $was = $variant->summary;
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
                    $done[] = [
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

            return $done;
        });

        return new JsonResponse(['passed' => $passed]);
    }

    #[Speaks('Family', does: 'Let a variant stand on its own')]
    public function leave(int $formula): JsonResponse
    {
        $row = Formula::query()->findOrFail($formula);
        $row->update(['base_id' => null, 'base_document' => null]);

        return new JsonResponse($this->family($row));
    }

    /** @return array<string, mixed> */
    private function family(Formula $row): array
    {
        $base = $row->base_id === null ? $row : Formula::query()->find($row->base_id);

        return [
            'base' => $base === null || $row->base_id === null ? null : ['id' => $base->id, 'title' => $base->title],
            'variants' => $base === null
                    ? []
                    : array_map(
                        static fn (Formula $v): array => [
                            'id' => $v->id,
                            'title' => $v->title,
                            'bands' => $v->summary['bands'] ?? [],
                            'stops' => $v->summary['stops'] ?? 0,
                            'cautions' => $v->summary['cautions'] ?? 0,
                            'waiting' => Edits::between($v->composed(), self::passedOn($base, $v)),
                        ],
                        $this->variants($base),
                    ),
        ];
    }

    /** @return list<Formula> */
    private function variants(Formula $base): array
    {
        return array_values(
            Formula::query()->with('head.marks')->where('base_id', $base->id)->orderBy('title')->get()->all(),
        );
    }

    private static function passedOn(Formula $base, Formula $variant): Composed
    {
        return Family::pass(
            FormulaDocument::read($variant->base_document ?? $base->document),
            $base->composed(),
            $variant->composed(),
        );
    }
}
