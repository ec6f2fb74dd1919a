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
                throw new Refused((string) $name, 'Allowed: one value.');
            }
        }
        $this->plain($request->query->all(), '');
        if ($request->isJson() && $request->getContent() !== '') {
            $body = json_decode($request->getContent(), true, self::DEEPEST);
            if (! is_array($body)) {
                throw new Refused(
                    'body',
                    match (json_last_error()) {
                        JSON_ERROR_DEPTH => sprintf('Allowed: JSON of at most %d levels.', self::DEEPEST),
                        default => 'Allowed: a JSON object.',
                    },
                );
            }
            $this->plain($body, '');
        } else {
            $this->plain($request->request->all(), '');
        }

        return $next($request);
    }

    /** @param  array<array-key, mixed>  $values */
    private function plain(array $values, string $at): void
    {
        foreach ($values as $name => $value) {
            $field = $at.$name;
            if (is_array($value)) {
                $this->plain($value, $field.'.');
            }
            if (is_float($value) && ! is_finite($value)) {
                throw new Refused($field, 'This number is too large to be one.');
            }
            if (is_string($value) && (str_contains($value, "\0") || ! mb_check_encoding($value, 'UTF-8'))) {
                throw new Refused($field, 'This is not plain text.');
            }
        }
    }
}
