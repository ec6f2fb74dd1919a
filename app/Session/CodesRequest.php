<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Foundation\Http\FormRequest;

/** The present password, without which no codes are made: $defs/CodesAsk. */
final class CodesRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['current' => 'required|string|max:200'];
    }
}
