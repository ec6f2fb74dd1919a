<?php

declare(strict_types=1);

namespace App\Formula;

use App\Support\BasedOn;
use App\Support\ListRequest;
use App\Support\Pages;
use App\Support\Speaks;
use Crown\Exchange\FormulaText;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** Formulas over HTTP: the list, the working sheet, its kept versions, and putting one away. */
final class FormulaController
{
    public function __construct(private readonly Bench $bench, private readonly KnowsProcessLoss $loss)
    {
    }

    #[Speaks('FormulaList', does: 'The studio\'s formulas, last touched first; q finds by title or ingredient')]
    public function index(ListRequest $request): JsonResponse
    {
        $query = Formula::query()->select(['id', 'title', 'kind', 'summary', 'updated_at']);

        return Pages::answer(
            $query,
            $request,
            static fn (Formula $f): array => [
                'id' => $f->id,
                'title' => $f->title,
                'kind' => $f->kind,
                'settled' => true,
                ...$f->summary,
                'updated_at' => $f->updated_at->toIso8601String(),
            ],
            ['title', 'ingredients'],
        );
    }

    #[Speaks('FormulaPage', 'FormulaDraft', 201, 'Put a new formula on the bench')]
    public function store(FormulaRequest $request): JsonResponse
    {
        $formula = Formula::query()->create($this->bench->row($request->given()));

        return new JsonResponse($this->page($formula->refresh()), 201);
    }

    #[Speaks(
        'FormulaPage',
        'SkeletonAsk',
        201,
        'Put a product kind\'s skeleton on the bench, with the reason for each line',
    )]
    public function skeleton(SkeletonRequest $request, StartSkeleton $start): JsonResponse
    {
        return new JsonResponse($this->page($start($request)), 201);
    }

    #[Speaks('FormulaPage', does: 'One formula, judged, with its kept versions')]
    public function show(int $formula): JsonResponse
    {
        return new JsonResponse($this->page(self::find($formula)));
    }

    #[Speaks('FormulaPage', 'FormulaSave', does: 'Save what is on the bench, as it is typed')]
    public function update(int $formula, FormulaRequest $request, BasedOn $basedOn): JsonResponse
    {
        $row = self::find($formula);
        $row->revise(
            $basedOn->revision(),
            $this->bench->row($request->given()),
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
    public function keep(int $formula, VersionRequest $request, KeepVersion $keep): JsonResponse
    {
        DB::transaction(static fn () => $keep($formula, $request->string('note')->value()));

        return new JsonResponse($this->page(self::find($formula)), 201);
    }

    private static function find(int $id): Formula
    {
        return Formula::query()
            ->with(['head.marks', 'versions'])
            ->findOrFail($id);
    }

    /** @return array<string, mixed> */
    private function page(Formula $formula): array
    {
        return (new FormulaResource($formula, $this->bench, $this->loss))->toArray();
    }
}
