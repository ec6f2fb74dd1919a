<?php

declare(strict_types=1);

namespace App\Formula;

use App\Support\Words;
use Crown\Formula\ProductKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What is to be made for a head, and of what: $defs/FirstFormulaAsk. */
final class FirstFormulaRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(ProductKind::class)],
            'ingredients' => 'present|array|max:20',
            'ingredients.*' => 'string|max:80',
        ];
    }

    public function kind(): ProductKind
    {
        return ProductKind::from($this->string('kind')->value());
    }

    /** @return list<string> ids of the ingredients that were chosen */
    public function ingredients(): array
    {
        return Words::of($this, 'ingredients');
    }
}
