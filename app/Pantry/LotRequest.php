<?php

declare(strict_types=1);

namespace App\Pantry;

use Crown\Json\Node;
use Illuminate\Foundation\Http\FormRequest;

/** What is said of one bottle: $defs/LotChange. What is left out stays as it is. */
final class LotRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return LotFields::rules();
    }

    /** An empty field is one of which nothing is known. */
    protected function prepareForValidation(): void
    {
        $this->merge(array_map(static fn (mixed $v): mixed => $v === '' ? null : $v, $this->all()));
    }

    public function said(): Node
    {
        return Node::of($this->validated());
    }
}
