<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Formula\Step;
use Crown\Measure\Duration;
use Crown\Measure\Temperature;
use Crown\Reading\Grammar\Kind;
use Crown\Reading\Grammar\Vocabulary;

/** Reads sentences of instruction: the act, the time, the temperature. */
final class Instructions
{
    /** What is said before a sentence begins. */
    private const FILLERS = '/
        ^(?:(?:so|ok|okay|right|well|um|erm|and|you|i|we|just|simply|carefully|only|please)\b,?\s+)+
    /xu';

    /** "Freeze for 15": minutes, where it is a thing that takes minutes. */
    private const BARE_MINUTES = '/\bfor (?:about |another )?(\d{1,3})(?!\s*(?:[\p{L}%°]|[.,\/]?\d))/iu';

    private const COOLEST_BARE = 30.0;

    /** "Cool to 50": degrees, where something is heated or cools. */
    private const BARE_DEGREES = '/
        \b(?:to|at|below|under|reaches|about|around)\s+(\d{2})(?!\s*(?:[\p{L}%°:\/]|[.,]?\d))
    /xiu';

    /** Whether a line begins as an instruction does: with a verb, or "then", "in a bowl", "over low heat". */
    public static function begins(string $line): bool
    {
        $plain = preg_replace(self::FILLERS, '', mb_strtolower($line)) ?? mb_strtolower($line);

        return preg_match(
            '/
                # how a sentence of a method begins
                ^(?:
                    rest\ (?:for\ )?(?:\d|overnight)|poured|froze|strained|then|next|now|finally|gently
                    |slowly|first|after(?:wards)?|in\ a|over|using
                    |(?:fridge|freezer)(?=\ (?:for\ )?\d|,)|do\ not|don\'t|never|step\ \d+|at\ \d+
                )\b
            /xu',
            $plain,
        ) === 1
            || (preg_match('/^([a-z]+)\b/u', $plain, $m) === 1 && self::actOf($m[1]) !== null);
    }

