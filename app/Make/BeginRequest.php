<?php

declare(strict_types=1);

namespace App\Make;

use App\Formula\Formula;
use Illuminate\Foundation\Http\FormRequest;

/** Which formula is made: $defs/BatchDraft. */
final class BeginRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['formula_id' => 'required|integer', 'although' => 'nullable|string|max:500'];
    }

    public function formula(): Formula
    {
        return Formula::query()->findOrFail($this->integer('formula_id'));
    }
}
