<?php

declare(strict_types=1);

namespace App\Make;

use Crown\Make\TaskKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Whether a task at the counter is done: $defs/TickAsk. */
final class TickRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => 'required|integer|min:1',
            'task' => ['required', Rule::enum(TaskKind::class)],
            'done' => 'required|boolean',
        ];
    }

    public function task(): TaskKind
    {
        return TaskKind::from($this->string('task')->value());
    }
}