    /** "I use 60 ml of castor and …", "you need": it says what is in it, and nothing is done. */
    public static function tells(string $row): bool
    {
        return preg_match('/
            ^(?:(?:so|ok|okay|then|and|well|for\ this|to\ make\ it),?\s+)*
            (?:(?:i|we|you|she)\s+(?:\w+ly\s+)?)?(?:use[ds]?|needs?|take|takes|took|have|had|get|like)\b
        /xiu', $row) === 1
            && preg_match('/
                # "take 100 g of shea and 20 g of castor, melt, whip"
                [,;]\s*(?:(?:and|then)\s+)*(?:melt|mix|stir|heat|warm|blend|whip|whisk|beat|shake)\b[^\d]*$
            /xiu', $row) !== 1
            && self::timed($row) === [];
    }

    /** @return list<Step> one for each sentence */
    public static function steps(string $line): array
    {
        $steps = [];
        $sentences = array_merge(...array_map(
            self::clauses(...),
            preg_split('/
                # the end of a sentence, and of no abbreviation
                (?<=[.!?;])(?<!\bca\.)(?<!\bapprox\.)(?:(?<!\b[Mm]in\.)(?<!\b[Ss]td\.)|(?=\s+[\p{Lu}\d]))\s+
                (?=\p{L}|\d)
            /xu', $line) ?: [],
        ));
        foreach ($sentences as $sentence) {
            $sentence = rtrim(trim($sentence), ' ,');
            if ($sentence !== '') {
                $act = self::act($sentence);
                $steps[] = new Step(
                    $sentence,
                    $act,
                    (Duration::in($sentence)->best ?? self::bareMinutes($sentence, $act)) ?: null,
                    self::celsius($sentence, $act),
                );
            }
        }

        return $steps;
    }

    /** "15 minutes under a cap, then shampoo": a time at the beginning of a row. */
    public static function waits(string $row): bool
    {
        return preg_match('/
            ^(?:about\s+)?\d+(?:\s*(?:-|–|to)\s*\d+)?\s*(?:more\s+)?
            (?:min(?:ute)?s?|hours?|hrs?|h|days?|weeks?)\b
        /xiu', $row) === 1;
    }

    /**
     * What is to be done in a text that is no method: only what names a time or a heat, and an act.
     *
     * @return list<Step>
     */
    public static function timed(string $text): array
    {
        return array_values(
            array_filter(
                self::steps($text),
                static fn (Step $s): bool => $s->act !== 'other' && ($s->minutes !== null || $s->celsius !== null),
            ),
        );
    }

    /** @return list<string> a sentence that gives several times or heats, one for each; else as it is */
    private static function clauses(string $sentence): array
    {
        $parts = preg_split('/
            \s*(?:[,;]|\b(?:and\ )?then\b)\s*|\s+(?=(?:dann|puis|luego|poi)\b)
            |\s+(?=(?:pour|freeze|chill|whip|warm\ it|leave|let\ it|put|strain|apply|cover|shampoo)\b)
        /xiu', $sentence) ?: [$sentence];
        $says = static fn (string $p): bool => Duration::in($p) !== null || self::celsius($p) !== null;
        $telling = array_keys(array_filter($parts, $says));
        $later = count($telling) === 1 && $telling[0] > 0 && preg_match('/\band\s*$/iu', $parts[$telling[0] - 1]) !== 1;
        if ($later && self::act($parts[$telling[0]]) !== 'other') {
            // "Melt, pour into moulds, fridge 1 hour": the hour is of the last.
            return [
                implode(', ', array_slice($parts, 0, $telling[0])),
                implode(', ', array_slice($parts, $telling[0])),
            ];
        }
        // "Freezer, whip, freezer again, whip": each is an act of its own.
        $turns = array_filter(array_map(self::act(...), $parts), self::isTurn(...));
        if (count($telling) < 2 && count(array_unique($turns)) < 2) {
            return [$sentence];
        }
        $clauses = [];
        foreach ($parts as $part) {
            $last = count($clauses) - 1;
            $acts = [self::act($clauses[$last] ?? ''), self::act($part)];
            $isNext = self::isTurn($acts[0]) && self::isTurn($acts[1]) && $acts[0] !== $acts[1];
            $adds = ! $says($part) || ($acts[1] === 'other' && ! $says($clauses[$last] ?? ''));
            if ($last >= 0 && ! $isNext && $adds) {
                $clauses[$last] .= ', '.$part;
            } elseif (trim($part) !== '') {
                $clauses[] = $part;
            }
        }

        return array_values($clauses);
    }

    /** Chilling and whipping come in turns. */
    private static function isTurn(string $act): bool
    {
        return $act === 'chill' || $act === 'whip';
    }

    private static function bareMinutes(string $sentence, string $act): ?float
    {
        $takesMinutes = in_array($act, ['chill', 'whip', 'cool', 'heat', 'melt'], true);

        return $takesMinutes && preg_match(self::BARE_MINUTES, $sentence, $m) === 1 ? (float) $m[1] : null;
    }

    private static function act(string $sentence): string
    {
        $act = self::verb($sentence);

        // "Let it go cloudy in the fridge".
        return in_array($act, ['wait', 'add', 'other'], true)
            && preg_match('/\b(?:fridge|freezer|refrigerator)\b/iu', $sentence) === 1 ? 'chill' : $act;
    }

    private static function verb(string $sentence): string
    {
        // "Rice water rinse: soak the rice": what it is called is no act.
        $sentence = preg_replace('/^[^:\d]{2,40}:\s+(?=\S)/u', '', $sentence) ?? $sentence;
        // "Take 100 g of shea, melt it": what is taken is not taken off the heat.
        $plain = preg_replace(
            '/
                \b(?:take|takes|taking)\b
                (?!\s+(?:(?:it|them|this|that|the\s+\w+|\w+)\s+)?(?:off|out|away|from)\b)
            /xu',
            '',
            mb_strtolower($sentence),
        ) ?? mb_strtolower($sentence);
        foreach (preg_split('/[^a-z]+/', $plain) ?: [] as $word) {
            $act = self::actOf($word);
            if ($act === null) {
                continue;
            }

            // "Let it cool", "leave to steep": the second verb is the act.
            return $act === 'wait' && preg_match('/\b(cool|steep|infuse|soak|chill|melt)/u', $plain, $m) === 1
                ? self::actOf($m[1]) ?? $act
                : $act;
        }

        return preg_match('/\b(?:flame|(?:low|medium|gentle) heat|stove|hob)\b/iu', $sentence) === 1 ? 'heat' : 'other';
    }

    /** Degrees Celsius; null when none are said. */
    private static function celsius(string $sentence, string $act = ''): ?float
    {
        if (in_array($act, ['cool', 'heat', 'melt'], true) && preg_match(self::BARE_DEGREES, $sentence, $m) === 1) {
            return (float) $m[1] >= self::COOLEST_BARE ? (float) $m[1] : null;
        }
        if (
            preg_match('/(-?\d{1,3})\s*(?:°|º|degrees?)?\s*(C|F)\b/u', $sentence, $m) !== 1
            && preg_match('/(\d{2,3})\s*(?:°|º|degrees?\b)/u', $sentence, $m) !== 1
        ) {
            return null;
        }
        $degrees = (float) $m[1];
        // Nobody melts at 150 °C: a figure beyond that without its letter is of the other scale.
        $m[2] ??= $degrees > 130.0 ? 'F' : 'C';

        return ($m[2] === 'F' ? Temperature::fahrenheit($degrees) : Temperature::celsius($degrees))->celsius;
    }

    /** The act that an English verb tells of, in any of its forms; null for a word that is none. */
    private static function actOf(string $word): ?string
    {
        $act = Vocabulary::english()->words[$word][Kind::Act->value] ?? null;

        return is_string($act) ? $act : null;
    }
}
