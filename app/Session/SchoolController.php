<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\CurrentStudio;
use App\Support\Speaks;
use Crown\Measure\School;
use Crown\Measure\SchoolOption;
use Illuminate\Http\JsonResponse;

/** Where makers disagree: what a studio can choose, with what it costs, and what it chose. */
final class SchoolController
{
    #[Speaks('Schools', does: 'Where makers disagree, and what each choice costs; the safer first')]
    public function index(): JsonResponse
    {
        return new JsonResponse(['items' => array_map(static fn (School $school): array => [
            'school' => $school->value,
            'question' => $school->question(),
            'options' => array_map(
                static fn (string $option, SchoolOption $of): array => [
                    'option' => $option,
                    'label' => $of->label,
                    'costs' => $of->costs,
                ],
                array_keys($school->options()),
                $school->options(),
            ),
        ], School::cases())]);
    }

    #[Speaks('Session', 'SchoolChoice', does: 'Choose one side where makers disagree')]
    public function update(SchoolRequest $request, CurrentStudio $current, SessionView $view): JsonResponse
    {
        $studio = $current->held();
        $studio->update(['schools' => [...$studio->schools ?? [], ...$request->choice()]]);

        return new JsonResponse($view->toArray());
    }
}
