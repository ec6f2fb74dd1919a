<?php

declare(strict_types=1);

namespace App\Rhythm;

use App\Make\BatchPlan;
use App\Session\LinkKind;
use App\Session\PrivateLinks;
use App\Studio\CurrentStudio;
use App\Studio\User;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A routine for the head it is for: seen by a link, without an account, and nothing else of the studio. */
final class RoutineLinkController
{
    public function __construct(private readonly PrivateLinks $links, private readonly BatchPlan $plan)
    {
    }

    #[Speaks('PrivateLink', status: 201, does: 'A private link to a routine, shown this once')]
    public function store(int $routine, Request $request): JsonResponse
    {
        $row = Routine::query()->with(['head', Routine::BATCH_IN_SHORT])->findOrFail($routine);
        $title = $row->head->name.': '.$row->batch->title;

        return new JsonResponse([
            'link' => $this->links->make(User::in($request), LinkKind::Routine, $row->id, $title),
        ], 201);
    }

    #[Speaks('RoutineCard', does: 'What a private link to a routine shows')]
    public function show(string $token, CurrentStudio $studio): JsonResponse
    {
        $id = $this->links->open(LinkKind::Routine, $token);
        $row = Routine::query()->with(['head', 'batch', 'sharing', 'days'])->findOrFail($id);

        return new JsonResponse(
            (new RoutineCardResource($row, $studio->get(), $this->plan->withdrawn($row->batch)))->toArray(),
        );
    }
}
