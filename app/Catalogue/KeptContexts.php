<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Studio\Studio;

/**
 * What formulas are judged with, kept from one question to the next by the workers that stay. The database counts every change
 * to the rows that it is made of; what was made before the latest change is not used again.
 *
 * Where an answer may itself change something, nothing is kept: the count was read before.
 */
final class KeptContexts
{
    /** @var array<int, array{int, array<class-string, object>}> by studio, the one asked for last at the end */
    private array $kept = [];

    /** @param  int<0, max>  $most how many studios' */
    public function __construct(private readonly int $most = 0)
    {
    }

    /**
     * @template T of object
     *
     * @param  class-string<T>  $what
     * @param  callable(): T  $make
     * @return T
     */
    public function of(Studio $studio, string $what, callable $make): object
    {
        if ($studio->shaped === null || $this->most === 0) {
            return $make();
        }
        [$shaped, $made] = $this->kept[$studio->id] ?? [-1, []];
        $made = $shaped === $studio->shaped ? $made : [];
        $kept = $made[$what] ?? null;
        $kept = $kept instanceof $what ? $kept : $make();
        unset($this->kept[$studio->id]);
        $this->kept[$studio->id] = [$studio->shaped, [...$made, $what => $kept]];
        if (count($this->kept) > $this->most) {
            unset($this->kept[array_key_first($this->kept)]);
        }

        return $kept;
    }
}
