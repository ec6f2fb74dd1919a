<?php

declare(strict_types=1);

namespace Crown\Words\Internal;

use Crown\Json\KeptAsPhp;
use LogicException;

/** The message files of one language, each read when a sentence of it is first wanted. */
final class MessageFiles
{
    public const LOCALE = 'en_GB';

    private const LANGUAGE = 'en';

    /** @var array<string, array<string, string>> by room: pattern by key */
    private static array $read = [];

    private static ?string $file = null;

    /** The file that a caller has written with `compiled`; it is used while it is as new as the message files. */
    public static function keepIn(string $file): void
    {
        self::$file = $file;
    }

    /** All rooms as PHP to be included, which opcache holds in memory that all processes share. */
    public static function compiled(): string
    {
        $rooms = self::rooms();
        $words = array_combine(array_keys($rooms), array_map(self::read(...), array_keys($rooms)));

        return KeptAsPhp::written(['words' => $words], array_values($rooms));
    }

    /** @throws LogicException where there is no such sentence */
    public static function pattern(string $key): string
    {
        [$room, $sentence] = explode('.', $key, 2) + [1 => ''];
        if (self::$read === [] && self::$file !== null) {
            self::$read = self::kept(self::$file);
        }
        self::$read[$room] ??= self::read($room);

        return self::$read[$room][$sentence] ?? throw new LogicException(sprintf('There are no words for "%s".', $key));
    }

    /** @return array<string, array<string, string>> by room: pattern by key */
    private static function kept(string $file): array
    {
        /** @var array{words: array<string, array<string, string>>}|null $kept */
        $kept = KeptAsPhp::read($file);

        return $kept['words'] ?? [];
    }

    /** @return array<string, string> the file of each room */
    private static function rooms(): array
    {
        $rooms = [];
        foreach (glob(self::folder().'/*.json') ?: [] as $file) {
            $rooms[basename($file, '.json')] = $file;
        }

        return $rooms;
    }

    private static function folder(): string
    {
        return dirname(__DIR__, 3).'/data/words/'.self::LANGUAGE;
    }

    /** @return array<string, string> */
    private static function read(string $room): array
    {
        $file = self::folder()."/$room.json";
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
