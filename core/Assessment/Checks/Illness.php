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
        $lower = mb_strtolower($text);
        foreach (self::words() as $word) {
            $begins = '/(?<!\p{L})'.preg_quote($word, '/').'\p{L}*/u';
            if (str_contains($lower, $word) && preg_match($begins, $lower, $m) === 1) {
                return $m[0];
            }
        }

        return null;
    }

    /** @return list<string> what their names begin with, in small letters and all languages */
    private static function words(): array
    {
        /** @var list<string>|null $words */
        static $words = null;
        if ($words === null) {
            $text = (string) file_get_contents(dirname(__DIR__, 3).self::FILE);
            $json = json_decode($text, true, flags: JSON_THROW_ON_ERROR);
            $listed = is_array($json) ? $json['words'] ?? [] : [];
            $words = array_values(array_filter(is_array($listed) ? $listed : [], is_string(...)));
        }

        return $words;
    }
}
