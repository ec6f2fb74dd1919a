<?php

declare(strict_types=1);

namespace Crown\Measure;

use JsonSerializable;

/**
 * How a figure came about, so that any screen, paper or export can show it.
 *
 * The method is the name of the page in docs/methods that explains the formula.
 */
final readonly class Working implements JsonSerializable
{
    /** @param  list<Input>  $inputs */
    public function __construct(public string $method, public string $words, public array $inputs)
    {
    }

    /** @return array{method: string, words: string, inputs: list<Input>} */
    public function jsonSerialize(): array
    {
        return ['method' => $this->method, 'words' => $this->words, 'inputs' => $this->inputs];
    }
}
