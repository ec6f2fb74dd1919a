<?php

declare(strict_types=1);

namespace App\Make;

use Crown\Pantry\JarCost;
use Illuminate\Foundation\Http\FormRequest;

/** What is reckoned with beside what went in. */
final class CostRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            // One jar with its lid and label.
            'container' => 'nullable|numeric|min:0|max:10000',
            // Of work, for the whole batch.
            'minutes' => 'nullable|numeric|min:0|max:100000',
            // Money for an hour of it.
            'hourly' => 'nullable|numeric|min:0|max:10000',
            // Per cent by which a price may change.
            'rise' => 'nullable|numeric|max:1000|min:'.JarCost::LEAST_RISE,
            // Per cent of the price.
            'margin' => 'nullable|numeric|min:0|max:'.JarCost::MOST_MARGIN,
        ];
    }
}
