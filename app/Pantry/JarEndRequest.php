<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Studio\Day;
use Illuminate\Foundation\Http\FormRequest;

/** When an opened jar was empty: $defs/JarEnd. */
final class JarEndRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['ended_on' => 'bail|present|nullable|'.Day::WRITTEN];
    }

    /** Null where it is not empty after all. */
    public function on(): ?string
    {
        return $this->filled('ended_on') ? $this->string('ended_on')->value() : null;
    }
}
