<?php

declare(strict_types=1);

namespace Crown\Measure;

/** The numeric facts known of one substance. Ask has() before get(), or let "cannot tell" travel up. */
final readonly class FactSheet
{
    /** @param  array<string, Fact>  $facts keyed by Property value */
    public function __construct(private string $substance, private array $facts)
    {
    }

    public function has(Property $property): bool
    {
        return isset($this->facts[$property->value]);
    }

    /** @throws CannotTell when the fact is not known */
    public function get(Property $property): Fact
    {
        return $this->facts[$property->value] ?? throw CannotTell::fact($this->substance, $property);
    }

    /** The best value, or the fallback where nothing is known: only for rules that state what they assume. */
    public function best(Property $property, float $otherwise): float
    {
        return isset($this->facts[$property->value]) ? $this->facts[$property->value]->band->best : $otherwise;
    }

    /** This sheet with the other's facts laid over it: a form's own figures over those of the ingredient. */
    public function overlaidWith(self $other): self
    {
        return new self($this->substance, [...$this->facts, ...$other->facts]);
    }

    public function with(Property $property, Fact $fact): self
    {
        return new self($this->substance, [...$this->facts, $property->value => $fact]);
    }

    public function without(Property $property): self
    {
        return new self($this->substance, array_diff_key($this->facts, [$property->value => true]));
    }

    /** @return array<string, Fact> */
    public function all(): array
    {
        return $this->facts;
    }
}
