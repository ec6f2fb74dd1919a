<?php

declare(strict_types=1);

namespace App\Make;

use App\Formula\BringsFormula;
use Illuminate\Foundation\Http\FormRequest;

/** A formula, and what its maker writes of its method: $defs/ProcedureAsk. */
final class ProcedureRequest extends FormRequest
{
    use BringsFormula;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['method' => 'nullable|string|max:20000'];
    }
}
