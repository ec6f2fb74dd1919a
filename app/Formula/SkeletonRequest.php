<?php

declare(strict_types=1);

namespace App\Formula;

use App\Support\Words;
use Crown\Formula\ProductKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** The kind of a product, and the hair it is for: $defs/SkeletonAsk. */
final class SkeletonRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(ProductKind::class)],
            'hair' => 'nullable|array',
            'ingredients' => 'present|array|max:12',
            'ingredients.*' => 'string|max:80',
        ];
    }

    public function kind(): ProductKind
    {
        return ProductKind::from($this->string('kind')->value());
    }

    /** @return array<array-key, mixed>|null */
    public function hair(): ?array
    {
        return is_array($this->input('hair')) ? $this->input('hair') : null;
    }

    /** @return list<string> ids of the ingredients that are wanted in it */
    public function ingredients(): array
    {
        return Words::of($this, 'ingredients');
    }
}
