<?php

declare(strict_types=1);

namespace Crown\Reading\Grammar;

/** Tokens as they are meant: "comma" that is spoken out is a sign, 🥥 is coconut oil, "III tbsp" are three. */
final class Heard
{
    /** Spoken signs from which on a row is dictated. */
    private const DICTATED = 2;

    private const ROMAN = ['I' => 1, 'V' => 5, 'X' => 10, 'L' => 50];

    /**
     * @param  list<Token>  $tokens
     * @return list<Token>
     */
    public static function of(array $tokens, Vocabulary $vocabulary): array
    {
        $signs = self::signs($tokens, $vocabulary);
        $heard = [];
        for ($n = 0, $count = count($tokens); $n < $count; $n++) {
            $token = $tokens[$n];
            if (isset($signs[$n])) {
                [$sign, $to] = $signs[$n];
                $heard[] = new Token($sign, '', $token->start, $tokens[$to]->end, null, false);
                $n = $to;

                continue;
            }
            $named = self::isAlone($n, $tokens, $vocabulary)
                ? $vocabulary->words[$token->text][Kind::Pictured->value] ?? null : null;
            $number = $token->number ?? self::roman($n, $tokens, $vocabulary);
            $heard[] = match (true) {
                is_string($named) => new Token($named, $named, $token->start, $token->end, null, false),
                $number !== $token->number => new Token(
                    (string) $number,
                    '',
                    $token->start,
                    $token->end,
                    $number,
                    $token->glued,
                ),
                default => $token,
            };
        }

        return $heard;
    }

    /**
     * Whether a sign stands for a thing, and does not only adorn its name: "🥥 3 tbsp", but not "🥥 coconut oil".
     *
     * @param  list<Token>  $tokens
     */
    private static function isAlone(int $n, array $tokens, Vocabulary $vocabulary): bool
    {
        $before = $tokens[$n - 1]->word ?? '';
        $isMeasured = $before === '' || isset($vocabulary->words[$before][Kind::Unit->value]);

        return ! $tokens[$n]->isWord() && $isMeasured && ($tokens[$n + 1]->word ?? '') === '';
    }

    /**
     * @param  list<Token>  $tokens
     * @return array<int, array{string, int}> what is spoken out, by its first token: the sign and the last token
     */
    private static function signs(array $tokens, Vocabulary $vocabulary): array
    {
        $signs = [];
        foreach ($tokens as $n => $token) {
            $two = $token->word.' '.($tokens[$n + 1]->word ?? '');
            $sign = $vocabulary->words[$two][Kind::SpokenSign->value] ?? null;
            $to = $sign === null ? $n : $n + 1;
            $sign ??= $vocabulary->words[$token->word][Kind::SpokenSign->value] ?? null;
            if (is_string($sign)) {
                $signs[$n] = [$sign, $to];
            }
        }

        return count($signs) < self::DICTATED ? [] : $signs;
    }

    /**
     * A number as the Romans wrote it, where its unit stands beside it.
     *
     * @param  list<Token>  $tokens
     */
    private static function roman(int $n, array $tokens, Vocabulary $vocabulary): ?float
    {
        $text = $tokens[$n]->text;
        if (preg_match('/^(?=.)(?:X{0,3}(?:IX|IV|V?I{0,3})|XL|L)$/', $text) !== 1) {
            return null;
        }
        $before = isset($tokens[$n - 1]) && $tokens[$n - 1]->isSign('.') ? $n - 2 : $n - 1;
        $isUnit = static fn (int $at): bool => isset($vocabulary->words[$tokens[$at]->word ?? ''][Kind::Unit->value]);
        // "I cup my hands": one alone has to stand first.
        $isBefore = $isUnit($n + 1) && ($text !== 'I' || $n === 0);

        // "Gtt. X", but not "2 tbsp I think": a unit with its figure asks for no other.
        $isBehind = $text !== 'I' && $isUnit($before) && strlen($tokens[$before]->text) > 1
            && ($tokens[$before - 1]->number ?? null) === null;

        return $isBefore || $isBehind ? self::value($text) : null;
    }

    private static function value(string $roman): float
    {
        $sum = 0.0;
        foreach (str_split($roman) as $n => $letter) {
            $next = self::ROMAN[$roman[$n + 1] ?? ''] ?? 0;
            $sum += self::ROMAN[$letter] < $next ? -self::ROMAN[$letter] : self::ROMAN[$letter];
        }

        return $sum;
    }
}
