<?php

declare(strict_types=1);

namespace App\Make;

use Illuminate\Foundation\Http\FormRequest;

/** What was filled when a batch was done: $defs/FinishAsk. */
final class FinishRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'revision' => 'required|integer|min:1',
            'jars' => 'required|integer|min:1|max:10000',
            'jar_ml' => 'required|numeric|min:1|max:20000',
            'net_grams' => 'required|numeric|gt:0|max:100000',
            'note' => 'present|nullable|string|max:2000',
            'although' => 'nullable|string|max:500',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'jars.min' => 'At least one jar was filled.',
            'net_grams.gt' => 'The net contents of a jar are more than 0 g.',
        ];
    }

    /** @return array{jars: int, jar_ml: float, net_grams: float, note: string} */
    public function columns(): array
    {
        return [
            'jars' => $this->integer('jars'),
            'jar_ml' => $this->float('jar_ml'),
            'net_grams' => $this->float('net_grams'),
            'note' => $this->string('note')->value(),
        ];
    }
}
