<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

/** A row of text, and where it comes from. */
final readonly class Row
{
    /**
     * @param  int  $of of the source: characters before it in what was pasted, -1 in a page; of a list: the number of
     *     its row of the source
     * @param  bool  $piece whether it is one sentence of a row that has several
     */
    public function __construct(public string $text, public int $of, public bool $piece = false)
    {
    }
}
