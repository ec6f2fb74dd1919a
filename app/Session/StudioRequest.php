<?php

declare(strict_types=1);

namespace App\Session;

use Crown\Measure\DateStyle;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What the studio measures with: $defs/StudioDraft. */
final class StudioRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => 'required|string|max:120',
            'maker' => 'present|string|max:200',
            'cup' => 'required|in:us,metric,imperial',
            'scale_grams' => 'required|numeric|min:0.001|max:100',
            'southern' => 'required|boolean',
            'bowl_ml' => 'required|numeric|min:0|max:100000',
            'time_zone' => 'required|string|timezone:all_with_bc',
            'country' => 'sometimes|present|string|max:2',
            'currency' => 'sometimes|present|string|max:3',
            'decimal_comma' => 'sometimes|required|boolean',
            'date_style' => ['sometimes', 'required', Rule::enum(DateStyle::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'time_zone.timezone' => 'Choose a time zone from the list, for example Europe/London.',
            'scale_grams.min' => 'A scale shows steps of 0.001 to 100 g.',
            'scale_grams.max' => 'A scale shows steps of 0.001 to 100 g.',
            'bowl_ml.min' => 'A bowl holds 0 (not known) to 100,000 ml.',
            'bowl_ml.max' => 'A bowl holds 0 (not known) to 100,000 ml.',
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        /** @var array<string, mixed> */
        return $this->validated();
    }
}
