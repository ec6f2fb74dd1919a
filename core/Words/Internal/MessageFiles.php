<?php

declare(strict_types=1);

namespace Crown\Words\Internal;

use LogicException;

/** The message files of one language, each read when a sentence of it is first wanted. */
final class MessageFiles
{
    public const LOCALE = 'en_GB';

    private const LANGUAGE = 'en';

    /** @var array<string, array<string, string>> by room: pattern by key */
    private static array $read = [];

    /** @throws LogicException where there is no such sentence */
    public static function pattern(string $key): string
    {
        [$room, $sentence] = explode('.', $key, 2) + [1 => ''];
        self::$read[$room] ??= self::read($room);

        return self::$read[$room][$sentence] ?? throw new LogicException(sprintf('There are no words for "%s".', $key));
    }

    /** @return array<string, string> */
    private static function read(string $room): array
    {
        $file = dirname(__DIR__, 3).'/data/words/'.self::LANGUAGE."/$room.json";
        $all = is_file($file) ? json_decode((string) file_get_contents($file), true) : null;
        if (! is_array($all)) {
            throw new LogicException(sprintf('"%s" has no words.', $room));
        }
        $patterns = [];
        foreach ($all as $key => $pattern) {
            if (is_string($pattern)) {
                $patterns[(string) $key] = $pattern;
            }
        }

        return $patterns;
    }
}
