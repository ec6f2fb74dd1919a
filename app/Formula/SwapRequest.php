<?php

declare(strict_types=1);

namespace App\Formula;

use Illuminate\Foundation\Http\FormRequest;

/** A formula, and the line whose place is to be taken: $defs/SwapAsk. */
final class SwapRequest extends FormRequest
{
    use BringsFormula;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'line' => 'required|string|max:40',
        ];
    }
}
