<?php

declare(strict_types=1);

namespace Crown\Words;

use Crown\Words\Internal\MessageFiles;
use JsonSerializable;
use LogicException;
use MessageFormatter;

/**
 * What is said, apart from its words: the key of a sentence and what stands in it. The words stand in
 * data/words/<language>/<room>.json, in ICU's message format, and are put together only when they are shown.
 */
final readonly class Message implements JsonSerializable
{
    /**
     * @param  string  $key the room's file, a point, and the sentence in it: "steep.advice.fresh"
     * @param  array<string, int|float|string>  $with what stands in it by its name; numbers only where they are counted
     */
    public function __construct(public string $key, public array $with = [])
    {
    }

    /**
     * The words at once, where a text is wanted.
     *
     * @param  array<string, int|float|string>  $with
     */
    public static function said(string $key, array $with = []): string
    {
        return (new self($key, $with))->words();
    }

    /** @throws LogicException where the file has no such sentence, or what stands in it is not given */
    public function words(): string
    {
        $pattern = MessageFiles::pattern($this->key);
        if ($this->with === [] && ! str_contains($pattern, '{')) {
            return $pattern;
        }
        if (self::isPlain($pattern, $this->with)) {
            return self::filled($pattern, $this->with);
        }
        $words = MessageFormatter::formatMessage(MessageFiles::LOCALE, $pattern, $this->with);
        if ($words === false) {
            throw new LogicException(sprintf('"%s": %s', $this->key, intl_get_error_message()));
        }

        return $words;
    }

    /**
     * Whether texts are put where their names stand, and nothing else: most sentences, which ICU need not read anew.
     *
     * @param  array<string, int|float|string>  $with
     */
    private static function isPlain(string $pattern, array $with): bool
    {
        return preg_match('/\{\w+,|\'[{}\']/', $pattern) !== 1 && array_filter($with, is_string(...)) === $with;
    }

    /** @param  array<string, int|float|string>  $with */
    private static function filled(string $pattern, array $with): string
    {
        $filled = [];
        foreach ($with as $name => $text) {
            $filled['{'.$name.'}'] = (string) $text;
        }

        return strtr($pattern, $filled);
    }

    public function jsonSerialize(): string
    {
        return $this->words();
    }
}
