<?php

declare(strict_types=1);

namespace App\Pantry;

use Crown\Catalogue\Correction;
use Crown\Measure\Property;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A figure of one's own over the catalogue's: $defs/OwnFigureDraft. */
final class FigureRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'form' => 'present|string|max:20',
            'property' => [
                'required',
                Rule::in(array_map(static fn (Property $p): string => $p->value, Correction::ALLOWED)),
            ],
            ...BandRules::of(),
            'source' => 'required|string|max:200',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'source.required' => 'Say where the figure comes from, for example "our scale, three bottles".',
        ];
    }

    /** @return array{form: string, property: string} which figure it is */
    public function which(): array
    {
        return [
            'form' => $this->string('form')->value(),
            'property' => $this->string('property')->value(),
        ];
    }

    /** @return array{low: float, best: float, high: float, source: string} */
    public function figure(): array
    {
        return [
            'low' => $this->float('low'),
            'best' => $this->float('best'),
            'high' => $this->float('high'),
            'source' => $this->string('source')->value(),
        ];
    }
}
