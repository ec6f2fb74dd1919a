<?php

declare(strict_types=1);

namespace App\Head;

use Crown\Catalogue\Condition;
use Crown\Catalogue\Need;
use Crown\Head\AgeBand;
use Crown\Head\Curl;
use Crown\Head\Density;
use Crown\Head\Hardness;
use Crown\Head\Porosity;
use Crown\Head\Scalp;
use Crown\Head\Season;
use Crown\Head\Sign;
use Crown\Head\Strand;
use Crown\Head\Style;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What is known of a head: $defs/HeadDraft. What is left out stays as it is. */
final class HeadRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => 'required|string|max:120',
            'strand' => ['sometimes', Rule::enum(Strand::class)],
            'porosity' => ['sometimes', Rule::enum(Porosity::class)],
            'density' => ['sometimes', Rule::enum(Density::class)],
            'curl' => ['sometimes', Rule::enum(Curl::class)],
            'scalp' => ['sometimes', Rule::enum(Scalp::class)],
            'age_band' => ['sometimes', Rule::enum(AgeBand::class)],
            'pregnant' => 'sometimes|boolean',
            'allergies' => 'sometimes|array|max:40',
            'allergies.*' => 'required|string|max:80',
            'dislikes' => 'sometimes|array|max:40',
            'dislikes.*.what' => 'required|string|max:80',
            'dislikes.*.season' => ['required', Rule::enum(Season::class)],
            'wants' => 'sometimes|array|max:17',
            'wants.*' => ['required', Rule::enum(Need::class)],
            'conditions' => 'sometimes|array|max:20',
            'conditions.*' => ['required', Rule::enum(Condition::class)],
            'signs' => 'sometimes|array|max:10',
            'signs.*' => ['required', Rule::enum(Sign::class)],
            'style' => ['sometimes', Rule::enum(Style::class)],
            'hardness' => ['sometimes', Rule::enum(Hardness::class)],
            'wash_every_days' => 'sometimes|integer|between:0,60',
            'note' => 'sometimes|nullable|string|max:2000',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'A head needs a name, so that you know whose it is.',
            'wash_every_days.between' => 'Days between washes: 0 (not known) to 60.',
        ];
    }

    /** @return array<string, mixed> its columns, as far as they were given */
    public function columns(): array
    {
        /** @var array<string, mixed> $given */
        $given = $this->validated();
        if (array_key_exists('note', $given)) {
            $given['note'] ??= '';
        }

        return $given;
    }
}
