<?php

declare(strict_types=1);

namespace App\Make;

use App\Support\ReadsNumbers;
use Illuminate\Foundation\Http\FormRequest;

/** What the scale showed for a line, or that it stands ready: $defs/WeighAsk. */
final class WeighRequest extends FormRequest
{
    use ReadsNumbers;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => 'required|integer|min:1',
            'line' => 'required|string|max:40',
            'gathered' => 'required|boolean',
            'grams' => 'present|nullable|numeric|min:0|max:1000000',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['grams.min' => 'A weight is 0 or more; 0 means it was left out.'];
    }
}
