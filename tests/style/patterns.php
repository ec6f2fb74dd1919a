<?php

declare(strict_types=1);

/*
 * A regular expression of more than 80 characters is written over several lines with comments (in /x form), or becomes
 * a grammar.   php tests/style/patterns.php
 */

const LONGEST = 80;

/** What stands between two texts that are glued: spaces, comments, a dot, the name of a constant. */
const GLUE = [T_WHITESPACE, T_COMMENT, T_STRING, T_DOUBLE_COLON, T_NAME_FULLY_QUALIFIED, T_NAME_QUALIFIED, T_STATIC];

/** @return list<array{int, string}> line and text of each, glued texts as one */
$texts = static function (string $code): array {
    $found = [];
    $open = false;
    foreach (PhpToken::tokenize($code) as $token) {
        if ($token->is(T_CONSTANT_ENCAPSED_STRING)) {
            $text = substr($token->text, 1, -1);
            if ($open) {
                $found[count($found) - 1][1] .= $text;
            } else {
                $found[] = [$token->line, $text];
            }
            $open = true;
        } elseif ($token->text !== '.' && ! $token->is(GLUE)) {
            $open = false;
        }
    }

    return $found;
};

$isLong = static fn (string $text): bool => mb_strlen($text) > LONGEST
    && preg_match('~^([/\~#]).*\1([a-zA-Z]*)$~s', $text, $m) === 1
    && preg_match('~[\[(\\\\|?*+]~', $text) === 1
    && ! str_contains($m[2], 'x');

$root = dirname(__DIR__, 2);
$long = 0;
foreach (['app', 'bin', 'core', 'database'] as $folder) {
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root.'/'.$folder)) as $file) {
        if ($file->getExtension() !== 'php') {
            continue;
        }
        foreach ($texts((string) file_get_contents($file->getPathname())) as [$line, $text]) {
            if ($isLong($text)) {
                $long++;
                printf("%s:%d\n", substr($file->getPathname(), strlen($root) + 1), $line);
            }
        }
    }
}
exit($long === 0 ? 0 : 1);
