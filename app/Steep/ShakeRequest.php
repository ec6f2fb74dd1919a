<?php

declare(strict_types=1);

namespace App\Steep;

use App\Studio\Day;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;

/** The shake of a day, ticked or unticked: $defs/ShakeAsk. */
final class ShakeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'date' => Day::RULE,
            'done' => 'required|boolean',
        ];
    }

    public function day(): Carbon
    {
        return Carbon::parse($this->string('date')->value());
    }
}
