<?php

declare(strict_types=1);

namespace App\Make;

use App\Studio\Day;
use App\Support\ReadsNumbers;
use Crown\Learning\Observation;
use Crown\Learning\TextureFound;
use DateTimeImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What was found on a batch: $defs/BatchFindingDraft. */
final class BatchFindingRequest extends FormRequest
{
    use ReadsNumbers;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'on' => Day::RULE,
            'texture' => ['present', 'nullable', Rule::in(['', ...array_column(TextureFound::cases(), 'value')])],
            'overrun_percent' => 'nullable|numeric|min:0|max:'.Observation::MOST_OVERRUN,
            'whipped_minutes' => 'nullable|required_with:overrun_percent|numeric|gt:0|max:120',
            'state' => 'present|nullable|in:,good,off',
            'note' => 'present|nullable|string|max:500',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'whipped_minutes.required_with' => 'Say for how many minutes it was whipped.',
            'overrun_percent.max' => 'An overrun of 0 to 300 %.',
        ];
    }

    public function on(): DateTimeImmutable
    {
        return new DateTimeImmutable($this->string('on')->value());
    }

    /** @return array<string, mixed> its own columns */
    public function columns(): array
    {
        $overrun = $this->number('overrun_percent');

        return [
            'on_date' => $this->on()->format('Y-m-d'),
            'texture' => $this->string('texture')->value(),
            'overrun_percent' => $overrun,
            'whipped_minutes' => $overrun === null ? null : $this->number('whipped_minutes'),
            'state' => $this->string('state')->value(),
            'note' => $this->string('note')->value(),
        ];
    }
}
