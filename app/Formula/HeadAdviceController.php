<?php

declare(strict_types=1);

namespace App\Formula;

use App\Catalogue\StudioCatalogue;
use App\Catalogue\StudioStock;
use App\Head\Head;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Support\Speaks;
use Crown\Catalogue\Need;
use Crown\Head\Shortlist;
use Illuminate\Http\JsonResponse;

/** From a head to what may go into its jar. */
final class HeadAdviceController
{
    private const MOST = 12;

    public function __construct(
        private readonly StudioCatalogue $catalogue,
        private readonly StudioStock $stock,
        private readonly CurrentStudio $studio,
    ) {
    }

    #[Speaks(
        'HeadAdvice',
        does: 'Which ingredients serve the needs of a head, which to leave out and why, what to try first',
    )]
    public function show(int $head, AdviceRequest $request): JsonResponse
    {
        $row = Head::query()->with('marks')->findOrFail($head);
        $profile = $row->profile();
        $needs = $request->need() === null ? $profile->needs() : [$request->need()];
        $atHand = $this->stock->ids();
        $shortlist = new Shortlist(
            $this->catalogue->get(),
            $profile,
            $this->studio->get()->season(Day::today()),
            $atHand,
            $this->studio->get()->ways(),
        );

        return new JsonResponse([
            'red_flags' => $profile->redFlags(),
            'at_hand' => $atHand,
            'needs' => array_map(
                static fn (Need $need): array => [
                    'need' => $need->value,
                    'label' => $need->label(),
                    ...$shortlist->for($need, [], $request->kind(), self::MOST)->jsonSerialize(),
                ],
                $needs,
            ),
        ]);
    }

    #[Speaks('FirstFormulaMade', 'FirstFormulaAsk', 201, 'Put a first version for this head on the bench')]
    public function formula(int $head, FirstFormulaRequest $request, StartForHead $start): JsonResponse
    {
        return new JsonResponse($start(Head::query()->with('marks')->findOrFail($head), $request), 201);
    }
}
