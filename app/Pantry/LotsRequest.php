<?php

declare(strict_types=1);

namespace App\Pantry;

use Crown\Json\Node;
use Crown\Pantry\LotReader;
use Illuminate\Foundation\Http\FormRequest;

/** What was bought, to be put on the shelf: $defs/LotsDraft. */
final class LotsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'lots' => 'required|array|min:1|max:'.LotReader::MOST_LINES,
            'lots.*.ingredient' => 'required|string|max:80',
            'lots.*.grams' => 'nullable|numeric|gt:0|max:1000000',
            'lots.*.count' => 'nullable|integer|min:1|max:50',
            ...LotFields::rules('lots.*.'),
        ];
    }

    /** @return list<Node> */
    public function lots(): array
    {
        return Node::of($this->validated())->objects('lots');
    }
}
