<?php

declare(strict_types=1);

namespace App\Formula;

use Illuminate\Foundation\Http\FormRequest;

/** A formula, and whom it is for: $defs/FormulaDraft. Its document is read by core, which names what is wrong in it. */
final class FormulaRequest extends FormRequest
{
    use BringsFormula;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [];
    }
}
