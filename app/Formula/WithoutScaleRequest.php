<?php

declare(strict_types=1);

namespace App\Formula;

use App\Support\ReadsNumbers;
use Illuminate\Foundation\Http\FormRequest;

/** A formula, and how high the bottle is: $defs/WithoutScaleAsk. */
final class WithoutScaleRequest extends FormRequest
{
    use BringsFormula;
    use ReadsNumbers;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'bottle_mm' => 'nullable|numeric',
        ];
    }

    /** Null when no bottle is to be marked. */
    public function bottleMillimetres(): ?float
    {
        return $this->number('bottle_mm');
    }
}
