<?php

declare(strict_types=1);

/*
 * A regular expression of more than 80 characters is written over several lines with comments (/x), or becomes a
 * grammar. patterns.json beside it says how many a file may still keep: it is lowered, never raised.
 *   php tests/style/patterns.php [--write]      --write takes over what there is now
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

$isLong = static fn (string $text): bool => strlen($text) > LONGEST
    && preg_match('~^([/\~#]).*\1([a-zA-Z]*)$~s', $text, $m) === 1
    && preg_match('~[\[(\\\\|?*+]~', $text) === 1
    && ! str_contains($m[2], 'x');

$root = dirname(__DIR__, 2);
$found = $where = [];
foreach (['app', 'bin', 'core', 'database'] as $folder) {
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root.'/'.$folder)) as $file) {
        if ($file->getExtension() !== 'php') {
            continue;
        }
        $path = substr($file->getPathname(), strlen($root) + 1);
        foreach ($texts((string) file_get_contents($file->getPathname())) as [$line, $text]) {
            if ($isLong($text)) {
                $found[$path] = ($found[$path] ?? 0) + 1;
                $where[$path][] = $line;
            }
        }
    }
}
ksort($found);
if (in_array('--write', $argv, true)) {
    file_put_contents(
        __DIR__.'/patterns.json',
        json_encode($found, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES)."\n",
    );
    exit();
}
$allowed = json_decode((string) file_get_contents(__DIR__.'/patterns.json'), true);
$more = 0;
foreach ($found as $path => $count) {
    if ($count > ($allowed[$path] ?? 0)) {
        $more++;
        $lines = implode(', ', $where[$path]);
        $may = $allowed[$path] ?? 0;
        printf("%s: %d long patterns not in /x form, allowed %d; at lines %s\n", $path, $count, $may, $lines);
    }
}
exit($more === 0 ? 0 : 1);
