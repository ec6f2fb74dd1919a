<?php

declare(strict_types=1);

namespace Crown\Catalogue;

/** A need, and from which grade of evidence on something counts as good for it. */
final readonly class Sought
{
    /** @param  int  $evidence least grade; 0 for any that helps */
    public function __construct(public Need $need, public int $evidence = 0)
    {
    }

    public function isMetBy(Ingredient $ingredient): bool
    {
        return (self::worth($ingredient, $this->need) ?? 0) >= max(1, $this->evidence);
    }

    /** How well it is known to help: 0 and more; null where nothing is known. */
    public static function worth(Ingredient $ingredient, Need $need): ?int
    {
        return ($ingredient->evidenceFor($need)[0] ?? null)?->worth();
    }
}
