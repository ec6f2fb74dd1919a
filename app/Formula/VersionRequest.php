<?php

declare(strict_types=1);

namespace App\Formula;

use Illuminate\Foundation\Http\FormRequest;

/** What is said of a version that is kept: $defs/VersionDraft. */
final class VersionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'note' => 'present|nullable|string|max:300',
        ];
    }
}
