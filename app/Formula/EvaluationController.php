<?php

declare(strict_types=1);

namespace App\Formula;

use App\Catalogue\StudioCatalogue;
use App\Catalogue\StudioStock;
use App\Studio\CurrentStudio;
use App\Support\Speaks;
use Crown\Assessment\CostPlan;
use Crown\Assessment\LoadPlan;
use Crown\Assessment\Reshare;
use Crown\Assessment\Stock;
use Crown\Assessment\WaterPlan;
use Crown\Assessment\WithoutScale;
use Crown\Formula\Formula as Composed;
use Crown\Formula\FormulaDocument;
use Crown\Formula\FormulaError;
use Crown\Solving\Swap;
use Illuminate\Http\JsonResponse;

/** Judges drafts without keeping anything: what the screen asks on every change. */
final class EvaluationController
{
    public function __construct(private readonly Bench $bench, private readonly StudioCatalogue $catalogue)
    {
    }

    #[Speaks('Evaluation', 'FormulaDraft', does: 'Judge a draft')]
    public function evaluate(FormulaRequest $request): JsonResponse
    {
        $given = $request->given();

        return new JsonResponse($this->bench->judged($given->formula, $given->profile(), $given->before));
    }

    #[Speaks('ChangedDraft', 'CureAsk', does: 'Apply a change to a draft and judge the result')]
    public function cure(CureRequest $request): JsonResponse
    {
        $given = $request->given();

        return $this->changed($request->change()->applyTo($given->formula, $this->catalogue->get()), $given);
    }

    #[Speaks('Working', 'WorkingAsk', does: 'How the grams of one line of a draft came about')]
    public function working(WorkingRequest $request): JsonResponse
    {
        $given = $request->given();
        $composition = $this->bench->assess($given->formula, $given->profile())->subject->composition;

        return new JsonResponse($composition->portion($request->line())->grams->working);
    }

    #[Speaks('ReadAnswer', 'ReadAsk', does: 'Read the text of a recipe')]
    public function read(ReadRequest $request, ReadText $read): JsonResponse
    {
        return new JsonResponse($read($request)->toArray());
    }

    #[Speaks(
        'WaterPlan',
        'FormulaDraft',
        does: 'Where a draft\'s water comes from, what may be done next, and which preservatives fit',
    )]
    public function water(FormulaRequest $request): JsonResponse
    {
        $given = $request->given();

        return new JsonResponse(
            new WaterPlan($this->bench->assess($given->formula, $given->profile())->subject, $this->catalogue->get()),
        );
    }

    #[Speaks(
        'LoadPlan',
        'FormulaDraft',
        does: 'How near a draft\'s essential oils are to what its audience may bear, and the most drops of each',
    )]
    public function load(FormulaRequest $request): JsonResponse
    {
        $given = $request->given();

        return new JsonResponse(new LoadPlan($this->bench->assess($given->formula, $given->profile())->subject));
    }

    #[Speaks('CostPlan', 'FormulaDraft', does: 'What each line of a draft costs, and where its price is from')]
    public function cost(FormulaRequest $request): JsonResponse
    {
        $given = $request->given();
        $subject = $this->bench->assess($given->formula, $given->profile())->subject;

        return new JsonResponse(new CostPlan($subject->composition));
    }

    #[Speaks('WithoutScale', 'WithoutScaleAsk', does: 'A draft in kitchen measures, and as heights on a bottle')]
    public function withoutScale(WithoutScaleRequest $request, CurrentStudio $studio): JsonResponse
    {
        $bottle = $request->bottleMillimetres();
        $given = $request->given();
        $now = $this->bench->assess($given->formula, $given->profile());
        $without = WithoutScale::of($now->subject->composition, $studio->get()->kitchen());
        $then = $this->bench->assess($without->formula, $given->profile());
        $strip = [];
        $problem = '';
        try {
            $strip = $bottle === null ? [] : $without->strip($bottle);
        } catch (FormulaError $e) {
            $problem = $e->getMessage();
        }

        return new JsonResponse([
            'rows' => $without->rows($then->subject->composition),
            'formula' => FormulaDocument::write($without->formula),
            'assessment' => $then,
            'strip' => $strip,
            'strip_problem' => $problem,
        ]);
    }

    #[Speaks('ChangedDraft', 'ReshareAsk', does: 'Move share from one line of a draft to another')]
    public function reshare(ReshareRequest $request): JsonResponse
    {
        $given = $request->given();

        return $this->changed(
            Reshare::between(
                $given->formula,
                $this->catalogue->context(),
                $request->string('from')->value(),
                $request->string('to')->value(),
                $request->float('points'),
            ),
            $given,
        );
    }

    #[Speaks('StockAnswer', 'FormulaDraft', does: 'What the studio\'s own stock allows of a draft')]
    public function stock(FormulaRequest $request, StudioStock $stock): JsonResponse
    {
        $given = $request->given();

        return new JsonResponse(
            Stock::of(
                $this->bench->assess($given->formula, $given->profile())->subject->composition,
                $stock->grams(),
            ),
        );
    }

    #[Speaks(
        'SwapAnswer',
        'SwapAsk',
        does: 'What could take one line\'s place, the other shares moved to keep texture and weight',
    )]
    public function swap(SwapRequest $request, StudioStock $stock): JsonResponse
    {
        $line = $request->string('line')->value();
        $given = $request->given();
        $now = $this->bench->assess($given->formula, $given->profile());

        return new JsonResponse([
            'of' => $line,
            'swaps' => array_map(
                static fn (Swap $s): array => (new SwapResource($s))->toArray(),
                Swap::of(
                    $now,
                    $line,
                    $this->catalogue->get(),
                    $this->bench->assessor($given->profile()),
                    held: $stock->ids(),
                ),
            ),
        ]);
    }

    /** What became of a draft, and what is to be said of it. */
    private function changed(Composed $formula, Given $given): JsonResponse
    {
        return new JsonResponse([
            'formula' => FormulaDocument::write($formula),
            ...$this->bench->judged($formula, $given->profile(), $given->before),
        ]);
    }
}
