<?php

declare(strict_types=1);

namespace Crown\Json;

use JsonException;
use RuntimeException;

/** A file of words that ships beside the catalogue: lists of them, under two headings. */
final class WordFile
{
    /**
     * @return array<string, array<string, list<string>>> what is no list of words is left aside
     *
     * @throws RuntimeException where the file cannot be read
     */
    public static function read(string $file): array
    {
        try {
            $json = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw new RuntimeException("$file: ".$e->getMessage());
        }
        $all = [];
        foreach (is_array($json) ? $json : [] as $heading => $lists) {
            foreach (is_array($lists) ? $lists : [] as $name => $words) {
                $all[(string) $heading][(string) $name]
                    = array_values(array_filter(is_array($words) ? $words : [], is_string(...)));
            }
        }

        return $all;
    }
}
