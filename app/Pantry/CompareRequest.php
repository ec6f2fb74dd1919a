<?php

declare(strict_types=1);

namespace App\Pantry;

use Illuminate\Foundation\Http\FormRequest;

/** Which ingredients are laid side by side, with commas between. */
final class CompareRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['ids' => 'nullable|string'];
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_values(array_unique(Commas::split($this->string('ids')->value())));
    }
}
