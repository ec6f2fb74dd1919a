<?php

declare(strict_types=1);

namespace App\Live;

/**
 * The line between the web server and the workers that stay: a Unix socket, one question and one answer on each connection. Either
 * is a length in four bytes, then a serialized array of plain values.
 *
 * The web server reads this file before anything else of the application, so it needs nothing else.
 */
final class Line
{
    /** What is asked while someone types. None of these keeps anything, so that a lost answer may simply be asked for again. */
    public const ASKS = [
        '/api/evaluate', '/api/cure', '/api/read', '/api/water', '/api/load', '/api/without-scale', '/api/stock', '/api/swap', '/api/reshare', '/api/design',
    ];

    /** Seconds: as long as a browser waits for an answer. */
    public const PATIENCE = 20;

    private const LARGEST = 16_000_000;

    /** Whether a worker that stays has answered the present request. When not, nothing was sent: it is answered as any other. */
    public static function answers(string $socket): bool
    {
        $path = strtok((string) ($_SERVER['REQUEST_URI'] ?? ''), '?');
        if ($socket === '' || ($_SERVER['REQUEST_METHOD'] ?? '') !== 'POST' || ! in_array($path, self::ASKS, true)) {
            return false;
        }
        $answer = self::ask($socket, ['server' => array_filter($_SERVER, is_scalar(...)), 'query' => $_GET, 'cookies' => $_COOKIE, 'body' => (string) file_get_contents('php://input')]);
        if ($answer === null) {
            return false;
        }
        http_response_code($answer['status']);
        foreach ($answer['headers'] as [$name, $value]) {
            header($name.': '.$value, false);
        }
        header('Server-Timing: kept');
        echo $answer['body'];

        return true;
    }

    /**
     * @param  array{server: array<string, mixed>, query: array<array-key, mixed>, cookies: array<array-key, mixed>, body: string}  $question
     * @return array{status: int, headers: list<array{string, string}>, body: string}|null null when nobody answers
     */
    public static function ask(string $socket, array $question): ?array
    {
        $line = @stream_socket_client('unix://'.$socket, $code, $message, 1.0);
        if ($line === false) {
            return null;
        }
        $answer = self::send($line, $question) ? self::receive($line) : null;
        fclose($line);

        return $answer !== null && is_int($answer['status'] ?? null) && is_array($answer['headers'] ?? null) && is_string($answer['body'] ?? null) ? $answer : null;
    }

    /**
     * @param  resource  $line
     * @param  array<string, mixed>  $what
     */
    public static function send($line, array $what): bool
    {
        $bytes = serialize($what);
        $bytes = pack('N', strlen($bytes)).$bytes;
        stream_set_timeout($line, self::PATIENCE);
        for ($sent = 0; $sent < strlen($bytes); $sent += $n) {
            $n = @fwrite($line, $sent === 0 ? $bytes : substr($bytes, $sent));
            if ($n === false || $n === 0) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  resource  $line
     * @return array<string, mixed>|null null when the other side went away or sent something else
     */
    public static function receive($line): ?array
    {
        stream_set_timeout($line, self::PATIENCE);
        $length = unpack('N', self::bytes($line, 4) ?? '')[1] ?? 0;
        if ($length < 1 || $length > self::LARGEST) {
            return null;
        }
        $what = @unserialize(self::bytes($line, $length) ?? '', ['allowed_classes' => false]);

        return is_array($what) ? $what : null;
    }

    /** @param  resource  $line */
    private static function bytes($line, int $length): ?string
    {
        $bytes = '';
        while (strlen($bytes) < $length) {
            $part = @fread($line, $length - strlen($bytes));
            if ($part === false || $part === '') {
                return null;
            }
            $bytes .= $part;
        }

        return $bytes;
    }
}
