<?php

declare(strict_types=1);

namespace App\Make;

use Illuminate\Foundation\Http\FormRequest;

/** What went in of a line, before it is written down. */
final class PourRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'line' => 'required|string|max:40',
            'grams' => 'required|numeric|gt:0|max:1000000',
        ];
    }
}
