<?php

declare(strict_types=1);

namespace Crown;

use Crown\Words\Message;
use DomainException;

/**
 * Something that cannot be, or cannot be known: which field it is about, what is wrong by a name that programs can tell
 * apart, and a sentence for the person who has to mend it.
 *
 * Each room has one, with a named constructor for each cause. In the sentence "{path}" stands for the field, so that it
 * stays right when who asked knows the field by a longer path.
 */
abstract class Problem extends DomainException
{
    private const NOT_ALLOWED = '{path} is not allowed as it is. Allowed: %s.';

    private readonly string $sentence;

    /** @var array<string, scalar> what the sentence was made with */
    public readonly array $parameters;

    /**
     * @param  string  $path the field, as the form or the document names it: "size.grams", "herbs.0.amount"
     * @param  string  $cause what is wrong: "not-allowed", "too-many-lines"
     * @param  Message|string  $sentence with "{path}" where the field is named
     * @param  array<string, scalar>  $parameters what it was made with, beside what stands in the message
     */
    final protected function __construct(
        public readonly string $path,
        public readonly string $cause,
        Message|string $sentence,
        array $parameters = [],
    ) {
        $this->sentence = $sentence instanceof Message ? $sentence->words() : $sentence;
        $this->parameters = [...$sentence instanceof Message ? $sentence->with : [], ...$parameters];
        parent::__construct(str_replace('{path}', $path, $this->sentence));
    }

    /** A value that is not among those allowed. @param  string  $allowed in words */
    public static function field(string $path, Message|string $allowed): static
    {
        $allowed = $allowed instanceof Message ? $allowed->words() : $allowed;

        return new static($path, 'not-allowed', sprintf(self::NOT_ALLOWED, $allowed), ['allowed' => $allowed]);
    }

    /**
     * Does something for one part of a form: a problem in it names its field by the whole path.
     *
     * @template T
     *
     * @param  string  $place of the part: "herbs.0"
     * @param  callable(): T  $do
     * @return T
     *
     * @throws self
     */
    public static function within(string $place, callable $do): mixed
    {
        try {
            return $do();
        } catch (Problem $problem) {
            throw $problem->under($place);
        }
    }

    /** The same, of a field that stands at a place in something larger: "grams" under "herbs.0" is "herbs.0.grams". */
    public function under(string $place): static
    {
        return $this->of($place.'.'.$this->path);
    }

    /** The same, of the field as who asked calls it. */
    public function of(string $path): static
    {
        return new static($path, $this->cause, $this->sentence, $this->parameters);
    }
}
