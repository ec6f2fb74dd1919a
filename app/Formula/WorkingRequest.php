<?php

declare(strict_types=1);

namespace App\Formula;

use Illuminate\Foundation\Http\FormRequest;

/** A formula, and the line whose working is asked for: $defs/WorkingAsk. */
final class WorkingRequest extends FormRequest
{
    use BringsFormula;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'line' => 'required|string|max:40',
        ];
    }

    public function line(): string
    {
        return $this->string('line')->value();
    }
}
