<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Problem;

/** A catalogue file that cannot be used. Names the file and the key, and says how to mend it. */
final class CatalogueError extends Problem
{
    public static function missing(string $file, string $key): self
    {
        return new self($key, 'missing', sprintf('%s: "%s" is missing. Add it.', $file, $key), [
            'file' => $file,
            'key' => $key,
        ]);
    }

    public static function wrong(string $file, string $key, string $allowed): self
    {
        return new self(
            $key,
            'wrong',
            sprintf('%s: "%s" is not allowed as it is. Allowed: %s.', $file, $key, $allowed),
            ['file' => $file, 'key' => $key, 'allowed' => $allowed],
        );
    }

    public static function notJson(string $file, string $why): self
    {
        return new self('file', 'not-json', sprintf('%s: this is not valid JSON (%s).', $file, $why), [
            'file' => $file,
            'why' => $why,
        ]);
    }

    public static function unreadable(string $path): self
    {
        return new self(
            'file',
            'unreadable',
            sprintf('The catalogue at %s cannot be read. Check that data/catalogue is there.', $path),
            ['path' => $path],
        );
    }

    /** What a ready blend is made of cannot be so. */
    public static function blend(string $field, string $sentence): self
    {
        return new self($field, 'blend', $sentence);
    }

    public static function sourceless(string $file, string $key, string $source): self
    {
        return new self(
            $key,
            'sourceless',
            sprintf(
                '%s: the source "%s" of "%s" is not in data/sources.json. Add it there, or write "estimate".',
                $file,
                $source,
                $key,
            ),
            ['file' => $file, 'key' => $key, 'source' => $source],
        );
    }

    public static function claimedTwice(string $name, string $first, string $second): self
    {
        return new self(
            'name',
            'claimed-twice',
            sprintf('The name "%s" is claimed by both %s and %s. Remove it from one.', $name, $first, $second),
            ['name' => $name, 'first' => $first, 'second' => $second],
        );
    }

    public static function unknown(string $id): self
    {
        return new self(
            'ingredient',
            'unknown',
            trim($id) === ''
                ? 'Choose an ingredient of the catalogue.'
                : sprintf('There is no ingredient "%s" in the catalogue.', mb_substr($id, 0, 60)),
            ['id' => $id],
        );
    }
}
