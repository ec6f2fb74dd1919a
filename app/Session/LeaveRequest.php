<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Foundation\Http\FormRequest;

/** The name of the studio, typed by whoever leaves it: $defs/LeaveAsk. */
final class LeaveRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['name' => 'required|string|max:120'];
    }
}
