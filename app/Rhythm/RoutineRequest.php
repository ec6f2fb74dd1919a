<?php

declare(strict_types=1);

namespace App\Rhythm;

use App\Studio\Day;
use Illuminate\Foundation\Http\FormRequest;

/** How a finished batch is to be used on a head: $defs/RoutineDraft. */
final class RoutineRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'head_id' => 'required|integer',
            'batch_id' => 'required|integer',
            'per_week' => 'required|integer|min:1|max:7',
            'grams_per_use' => 'required|numeric|gt:0|max:500',
            'starts_on' => Day::RULE,
            'way' => 'present|nullable|string|max:200',
            'although' => 'sometimes|nullable|string|max:500',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'per_week.max' => 'At most 7 applications a week.',
            'grams_per_use.gt' => 'An application uses more than 0 g.',
        ];
    }

    /** @return array<string, mixed> its own columns, without whom it is for and what of */
    public function columns(): array
    {
        return [
            'per_week' => $this->integer('per_week'),
            'grams_per_use' => $this->float('grams_per_use'),
            'starts_on' => $this->string('starts_on')->value(),
            'way' => $this->string('way')->value(),
            'although' => trim($this->string('although')->value()),
        ];
    }
}
