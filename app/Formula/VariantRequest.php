<?php

declare(strict_types=1);

namespace App\Formula;

use Illuminate\Foundation\Http\FormRequest;

/** What a variant is called: $defs/VariantDraft. */
final class VariantRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'title' => 'required|string|max:200',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'A variant needs a name: its scent, or its herb.',
        ];
    }
}
