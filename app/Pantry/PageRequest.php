<?php

declare(strict_types=1);

namespace App\Pantry;

use Illuminate\Foundation\Http\FormRequest;

/** What a stand-in for an ingredient must be without. */
final class PageRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['without' => 'nullable|string'];
    }

    /** @return list<string> */
    public function without(): array
    {
        return Commas::split($this->string('without')->value());
    }
}
