<?php

declare(strict_types=1);

namespace App\Steep;

use Crown\Steep\WaterChoice;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What came out when a jar was strained: $defs/StrainAsk. */
final class StrainRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => 'required|integer|min:1',
            'yield_grams' => 'required|numeric|gt:0|max:100000',
            'loss_grams' => 'required|numeric|min:0|max:100000',
            'choice' => ['sometimes', Rule::enum(WaterChoice::class)],
            'herb' => 'sometimes|in:kept,composted',
            'note' => 'sometimes|nullable|string|max:500',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['yield_grams.gt' => 'Weigh what came out: more than 0 g.'];
    }

    public function choice(): WaterChoice
    {
        return $this->enum('choice', WaterChoice::class) ?? WaterChoice::Kept;
    }

    /** What becomes of the herb: kept or composted. */
    public function herb(): string
    {
        return $this->string('herb')->value() ?: 'composted';
    }
}
