<?php

declare(strict_types=1);

namespace App\Make;

use Illuminate\Foundation\Http\FormRequest;

/** What became of an order: $defs/OrderState. */
final class OrderStateRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['state' => 'required|in:open,given,off'];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['state.in' => 'Open, given, or off.'];
    }
}
