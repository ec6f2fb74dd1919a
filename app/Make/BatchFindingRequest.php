<?php

declare(strict_types=1);

namespace App\Make;

use App\Studio\Day;
use App\Support\ReadsNumbers;
use Crown\Learning\Observation;
use Crown\Learning\TextureFound;
use Crown\Make\Sign;
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
            'signs' => 'sometimes|array|max:10',
            'signs.*' => ['distinct', Rule::enum(Sign::class)],
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

    /** What smells bad or moulds has gone off, whatever else is said. */
    public function isBad(): bool
    {
        $signs = $this->enums('signs', Sign::class);

        return array_filter($signs, static fn (Sign $s): bool => $s->isBad()) !== [];
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
            'state' => $this->isBad() ? 'off' : $this->string('state')->value(),
            'signs' => array_values((array) $this->input('signs', [])),
            'note' => $this->string('note')->value(),
        ];
    }
}
