<?php

declare(strict_types=1);

namespace App\Head;

use App\Studio\Day;
use Crown\Head\Scalp;
use Crown\Head\Zone;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** The state of one zone of the scalp on a day: $defs/MarkDraft. */
final class MarkRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'zone' => ['required', Rule::enum(Zone::class)],
            'state' => ['required', Rule::enum(Scalp::class)],
            'on' => Day::RULE.'|before_or_equal:'.Day::today()->toDateString(),
            'note' => 'present|nullable|string|max:300',
        ];
    }

    /** @return array{zone: string, state: string, on_date: string, note: string} */
    public function columns(): array
    {
        return [
            'zone' => $this->string('zone')->value(),
            'state' => $this->string('state')->value(),
            'on_date' => $this->string('on')->value(),
            'note' => $this->string('note')->value(),
        ];
    }
}
