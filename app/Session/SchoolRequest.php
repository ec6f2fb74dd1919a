<?php

declare(strict_types=1);

namespace App\Session;

use App\Support\Refused;
use Crown\Measure\School;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** One choice where makers disagree: $defs/SchoolChoice. */
final class SchoolRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['school' => ['required', Rule::enum(School::class)], 'option' => 'required|string|max:20'];
    }

    /**
     * @return array<string, string> the option by its school
     *
     * @throws Refused for an option that it has not
     */
    public function choice(): array
    {
        $school = School::from($this->string('school')->value());
        $option = $this->string('option')->value();

        return isset($school->options()[$option]) ? [$school->value => $option] : throw Refused::because(
            'option',
            'Allowed: '.implode(', ', array_keys($school->options())).'.',
        );
    }
}
