<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use DomainException;

/** A catalogue file that cannot be used. Names the file and the key, and says how to mend it. */
final class CatalogueError extends DomainException
{
    public static function missing(string $file, string $key): self
    {
        return new self(sprintf('%s: "%s" is missing. Add it.', $file, $key));
    }

    public static function wrong(string $file, string $key, string $allowed): self
    {
        return new self(sprintf('%s: "%s" is not allowed as it is. Allowed: %s.', $file, $key, $allowed));
    }

    public static function notJson(string $file, string $why): self
    {
        return new self(sprintf('%s: this is not valid JSON (%s).', $file, $why));
    }

    public static function unreadable(string $path): self
    {
        return new self(sprintf('The catalogue at %s cannot be read. Check that data/catalogue is there.', $path));
    }

    public static function sourceless(string $file, string $key, string $source): self
    {
        return new self(
            sprintf(
                '%s: the source "%s" of "%s" is not in data/sources.json. Add it there, or write "estimate".',
                $file,
                $source,
                $key,
            ),
        );
    }

    public static function claimedTwice(string $name, string $first, string $second): self
    {
        return new self(
            sprintf('The name "%s" is claimed by both %s and %s. Remove it from one.', $name, $first, $second),
        );
    }

    public static function unknown(string $id): self
    {
        return new self(sprintf('There is no ingredient "%s" in the catalogue.', mb_substr($id, 0, 60)));
    }
}
