<?php

declare(strict_types=1);

namespace App\Make;

use App\Studio\Day;
use Illuminate\Foundation\Http\FormRequest;

/** Who wants how many jars of what, by when: $defs/OrderDraft. */
final class OrderRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'formula_id' => 'required|integer',
            'who' => 'required|string|max:120',
            'jars' => 'required|integer|min:1|max:10000',
            'jar_ml' => 'required|numeric|min:1|max:20000',
            'due_on' => Day::RULE,
            'price' => 'nullable|numeric|min:0|max:1000000',
            'note' => 'nullable|string|max:300',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['who.required' => 'Who wants it.', 'jars.min' => 'At least one jar.'];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        return [
            'who' => trim($this->string('who')->value()),
            'jars' => $this->integer('jars'),
            'jar_ml' => $this->float('jar_ml'),
            'due_on' => $this->string('due_on')->value(),
            'price' => $this->filled('price') ? $this->float('price') : null,
            'note' => trim($this->string('note')->value()),
        ];
    }
}
