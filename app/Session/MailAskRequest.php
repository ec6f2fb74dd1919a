<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Foundation\Http\FormRequest;

/** Who wants a link to a new password by mail: $defs/MailAsk. */
final class MailAskRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['email' => 'required|string|max:190'];
    }
}
