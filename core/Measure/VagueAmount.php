<?php

declare(strict_types=1);

namespace Crown\Measure;

/** An amount in a measure that nobody can tell: "a handful", "1 stick". */
final readonly class VagueAmount
{
    /**
     * @param  string  $written the amount as it is written
     * @param  string  $rest what follows it
     */
    public function __construct(public string $written, public string $rest)
    {
    }
}
