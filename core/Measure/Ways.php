<?php

declare(strict_types=1);

namespace Crown\Measure;

/** The sides that a maker took where makers disagree; each that she has not taken is the safer. */
final readonly class Ways
{
    /** @param  array<string, string>  $options by school */
    private function __construct(private array $options)
    {
    }

    /** @param  array<array-key, mixed>  $chosen options by school, as a studio keeps them */
    public static function of(array $chosen): self
    {
        return new self(School::all($chosen));
    }

    public static function safer(): self
    {
        return self::of([]);
    }

    public function is(School $school, string $option): bool
    {
        return $this->options[$school->value] === $option;
    }

    public function chosen(School $school): string
    {
        return $this->options[$school->value];
    }
}
