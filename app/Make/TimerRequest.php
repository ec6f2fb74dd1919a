<?php

declare(strict_types=1);

namespace App\Make;

use App\Support\SaysWhen;
use Illuminate\Foundation\Http\FormRequest;

/** A clock to be started: $defs/TimerAsk. */
final class TimerRequest extends FormRequest
{
    /** Of a week there is a calendar. */
    private const LONGEST = 7 * 1440;

    use SaysWhen;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...$this->atRule(),
            'task' => 'required|string|max:20',
            'minutes' => 'required|numeric|min:0.1|max:'.self::LONGEST,
            'label' => 'present|nullable|string|max:120',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['minutes.*' => 'Minutes, from 0.1 to a week.'];
    }
}
