<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Validation\Validator;

/**
 * Blank text is a value like any other, and is held to its rules.
 *
 * The framework skips every rule but `required` for it, because it turns blank text into null beforehand. Here what is
 * typed is kept to the letter, so that a blank would pass for a number, a list or a choice.
 */
final class StrictValidator extends Validator
{
    /**
     * @param  object|string  $rule
     * @param  string  $attribute
     * @param  mixed  $value
     */
    protected function presentOrRuleIsImplicit($rule, $attribute, $value): bool
    {
        return $this->validatePresent($attribute, $value) || $this->isImplicit($rule);
    }
}
