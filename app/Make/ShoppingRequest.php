<?php

declare(strict_types=1);

namespace App\Make;

use Crown\Json\Node;
use Illuminate\Foundation\Http\FormRequest;

/** What is to be made, and how much of it: $defs/ShoppingAsk. */
final class ShoppingRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'wanted' => 'present|array|max:30',
            // With what is being made and what was ordered.
            'open' => 'boolean',
            'wanted.*.formula_id' => 'required|integer',
            'wanted.*.grams' => 'nullable|numeric|gt:0|max:1000000',
        ];
    }

    /** @return array<int, float|null> grams by formula; null for its own size */
    public function wanted(): array
    {
        $wanted = [];
        foreach (Node::of($this->validated())->objects('wanted') as $row) {
            $wanted[(int) $row->whole('formula_id')] = $row->number('grams');
        }

        return $wanted;
    }
}
