<?php

declare(strict_types=1);

namespace App\Head;

use Illuminate\Foundation\Http\FormRequest;

/** The answers to the questions that find a hair type: $defs/GuideAsk. */
final class GuideRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'answers' => 'present|array|max:40',
            'answers.*' => 'string|max:40',
        ];
    }

    /** @return array<string, string> the chosen answer, keyed by question */
    public function answers(): array
    {
        $answers = [];
        foreach ((array) $this->input('answers') as $question => $answer) {
            $answers[(string) $question] = is_string($answer) ? $answer : '';
        }

        return $answers;
    }
}
