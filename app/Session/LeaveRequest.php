<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\User;
use Illuminate\Foundation\Http\FormRequest;

/** The name of the studio, typed by whoever leaves it: $defs/LeaveAsk. */
final class LeaveRequest extends FormRequest
{
    use ConfirmsPassword;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['name' => 'required|string|max:120', 'password' => 'required|string|max:200'];
    }

    public function confirms(User $me): void
    {
        $this->hasPassword($me);
    }
}
