<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Foundation\Http\FormRequest;

/** Which page of a list, and of which rows. */
final class ListRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            // Words that are all in a row's names.
            'q' => 'nullable|string',
            // What the page before gave as its next; none for the first.
            'cursor' => 'nullable|string',
            // One or several states, with commas between.
            'state' => 'nullable|string',
        ];
    }
}
