<?php

declare(strict_types=1);

namespace App\Demo;

use App\Studio\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Facade;
use RuntimeException;

/** A person of the demo studio, who does everything through the same addresses as the screens do. */
final class Maker
{
    public function __construct(private readonly User $user)
    {
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
     */
    public function post(string $path, array $body): array
    {
        return $this->send('POST', $path, $body);
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
     */
    public function put(string $path, array $body): array
    {
        return $this->send('PUT', $path, $body);
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
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

        return (array) json_decode((string) $response->getContent(), true);
    }
}
