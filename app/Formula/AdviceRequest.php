<?php

declare(strict_types=1);

namespace App\Formula;

use Crown\Catalogue\IngredientKind;
use Crown\Catalogue\Need;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** For which need, and among which ingredients. */
final class AdviceRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'need' => ['nullable', Rule::enum(Need::class)],
            'kind' => ['nullable', Rule::enum(IngredientKind::class)],
        ];
    }

    /** Null for all needs of the head. */
    public function need(): ?Need
    {
        return $this->enum('need', Need::class);
    }

    /** Null for all kinds. */
    public function kind(): ?IngredientKind
    {
        return $this->enum('kind', IngredientKind::class);
    }
}
