<?php

declare(strict_types=1);

namespace Crown\Assessment\Checks;

use Crown\Assessment\Check;
use Crown\Assessment\Examined;
use Crown\Assessment\Finding;
use Crown\Assessment\Said;
use Crown\Assessment\Severity;

/** Is it meant for an illness? That is a clinician's, and a claim that no cosmetic may make. */
final readonly class Illness implements Check
{
    private const FILE = '/data/names/illnesses.json';

    public function examine(Examined $subject): array
    {
        $formula = $subject->formula();
        $named = self::named($formula->title."\n".$formula->notes);

        return $named === null
            ? []
            : [new Finding('claim.illness', Severity::Caution, [], [], 'fit', said: new Said([$named]))];
    }

    /** The first illness that a text names; null where it names none. */
    private static function named(string $text): ?string
    {
        /** @var string|null $pattern */
        static $pattern = null;
        $pattern ??= self::pattern();

        return preg_match($pattern, $text, $m) === 1 ? mb_strtolower($m[0]) : null;
    }

    private static function pattern(): string
    {
        $text = (string) file_get_contents(dirname(__DIR__, 3).self::FILE);
        $json = json_decode($text, true, flags: JSON_THROW_ON_ERROR);
        $listed = is_array($json) ? $json['words'] ?? [] : [];
        $words = array_filter(is_array($listed) ? $listed : [], is_string(...));

        return '/(?<!\p{L})(?:'
            .implode('|', array_map(static fn (string $w): string => preg_quote($w, '/'), $words))
            .')\p{L}*/iu';
    }
}
