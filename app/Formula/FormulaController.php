<?php

declare(strict_types=1);

namespace App\Formula;

use App\Catalogue\StudioCatalogue;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Support\Pages;
use App\Support\Refused;
use App\Support\Speaks;
use App\Support\Words;
use Crown\Exchange\FormulaText;
use Crown\Formula\Edits;
use Crown\Formula\Formula as Composed;
use Crown\Formula\FormulaDocument;
use Crown\Formula\ProductKind;
use Crown\Formula\Size;
use Crown\Head\FirstFormula;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;

/** Formulas over HTTP: the list, the working sheet, its kept versions, and putting one away. */
final class FormulaController
{
    public function __construct(private readonly Bench $bench, private readonly KnowsProcessLoss $loss)
    {
    }

    #[Speaks('FormulaList', does: 'The studio\'s formulas, last touched first; q finds by title or ingredient')]
    public function index(Request $request): JsonResponse
    {
        $query = Formula::query()->select(['id', 'title', 'kind', 'summary', 'updated_at']);

        return Pages::answer(
            $query,
            $request,
            static fn (Formula $f): array => [
                'id' => $f->id,
                'title' => $f->title,
                'kind' => $f->kind,
                ...$f->summary,
                'updated_at' => $f->updated_at->toIso8601String(),
            ],
            ['title', 'ingredients'],
        );
    }

    #[Speaks('FormulaPage', 'FormulaDraft', 201, 'Put a new formula on the bench')]
    public function store(Request $request): JsonResponse
    {
        $formula = Formula::query()->create($this->bench->row(Given::in($request)));

        return new JsonResponse($this->page($formula->refresh()), 201);
    }

    #[Speaks(
        'FormulaPage',
        'SkeletonAsk',
        201,
        'Put a product kind\'s skeleton on the bench, with the reason for each line',
    )]
    public function skeleton(Request $request, StudioCatalogue $catalogue, CurrentStudio $studio): JsonResponse
    {
        $request->validate([
            'kind' => ['required', Rule::enum(ProductKind::class)],
            'hair' => 'nullable|array',
            'ingredients' => 'present|array|max:12',
            'ingredients.*' => 'string|max:80',
        ]);
        $kind = ProductKind::from($request->string('kind')->value());
        $hair = is_array($request->input('hair')) ? $request->input('hair') : null;
        $profile
            = Bench::profile(null, $hair ?? ['strand' => 'medium', 'porosity' => 'normal'])
            ?? throw Refused::because('hair', 'A type of hair.');
        $first = (new FirstFormula($catalogue->get(), $profile, $studio->get()->season(Day::today())))->make(
            $kind,
            Words::of($request, 'ingredients'),
        )->formula;
        $row = Formula::query()->create(
            $this->bench->row(
                new Given(
                    FormulaDocument::read([...FormulaDocument::write($first), 'title' => $kind->label()]),
                    null,
                    $hair,
                ),
            ),
        );

        return new JsonResponse($this->page($row->refresh()), 201);
    }

    #[Speaks('FormulaPage', does: 'One formula, judged, with its kept versions')]
    public function show(int $formula): JsonResponse
    {
        return new JsonResponse($this->page(self::find($formula)));
    }

    #[Speaks('FormulaPage', 'FormulaSave', does: 'Save what is on the bench, as it is typed')]
    public function update(int $formula, Request $request): JsonResponse
    {
        $row = self::find($formula);
        $request->validate(['revision' => 'required|integer|min:1']);
        $row->revise(
            $request->integer('revision'),
            $this->bench->row(Given::in($request)),
            fn (Formula $f): array => $this->page($f),
        );

        return new JsonResponse($this->page($row));
    }

    #[Speaks('PlainText', does: 'One formula as plain text: grams, shares, method and what was said of it')]
    public function text(int $formula): JsonResponse
    {
        $row = self::find($formula);

        return new JsonResponse([
            'text' => FormulaText::write(
                $this->bench->assess($row->composed(), Bench::profile($row->head, $row->hair)),
            ),
        ]);
    }

    #[Speaks('', status: 204, does: 'Put a formula away; it can be brought back')]
    public function destroy(int $formula): JsonResponse
    {
        self::find($formula)->delete();

        return new JsonResponse(null, 204);
    }

    #[Speaks('FormulaPage', does: 'Bring back a formula that was put away')]
    public function restore(int $formula): JsonResponse
    {
        $row = Formula::query()
            ->withTrashed()
            ->with(['head.marks', 'versions'])
            ->findOrFail($formula);
        $row->restore();

        return new JsonResponse($this->page($row));
    }

    #[Speaks('FormulaPage', 'VersionDraft', 201, 'Keep the present state as a version')]
    public function keep(int $formula, Request $request): JsonResponse
    {
        $request->validate(['note' => 'present|nullable|string|max:300']);
        $note = $request->string('note')->value();
        DB::transaction(static function () use ($formula, $note): void {
            $row = Formula::query()->lockForUpdate()->findOrFail($formula);
            FormulaVersion::query()->create([
                'formula_id' => $row->id,
                'number' => 1 + ($row->versions()->first()->number ?? 0),
                'note' => $note,
                'document' => $row->document,
                'summary' => $row->summary,
            ]);
        });

        return new JsonResponse($this->page(self::find($formula)), 201);
    }

    private static function find(int $id): Formula
    {
        return Formula::query()
            ->with(['head.marks', 'versions'])
            ->findOrFail($id);
    }

    /** @return array<string, mixed> */
    public function page(Formula $formula): array
    {
        $formula->loadMissing(['head.marks', 'versions']);

        return [
            'id' => $formula->id,
            'revision' => $formula->revision,
            'formula' => FormulaDocument::write($formula->composed()),
            'head_id' => $formula->head_id,
            'hair' => $formula->hair,
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
