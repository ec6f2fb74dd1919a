<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What comes in is text and finite numbers, before anything asks for it: a body that can be read, one value for each
 * name of the query, no number that is none, no character that no keyboard makes.
 */
final class PlainInput
{
    /** Deeper than any of our documents. */
    private const DEEPEST = 40;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        foreach ($request->query->all() as $name => $value) {
            if (! is_string($value)) {
                throw Refused::because((string) $name, 'Allowed: one value.');
            }
        }
        $this->isOurs($request);
        $this->plain($request->query->all(), '', 1);
        $body = $request->isJson() ? $this->body($request) : $request->request->all();
        $this->plain($body, '', 1);

        return $next($request);
    }

    /** Bodies are JSON, and the forms of pictures: what any page of the web can send is neither. */
    private function isOurs(Request $request): void
    {
        $body = $request->getContent() !== '' || $request->request->count() > 0;
        $form = str_starts_with((string) $request->header('Content-Type'), 'multipart/form-data');
        if (! $request->isMethodSafe() && $body && ! $request->isJson() && ! $form) {
            throw Refused::notTaken('body', 'Allowed: JSON, and the form of a picture.');
        }
    }

    /** @return array<array-key, mixed> */
    private function body(Request $request): array
    {
        // The framework has read it already: it makes an empty list of what it could not read, and of a word a list of
        // one.
        $body = $request->json()->all();
        $text = ltrim($request->getContent());
        $isThing = $text === '' || $text[0] === '{' || $text[0] === '[';
        if (! $isThing || ($body === [] && $text !== '' && json_decode($text) === null)) {
            throw Refused::because('body', 'Allowed: a JSON object.');
        }

        return $body;
    }

    /** @param  array<array-key, mixed>  $values */
    private function plain(array $values, string $at, int $depth): void
    {
        if ($depth > self::DEEPEST) {
            throw Refused::because('body', sprintf('Allowed: JSON of at most %d levels.', self::DEEPEST));
        }
        foreach ($values as $name => $value) {
            $field = $at.$name;
            if (is_array($value)) {
                $this->plain($value, $field.'.', $depth + 1);
            }
            if (is_float($value) && ! is_finite($value)) {
                throw Refused::because($field, 'This number is too large to be one.');
            }
            if (is_string($value) && (str_contains($value, "\0") || ! mb_check_encoding($value, 'UTF-8'))) {
                throw Refused::because($field, 'This is not plain text.');
            }
        }
    }
}
