<?php

declare(strict_types=1);

namespace App\Support;

use Crown\Problem;

/** A request that is understood but not allowed, or not allowed in the present state. Says what is allowed. */
final class Refused extends Problem
{
    private const STATUS = [
        'unreadable' => 400,
        'not-taken' => 415,
        'missing' => 404,
        'not-now' => 409,
        'unable' => 503,
    ];

    /** What was given is not allowed. */
    public static function because(string $path, string $sentence): self
    {
        return new self($path, 'refused', $sentence);
    }

    /** It would be allowed in another state of things. */
    public static function now(string $path, string $sentence): self
    {
        return new self($path, 'not-now', $sentence);
    }

    /** What it names is not there. */
    public static function missing(string $path, string $sentence): self
    {
        return new self($path, 'missing', $sentence);
    }

    /** What was sent is no text that can be read. */
    public static function unreadable(string $path, string $sentence): self
    {
        return new self($path, 'unreadable', $sentence);
    }

    /** What was sent is of a kind that is not taken. */
    public static function notTaken(string $path, string $sentence): self
    {
        return new self($path, 'not-taken', $sentence);
    }

    /** The machine cannot do it at present. */
    public static function unable(string $path, string $sentence): self
    {
        return new self($path, 'unable', $sentence);
    }

    public function status(): int
    {
        return self::STATUS[$this->cause] ?? 422;
    }
}
