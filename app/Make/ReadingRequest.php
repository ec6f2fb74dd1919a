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
            'where' => ['required', Rule::enum(Surroundings::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['celsius.*' => 'What the probe shows, from -30 to 200 °C.'];
    }
}
