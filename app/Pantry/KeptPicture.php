<?php

declare(strict_types=1);

namespace App\Pantry;

/** A picture that lies on this machine: the name of its file, and its size in pixels. */
final readonly class KeptPicture
{
    public function __construct(public string $file, public int $width, public int $height)
    {
    }
}
