<?php

declare(strict_types=1);

namespace Crown\Json;

/**
 * What was made of some files, kept as PHP: opcache holds such a file in memory that all processes share. It is of use
 * while none of the files it was made of has changed.
 */
final class KeptAsPhp
{
    private const MADE_OF = 'made of';

    /**
     * @param  array<string, mixed>  $data
     * @param  list<string>  $files that it was made of
     * @return string PHP to be written into a file
     */
    public static function written(array $data, array $files): string
    {
        $madeOf = array_combine($files, array_map(filemtime(...), $files));

        return '<?php return '.var_export([self::MADE_OF => $madeOf, ...$data], true).";\n";
    }

    /** @return array<string, mixed>|null null where there is none, or a file that it was made of has changed */
    public static function read(?string $file): ?array
    {
        /** @var array{"made of": array<string, int|false>}|null $kept */
        $kept = $file !== null && is_file($file) ? include $file : null;
        foreach ($kept[self::MADE_OF] ?? [] as $madeOf => $written) {
            if (! is_file($madeOf) || filemtime($madeOf) !== $written) {
                return null;
            }
        }

        return $kept;
    }
}
