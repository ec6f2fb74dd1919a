<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Studio\Day;
use Crown\Pantry\MovementKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What happened to a lot, or what the scale shows of it: $defs/MovementDraft. */
final class MovementRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::in(array_map(
                static fn (MovementKind $k): string => $k->value,
                array_filter(MovementKind::cases(), static fn (MovementKind $k): bool => $k->isSaid()),
            ))],
            'grams' => 'required_without_all:full_grams,jars|nullable|numeric|min:0|max:1000000',
            // With the container.
            'full_grams' => 'nullable|numeric|gt:0|max:1000000',
            'jars' => 'nullable|integer|min:1|max:10000',
            'to' => 'nullable|string|max:120',
            'price' => 'nullable|numeric|min:0|max:1000000',
            'on' => 'bail|nullable|'.Day::WRITTEN,
            'note' => 'nullable|string|max:300',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind.in' => 'Weighed, opened, given away, sold, went bad or spilt.',
            'grams.required_without_all' => 'How much, in grams: or the bottle weighed full, or how many jars.',
        ];
    }

    public function kind(): MovementKind
    {
        return MovementKind::from($this->string('kind')->value());
    }
}
