<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Foundation\Http\FormRequest;

/** The revision that a write was based on. */
final class BasedOn extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => 'required|integer|min:1',
        ];
    }

    public function revision(): int
    {
        return $this->integer('revision');
    }
}
