<?php

declare(strict_types=1);

namespace Tests\Feature\Fuzz;

use stdClass;

/** Puts what nobody should send in the place of parts of a body, or spoils its text. */
final class Damage
{
    /** Written into the text afterwards: no value of PHP's becomes these. */
    private const RAW = [
        '@@inf' => '1e999',
        '@@minus' => '-1e999',
        '@@long' => '123456789012345678901234567890',
        '@@bytes' => "\"\xff\xfe\"",
    ];

    public static function body(mixed $draft): string
    {
        for ($n = mt_rand(0, 3); $n > 0; $n--) {
            $draft = self::hurt($draft);
        }
        $json = (string) json_encode($draft, JSON_PARTIAL_OUTPUT_ON_ERROR);
        foreach (self::RAW as $mark => $raw) {
            $json = str_replace('"'.$mark.'"', $raw, $json);
        }

        return match (mt_rand(0, 60)) {
            0 => substr($json, 0, intdiv(strlen($json), 2)),
            1 => 'null',
            2 => '"text"',
            3 => str_repeat('[', 600).str_repeat(']', 600),
            default => $json,
        };
    }

    public static function value(): mixed
    {
        $nasty = [
            '',
            ' ',
            null,
            [],
            new stdClass(),
            [[]],
            -1,
            0,
            1e-9,
            1e18,
            1e300,
            '@@inf',
            '@@minus',
            '@@long',
            '@@bytes',
            true,
            false,
            "a\0b",
            'x',
            str_repeat('ab ', 3_000),
            "“‘•…→′✓\u{1F9F4}",
            'Р',
            '1e999',
            '2026-02-30',
            '9999999-01-01',
            '0000-00-00',
            "'; DROP TABLE heads; --",
            '<b>&amp;',
            ['a' => ['b' => ['c' => []]]],
            array_fill(0, 400, 'x'),
            'lot-999999999999999999999',
            'own-0',
            'own-',
            'lot-',
            '%',
            '../../etc/passwd',
            NAN,
        ];

        return $nasty[array_rand($nasty)];
    }

    private static function hurt(mixed $draft): mixed
    {
        if ($draft instanceof stdClass || ! is_array($draft) || $draft === [] || mt_rand(0, 5) === 0) {
            return self::value();
        }
        $key = array_rand($draft);
        if (mt_rand(0, 12) === 0) {
            unset($draft[$key]);

            return $draft;
        }

        return [...$draft, $key => self::hurt($draft[$key])];
    }
}
