<?php

declare(strict_types=1);

namespace Crown\Formula;

/**
 * What was not sure of a line when its text was read. It stands until the line is confirmed, or what it is about is
 * changed: whoever writes another amount has said how much is meant.
 */
final readonly class Doubt
{
    /**
     * @param  string  $written what the text calls it
     * @param  string|null  $ingredient id that it was taken for, where that is in doubt; null where it is not
     * @param  string|null  $amount as it was read, where that is in doubt; null where it is not
     */
    public function __construct(public string $written, public ?string $ingredient, public ?string $amount)
    {
    }

    public function isOpen(Line $line): bool
    {
        return $this->isAboutWhat($line) || ($this->amount !== null && $line->amount->text === $this->amount);
    }

    /** Whether it is open what the thing is. */
    public function isAboutWhat(Line $line): bool
    {
        return $this->ingredient !== null && $line->ingredient === $this->ingredient;
    }

    /** @return array{written: string, ingredient: string|null, amount: string|null} */
    public function toArray(): array
    {
        return ['written' => $this->written, 'ingredient' => $this->ingredient, 'amount' => $this->amount];
    }
}
