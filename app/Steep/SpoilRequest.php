<?php

declare(strict_types=1);

namespace App\Steep;

use Illuminate\Foundation\Http\FormRequest;

/** Why a jar is given up: $defs/SpoilAsk. */
final class SpoilRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => 'required|integer|min:1',
            'reason' => 'required|string|max:200',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'reason.required' => 'Say what was found: mould, a sour smell, fizzing.',
        ];
    }

    /** Without the stop at its end: it is said within a sentence. */
    public function reason(): string
    {
        return rtrim($this->string('reason')->value(), '. ');
    }
}
