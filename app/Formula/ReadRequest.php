<?php

declare(strict_types=1);

namespace App\Formula;

use Illuminate\Foundation\Http\FormRequest;

/** The text of a recipe: $defs/ReadAsk. */
final class ReadRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [];
    }

    /** "" when there is none, which reads as nothing. */
    public function text(): string
    {
        $text = $this->json('text');

        return is_string($text) ? $text : '';
    }
}
