<?php

declare(strict_types=1);

namespace App\Make;

use Illuminate\Foundation\Http\FormRequest;

/** Whether a task at the counter is done: $defs/TickAsk. */
final class TickRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => 'required|integer|min:1',
            'task' => 'required|string|max:20',
            'done' => 'required|boolean',
            // Why it was passed over.
            'skipped' => 'sometimes|nullable|string|max:200',
        ];
    }
}
