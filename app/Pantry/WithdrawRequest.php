<?php

declare(strict_types=1);

namespace App\Pantry;

use Illuminate\Foundation\Http\FormRequest;

/** Why something must not be used any more; nothing takes that back: $defs/WithdrawAsk. */
final class WithdrawRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'reason' => 'present|nullable|string|max:200',
        ];
    }

    /** Without the stop at its end; "" takes a withdrawal back. */
    public function reason(): string
    {
        return rtrim(trim($this->string('reason')->value()), '. ');
    }
}
