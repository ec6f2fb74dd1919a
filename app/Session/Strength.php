<?php

declare(strict_types=1);

namespace App\Session;

use App\Support\Refused;

/** Whether a password is one that others would guess. */
final class Strength
{
    public const SHORTEST = 12;

    /** Bytes that are compared; what follows would count for nothing. */
    public const LONGEST = 72;

    private const COMMON = 'data/common-passwords.txt';

    /** What is written for letters. */
    private const FIGURES = ['0' => 'o', '1' => 'i', '3' => 'e', '4' => 'a', '5' => 's', '7' => 't'];

    /** Letters and figures that must differ. */
    private const DIFFERENT = 5;

    private const ROWS = [
        'abcdefghijklmnopqrstuvwxyz', '1234567890', '0123456789', '1q2w3e4r5t6y7u8i9o0p', '1qaz2wsx3edc4rfv5tgb',
        'qwertyuiop', 'asdfghjkl', 'zxcvbnm', 'qwertzuiop', 'azertyuiop',
    ];

    /**
     * @param  list<string>  $own names that a guesser tries first: her own, the studio's, her address
     *
     * @throws Refused about the field, with what would do
     */
    public static function demand(string $password, array $own, string $field = 'password'): void
    {
        $plain = mb_strtolower($password);
        $why = match (true) {
            mb_strlen($password) < self::SHORTEST => sprintf('At least %d characters.', self::SHORTEST),
            strlen($password) > self::LONGEST => sprintf(
                'At most %d bytes, about as many letters: what follows would not count.',
                self::LONGEST,
            ),
            self::isCommon($plain) => 'This is one of the passwords that everybody tries first.',
            self::isMonotonous($plain) => 'More different letters: it is guessed at once.',
            self::isRun($plain) => 'No run along the keyboard or the alphabet: it is guessed at once.',
            self::holds($plain, $own) => 'Not your own name, address or studio: they are tried first.',
            default => '',
        };
        if ($why !== '') {
            throw Refused::because(
                $field,
                $why.' Three or four words that have nothing to do with each other are good.',
            );
        }
    }

    /** By the letter, and in every spelling that a guesser tries: signs cut, figures for letters, words said twice. */
    private static function isCommon(string $plain): bool
    {
        /** @var array<string, int>|null $known */
        static $known = null;
        $known ??= array_flip(file(base_path(self::COMMON), FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: []);
        $spellings = [$plain];
        foreach ([$plain, strtr($plain, ['@' => 'a', '$' => 's', '!' => 'i'])] as $said) {
            $bare = preg_replace('/[^\p{L}\d]+/u', '', $said) ?? $said;
            $stem = preg_replace('/^\d+|\d+$/', '', $bare) ?? $bare;
            foreach ([$bare, $stem] as $one) {
                array_push($spellings, $one, strtr($one, self::FIGURES));
            }
        }
        foreach ($spellings as $one) {
            // One word said twice or three times is the one word.
            $spellings[] = preg_replace('/^(.{3,}?)\1+$/us', '$1', $one) ?? $one;
        }

        return array_intersect_key($known, array_flip($spellings)) !== [];
    }

    private static function isMonotonous(string $plain): bool
    {
        return count(array_unique(mb_str_split($plain))) < self::DIFFERENT;
    }

    private static function isRun(string $plain): bool
    {
        foreach (self::ROWS as $row) {
            foreach ([$row, strrev($row)] as $way) {
                if (str_contains($way.$way, $plain)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @param  list<string>  $own */
    private static function holds(string $plain, array $own): bool
    {
        foreach ($own as $name) {
            $whole = mb_strtolower($name);
            $first = strtok($whole, '@') ?: '';
            // The whole of an address anywhere, or more of a name than of anything else.
            $address = str_contains($whole, '@') && str_contains($plain, $whole);
            $mostly = mb_strlen($first) > 3
                && str_contains($plain, $first)
                && mb_strlen($first) * 2 > mb_strlen($plain);
            if ($address || $mostly) {
                return true;
            }
        }

        return false;
    }
}
