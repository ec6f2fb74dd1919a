<?php

declare(strict_types=1);

namespace Crown\Catalogue\Internal;

use Closure;
use Crown\Catalogue\Catalogue;

/** A catalogue that is fetched once, when it is first asked for. */
final class Later
{
    private ?Catalogue $whole = null;

    /** @param  Closure(): Catalogue  $fetch */
    public function __construct(private readonly Closure $fetch)
    {
    }

    /** @param  Closure(Catalogue): Catalogue  $do with it, once it is fetched */
    public function then(Closure $do): self
    {
        return new self(fn (): Catalogue => $do($this->whole()));
    }

    public function whole(): Catalogue
    {
        return $this->whole ??= ($this->fetch)();
    }
}
