<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Formula\Step;
use Crown\Measure\Duration;
use Crown\Measure\Temperature;

/** Reads sentences of instruction: the act, the time, the temperature. */
final class Instructions
{
    /** Verb to act, tried in this order; the first verb of the sentence wins. */
    private const VERBS = [
        'melt' => 'melt',
        'heat' => 'heat',
        'warm' => 'heat',
        'simmer' => 'heat',
        'boil' => 'heat',
        'microwave' => 'heat',
        'toast' => 'heat',
        'steep' => 'steep',
        'infuse' => 'steep',
        'soak' => 'steep',
        'macerate' => 'steep',
        'strain' => 'strain',
        'sieve' => 'strain',
        'filter' => 'strain',
        'cool' => 'cool',
        'chill' => 'chill',
        'refrigerate' => 'chill',
        'freeze' => 'chill',
        'whip' => 'whip',
        'whisk' => 'whip',
        'beat' => 'whip',
        'pour' => 'pour',
        'decant' => 'pour',
        'bottle' => 'pour',
        'fill' => 'pour',
        'transfer' => 'pour',
        'add' => 'add',
        'stir' => 'add',
        'mix' => 'add',
        'blend' => 'add',
        'combine' => 'add',
        'fold' => 'add',
        'drop' => 'add',
        'shake' => 'shake',
        'leave' => 'wait',
        'let' => 'wait',
        'wait' => 'wait',
        'store' => 'store',
        'keep' => 'store',
        'label' => 'label',
        'apply' => 'apply',
        'massage' => 'apply',
        'use' => 'apply',
        'rinse' => 'apply',
        'weigh' => 'measure',
        'measure' => 'measure',
        'place' => 'add',
        'put' => 'add',
        'set' => 'wait',
        'chop' => 'prepare',
        'grind' => 'prepare',
        'crush' => 'prepare',
        'wash' => 'prepare',
        'dry' => 'prepare',
        'cut' => 'prepare',
        'remove' => 'cool',
        'take' => 'cool',
        'cover' => 'wait',
        'once' => 'add',
        'when' => 'add',
        'turn' => 'heat',
    ];

    /** Whether a line begins as an instruction does: with a verb, or "then", "in a bowl", "over low heat". */
    public static function begins(string $line): bool
    {
        $plain = mb_strtolower($line);

        return preg_match(
            '/^(?:then|next|now|finally|gently|slowly|first|after(?:wards)?|in a|over|using|do not|don\'t|never|step \d+)\b/u',
            $plain,
        ) === 1
            || (preg_match('/^([a-z]+)\b/u', $plain, $m) === 1 && isset(self::VERBS[$m[1]]));
    }

    /** @return list<Step> one for each sentence */
    public static function steps(string $line): array
    {
        $steps = [];
        foreach (preg_split('/(?<=[.!?;])\s+(?=\p{Lu}|\d)/u', $line) ?: [] as $sentence) {
            $sentence = trim($sentence);
            if ($sentence !== '') {
                $steps[] = new Step(
                    $sentence,
                    self::act($sentence),
                    Duration::in($sentence)->best ?? 0.0,
                    ...self::celsius($sentence),
                );
            }
        }

        return $steps;
    }

    private static function act(string $sentence): string
    {
        foreach (preg_split('/[^a-z]+/', mb_strtolower($sentence)) ?: [] as $word) {
            $stem = preg_replace('/(?:ing|ed)$/', '', $word) ?? $word;
            foreach ([$word, $stem, $stem.'e'] as $try) {
                if (isset(self::VERBS[$try])) {
                    // "Let it cool", "leave to steep": the second verb is the act.
                    if (
                        self::VERBS[$try] === 'wait'
                        && preg_match('/\b(cool|steep|infuse|soak|chill|melt)/u', mb_strtolower($sentence), $m) === 1
                    ) {
                        return self::VERBS[$m[1]];
                    }

                    return self::VERBS[$try];
                }
            }
        }

        return 'other';
    }

    /** @return array{float, bool} degrees Celsius, and whether any were said */
    private static function celsius(string $sentence): array
    {
        if (preg_match('/(-?\d{1,3})\s*(?:°|º|degrees?)?\s*(C|F)\b/u', $sentence, $m) !== 1) {
            return [0.0, false];
        }
        $degrees = (float) $m[1];

        return [($m[2] === 'F' ? Temperature::fahrenheit($degrees) : Temperature::celsius($degrees))->celsius, true];
    }
}
