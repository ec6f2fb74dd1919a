<?php

declare(strict_types=1);

namespace App\Make;

use App\Formula\ReadRequest;
use App\Formula\ReadText;
use App\Studio\User;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;

/** A pasted recipe made at once, as much as one use takes. */
final class RecipeDoseController
{
    #[Speaks('Batch', 'ReadAsk', 201, 'Begin to make one fresh dose of a recipe')]
    public function __invoke(
        ReadRequest $request,
        ReadText $read,
        MakeOneDose $make,
        BatchPlan $plan,
    ): JsonResponse {
        $batch = $make($read($request), User::nameIn($request));

        return new JsonResponse((new BatchResource($batch, $plan))->toArray(), 201);
    }
}
