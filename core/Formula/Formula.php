<?php

declare(strict_types=1);

namespace Crown\Formula;

use Crown\Words\Message;

/** A composition as the maker has written it, with what it is meant for. Everything else is computed from it. */
final readonly class Formula
{
    public const MOST_LINES = 300;

    public const LONGEST_NOTES = 20_000;

    public const MOST_STEPS = 300;

    /** Findings that may be accepted: more than any formula has. */
    public const MOST_ACCEPTED = 300;

    /**
     * @param  list<Line>  $lines
     * @param  list<Step>  $steps
     * @param  float  $storageCelsius where it will stand
     * @param  list<Acceptance>  $accepted findings that the maker has decided to live with
     * @param  bool  $clearGlass whether light reaches it where it stands
     *
     * @throws FormulaError
     */
    public function __construct(
        public string $title,
        public ProductKind $kind,
        public Audience $audience,
        public array $lines,
        public array $steps,
        public Size $size,
        public bool $wetUse = false,
        public bool $forSale = false,
        public float $storageCelsius = 20.0,
        public string $notes = '',
        public array $accepted = [],
        public bool $clearGlass = false,
    ) {
        if (count($accepted) > self::MOST_LINES) {
            throw FormulaError::field('accepted', new Message('formula.formula.most-accepted-findings', [
                'most' => self::MOST_LINES,
            ]));
        }
        if (count($lines) > self::MOST_LINES) {
            throw FormulaError::tooManyLines(count($lines));
        }
        if ($storageCelsius < -30.0 || $storageCelsius > 50.0) {
            throw FormulaError::field('storage_c', 'a temperature from -30 to 50 °C');
        }
    }

    /** @param  list<Line>  $lines */
    public function withLines(array $lines): self
    {
        return $this->with(lines: $lines);
    }

    /** @param  list<Step>  $steps */
    public function withSteps(array $steps): self
    {
        return $this->with(steps: $steps);
    }

    public function withSize(Size $size): self
    {
        return $this->with(size: $size);
    }

    public function withAudience(Audience $audience): self
    {
        return $this->with(audience: $audience);
    }

    public function withUse(bool $wet, bool $forSale, float $storageCelsius): self
    {
        return $this->with(wetUse: $wet, forSale: $forSale, storageCelsius: $storageCelsius);
    }

    public function inClearGlass(bool $clear = true): self
    {
        return $this->with(clearGlass: $clear);
    }

    public function withNotes(string $notes): self
    {
        return $this->with(notes: $notes);
    }

    public function accepting(Acceptance ...$accepted): self
    {
        return $this->withAccepted([...$this->accepted, ...array_values($accepted)]);
    }

    /** @param  list<Acceptance>  $accepted in the place of those there were */
    public function withAccepted(array $accepted): self
    {
        return $this->with(accepted: $accepted);
    }

    /** @throws FormulaError when there is no such line */
    public function line(string $id): Line
    {
        foreach ($this->lines as $line) {
            if ($line->id === $id) {
                return $line;
            }
        }

        throw FormulaError::noSuchLine($id);
    }

    /** The same formula with one line put in the place of the line that has its id. */
    public function replacing(Line $new): self
    {
        $this->line($new->id);

        return $this->withLines(array_map(static fn (Line $l): Line => $l->id === $new->id ? $new : $l, $this->lines));
    }

    /**
     * @param  list<Line>|null  $lines
     * @param  list<Acceptance>|null  $accepted
     * @param  list<Step>|null  $steps
     */
    private function with(
        ?array $lines = null,
        ?Size $size = null,
        ?Audience $audience = null,
        ?bool $wetUse = null,
        ?bool $forSale = null,
        ?float $storageCelsius = null,
        ?string $notes = null,
        ?array $accepted = null,
        ?bool $clearGlass = null,
        ?array $steps = null,
    ): self {
        return new self(
            $this->title,
            $this->kind,
            $audience ?? $this->audience,
            $lines ?? $this->lines,
            $steps ?? $this->steps,
            $size ?? $this->size,
            $wetUse ?? $this->wetUse,
            $forSale ?? $this->forSale,
            $storageCelsius ?? $this->storageCelsius,
            $notes ?? $this->notes,
            $accepted ?? $this->accepted,
            $clearGlass ?? $this->clearGlass,
        );
    }
}
