<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Support\ReadsNumbers;
use Illuminate\Foundation\Http\FormRequest;

/** How much of an ingredient is at hand: $defs/CupboardDraft. */
final class StockRequest extends FormRequest
{
    use ReadsNumbers;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'grams' => 'nullable|numeric|min:0|max:1000000',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'grams.min' => 'What is at hand is 0 g or more.',
        ];
    }
}
