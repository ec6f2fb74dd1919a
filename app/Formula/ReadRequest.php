<?php

declare(strict_types=1);

namespace App\Formula;

use Crown\Formula\Audience;
use Crown\Formula\Line;
use Crown\Json\Node;
use Crown\Reading\Correction;
use Crown\Reading\ReadAs;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** The text of a recipe, with what the maker settled of it: $defs/ReadAsk. */
final class ReadRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'corrections' => 'sometimes|array|max:'.Correction::MOST,
            'corrections.*.row' => 'required|string|max:2000',
            'corrections.*.name' => 'present|nullable|string|max:'.Line::LONGEST_NAME,
            'corrections.*.amount' => 'present|nullable|string|max:'.Line::LONGEST_AMOUNT,
            'corrections.*.ingredient' => 'sometimes|nullable|string|max:80',
            'corrections.*.form' => 'sometimes|nullable|string|max:20',
            'corrections.*.says' => 'sometimes|nullable|string|max:'.Line::LONGEST_AMOUNT,
            'corrections.*.out' => 'sometimes|boolean',
            'ounces' => ['sometimes', 'nullable', Rule::in(['weight', 'volume'])],
            'audience' => ['sometimes', 'nullable', Rule::enum(Audience::class)],
            'although' => 'sometimes|nullable|string|max:500',
            'times' => 'sometimes|nullable|numeric|between:0.1,100',
        ];
    }

    /** "" when there is none, which reads as nothing. */
    public function text(): string
    {
        $text = $this->json('text');

        return is_string($text) ? $text : '';
    }

    public function as(): ReadAs
    {
        return new ReadAs(
            array_map(Correction::from(...), Node::of($this->safe()->all())->objects('corrections')),
            $this->string('ounces')->value() === 'volume',
        );
    }

    /** Whom it is for, where the maker says so. */
    public function audience(): ?Audience
    {
        return Audience::tryFrom($this->string('audience')->value());
    }

    /** How many times of what is written is to be made; 1 where nothing is said. */
    public function times(): float
    {
        return $this->filled('times') ? $this->float('times') : 1.0;
    }
}
