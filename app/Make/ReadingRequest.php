<?php

declare(strict_types=1);

namespace App\Make;

use App\Support\SaysWhen;
use Crown\Make\Surroundings;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What the probe shows: $defs/ReadingAsk. */
final class ReadingRequest extends FormRequest
{
    use SaysWhen;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...$this->atRule(),
            'task' => 'required|string|max:20',
            'celsius' => 'required|numeric|between:-30,200',
            // How warm it is there, where that was measured.
            'around' => 'sometimes|nullable|numeric|between:-40,60',
            'where' => ['required', Rule::enum(Surroundings::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'celsius.*' => 'What the probe shows, from -30 to 200 °C.',
            'around.*' => 'How warm it is where it stands, from -40 to 60 °C.',
        ];
    }
}
