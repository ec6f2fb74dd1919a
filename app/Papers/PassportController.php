<?php

declare(strict_types=1);

namespace App\Papers;

use App\Make\Batch;
use App\Make\BatchPlan;
use App\Session\LinkKind;
use App\Session\PrivateLinks;
use App\Studio\CurrentStudio;
use App\Studio\User;
use App\Support\Refused;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/**
 * The passport of a batch's jars: what it is, how to keep and use it, seen by a link without an account, and nothing
 * else of the studio. What is found bad later stands on it from then on.
 */
final class PassportController
{
    #[Speaks('PrivateLink', status: 201, does: 'A private link to the passport of a batch\'s jars, shown this once')]
    public function store(int $batch, Request $request, PrivateLinks $links): JsonResponse
    {
        $row = Batch::query()->findOrFail($batch);
        if ($row->label === null) {
            throw Refused::now('state', 'A jar has its passport when the batch is done: finish weighing first.');
        }

        return new JsonResponse([
            'link' => $links->make(User::in($request), LinkKind::Jar, $row->id, "$row->title, $row->lot_code"),
        ], 201);
    }

    #[Speaks('JarPassport', does: 'What a private link to a jar shows')]
    public function show(string $token, PrivateLinks $links, BatchPlan $plan, CurrentStudio $studio): JsonResponse
    {
        $row = Batch::query()->findOrFail($links->open(LinkKind::Jar, $token));

        return new JsonResponse((new JarPassportResource($row, $plan, $studio->get()))->toArray());
    }
}
