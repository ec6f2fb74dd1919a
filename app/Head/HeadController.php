<?php

declare(strict_types=1);

namespace App\Head;

use App\Support\Pages;
use App\Support\Speaks;
use Crown\Formula\Audience;
use Crown\Head\AgeBand;
use Crown\Head\Porosity;
use Crown\Head\Scalp;
use Crown\Head\Strand;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

final class HeadController
{
    #[Speaks('HeadList', does: 'The heads this studio cares for')]
    public function index(Request $request): JsonResponse
    {
        return Pages::answer(Head::query(), $request, self::view(...));
    }

    #[Speaks('Head', 'HeadDraft', 201, 'Describe a new head')]
    public function store(Request $request): JsonResponse
    {
        return new JsonResponse(self::view(Head::query()->create($this->given($request))->refresh()), 201);
    }

    #[Speaks('Head', does: 'One head')]
    public function show(int $head): JsonResponse
    {
        return new JsonResponse(self::view(Head::query()->findOrFail($head)));
    }

    #[Speaks('Head', 'HeadSave', does: 'Change what is known of a head')]
    public function update(int $head, Request $request): JsonResponse
    {
        $row = Head::query()->findOrFail($head);
        $revision = $request->validate(['revision' => 'required|integer|min:1'])['revision'];
        $row->revise((int) $revision, $this->given($request), self::view(...));

        return new JsonResponse(self::view($row));
    }

    #[Speaks('', status: 204, does: 'Delete a head and everything kept of it')]
    public function destroy(int $head): JsonResponse
    {
        Head::query()->findOrFail($head)->delete();

        return new JsonResponse(null, 204);
    }

    /** @return array<string, mixed> */
    private function given(Request $request): array
    {
        return $request->validate([
            'name' => 'required|string|max:120',
            'strand' => ['required', Rule::enum(Strand::class)],
            'porosity' => ['required', Rule::enum(Porosity::class)],
            'scalp' => ['required', Rule::enum(Scalp::class)],
            'age_band' => ['required', Rule::enum(AgeBand::class)],
            'pregnant' => 'required|boolean',
            'allergies' => 'present|array|max:40',
            'allergies.*' => 'string|max:80',
            'dislikes' => 'present|array|max:40',
            'dislikes.*' => 'string|max:80',
        ], ['name.required' => 'A head needs a name, so that you know whose it is.']);
    }

    /** @return array<string, mixed> */
    private static function view(Head $head): array
    {
        $profile = $head->profile();

        return [
            'id' => $head->id,
            'revision' => $head->revision,
            'name' => $head->name,
            'strand' => $head->strand,
            'porosity' => $head->porosity,
            'scalp' => $head->scalp,
            'age_band' => $head->age_band,
            'pregnant' => $head->pregnant,
            'allergies' => $head->allergies,
            'dislikes' => $head->dislikes,
            'weight_lengths' => $profile->weightTarget(false),
            'weight_scalp' => $profile->weightTarget(true),
            'audience' => $profile->audience(Audience::AdultLeaveOn)->value,
        ];
    }
}
