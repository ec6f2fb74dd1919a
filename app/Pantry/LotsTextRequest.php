<?php

declare(strict_types=1);

namespace App\Pantry;

use Illuminate\Foundation\Http\FormRequest;

/** What was bought, as it was typed: $defs/LotsText. */
final class LotsTextRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['text' => 'required|string|max:20000'];
    }
}
