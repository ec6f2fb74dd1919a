<?php

declare(strict_types=1);

namespace App\Formula;

use Illuminate\Foundation\Http\FormRequest;

/** A formula, and how much of it moves from one line to another: $defs/ReshareAsk. */
final class ReshareRequest extends FormRequest
{
    use BringsFormula;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'from' => 'required|string|max:40',
            'to' => 'required|string|max:40',
            'points' => 'required|numeric|between:-100,100',
        ];
    }
}
