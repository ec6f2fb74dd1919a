<?php

declare(strict_types=1);

namespace App\Formula;

use Crown\Formula\Change;
use Illuminate\Foundation\Http\FormRequest;

/** A formula and a change of it: $defs/CureAsk. */
final class CureRequest extends FormRequest
{
    use BringsFormula;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'change' => 'required|array',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'change' => 'A change is needed.',
        ];
    }

    public function change(): Change
    {
        return Change::fromArray((array) $this->json('change'));
    }
}
