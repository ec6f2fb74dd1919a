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

    private static ?string $file = null;

    /** The file that a caller has written with `compiled`; it is used while it is as new as the message files. */
    public static function keepIn(string $file): void
    {
        self::$file = $file;
    }

    /** All rooms as PHP to be included, which opcache holds in memory that all processes share. */
    public static function compiled(): string
    {
        $all = ['made of' => self::madeOf(), 'words' => []];
        foreach (self::rooms() as $room => $file) {
            $all['words'][$room] = self::read($room);
        }

        return '<?php return '.var_export($all, true).";\n";
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
        /** @var array{"made of": array<string, int|false>, words: array<string, array<string, string>>}|null $kept */
        $kept = is_file($file) ? include $file : null;
        foreach ($kept['made of'] ?? [] as $room => $written) {
            $now = self::folder()."/$room.json";
            if (! is_file($now) || filemtime($now) !== $written) {
                return [];
            }
        }

        return $kept['words'] ?? [];
    }

    /** @return array<string, int|false> when each room's file was last written */
    private static function madeOf(): array
    {
        return array_map(filemtime(...), self::rooms());
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
