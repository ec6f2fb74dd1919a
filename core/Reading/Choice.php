<?php

declare(strict_types=1);

namespace Crown\Reading;

use Crown\Catalogue\Ingredient;
use JsonSerializable;

/** What may go in instead: "shea or 80 g mango butter". */
final readonly class Choice implements JsonSerializable
{
    /**
     * @param  string  $written as it is called in the text
     * @param  string  $amount its own; "" for the one of the line
     */
    public function __construct(public Ingredient $ingredient, public string $written, public string $amount = '')
    {
    }

    /** @return array{id: string, name: string, written: string, amount: string|null} */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->ingredient->id,
            'name' => $this->ingredient->name,
            'written' => $this->written,
            'amount' => $this->amount === '' ? null : $this->amount,
        ];
    }
}
