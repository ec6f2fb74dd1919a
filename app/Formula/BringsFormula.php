<?php

declare(strict_types=1);

namespace App\Formula;

use Illuminate\Http\Request;

/**
 * A form request that brings a formula along.
 *
 * @mixin Request
 */
trait BringsFormula
{
    private ?Given $given = null;

    public function given(): Given
    {
        return $this->given ??= Given::in($this);
    }
}
