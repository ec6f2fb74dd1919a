<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Foundation\Http\FormRequest;

/** Which part of the log is asked for: what came before a row. */
final class LogRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['before' => 'sometimes|integer|min:1|max:9000000000000000'];
    }

    public function before(): ?int
    {
        return $this->has('before') ? $this->integer('before') : null;
    }
}
