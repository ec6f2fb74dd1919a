<?php

declare(strict_types=1);

namespace App\Formula;

use Crown\Reading\Settled;
use Illuminate\Foundation\Http\FormRequest;

/** The name whose meaning is to be forgotten: $defs/ForgetName. */
final class ForgetNameRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['written' => 'required|string|max:'.Settled::LONGEST];
    }
}
