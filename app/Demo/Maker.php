<?php

declare(strict_types=1);

namespace App\Demo;

use App\Studio\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Facade;
use RuntimeException;

/**
 * A person of the demo studio, who does everything through the same addresses as the screens do.
 *
 * What the scenario reads of answers, as the published schema has it:
 *
 * @phpstan-type AnsweredLine array{
 *     id: string, name: string, ingredient: string, amount: string, phase: string, ...<string, mixed>
 * }
 * @phpstan-type Answer array{
 *     id: int, revision: int, formula: array{lines: list<AnsweredLine>, ...<string, mixed>},
 *     lot: array{ingredient: string}, ingredient: array{id: string, ...<string, mixed>},
 *     weighings: list<array{line: string, target_grams: float}>, shelf_lot: int|null,
 *     tasks: list<array{id: string, kind: string}>,
 *     days: list<array{id: int, date: string}>, head_id: int|null, ...<string, mixed>
 * }
 */
final class Maker
{
    public function __construct(private readonly User $user)
    {
    }

    /**
     * @param  array<string, mixed>  $body
     * @return Answer
     */
    public function post(string $path, array $body): array
    {
        return $this->send('POST', $path, $body);
    }

    /**
     * @param  array<string, mixed>  $body
     * @return Answer
     */
    public function put(string $path, array $body): array
    {
        return $this->send('PUT', $path, $body);
    }

    /**
     * @param  array<string, mixed>  $body
     * @return Answer
     */
    private function send(string $method, string $path, array $body): array
    {
        $before = app('request');
        $request = Request::create(
            '/api/'.$path,
            $method,
            server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            content: json_encode($body, JSON_THROW_ON_ERROR),
        );
        Auth::guard('web')->setUser($this->user);
        $response = app(Kernel::class)->handle($request);
        app()->instance('request', $before);
        Facade::clearResolvedInstance('request');
        if ($response->getStatusCode() >= 300) {
            throw new RuntimeException(
                sprintf(
                    'The demo\'s %s %s was answered %d: %s',
                    $method,
                    $path,
                    $response->getStatusCode(),
                    mb_substr((string) $response->getContent(), 0, 500),
                ),
            );
        }

        /** @var Answer */
        return (array) json_decode((string) $response->getContent(), true);
    }
}
