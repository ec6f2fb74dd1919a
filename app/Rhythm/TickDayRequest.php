<?php

declare(strict_types=1);

namespace App\Rhythm;

use Crown\Rhythm\DayState;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What became of a day: $defs/RoutineTick. */
final class TickDayRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'state' => ['required', Rule::enum(DayState::class)],
        ];
    }

    public function state(): DayState
    {
        return DayState::from($this->string('state')->value());
    }
}
