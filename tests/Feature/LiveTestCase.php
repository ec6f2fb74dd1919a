<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Live\Desk;
use App\Live\Resident;
use Illuminate\Container\Container;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Facade;
use Illuminate\Support\Facades\File;

/** An application that stays, beside the one of the test, on the test's own connection. */
abstract class LiveTestCase extends StudioTestCase
{
    protected string $sessions = '';

    protected function tearDown(): void
    {
        File::deleteDirectory($this->sessions);
        parent::tearDown();
    }

    /** An application of its own, on this test's connection. */
    protected function resident(): Resident
    {
        $this->sessions = sys_get_temp_dir().'/crown-sessions-'.bin2hex(random_bytes(4));
        mkdir($this->sessions);
        $test = Container::getInstance();
        $resident = new Resident(require dirname(__DIR__, 2).'/bootstrap/app.php');
        $resident->app->make('db')->connection()->setPdo($this->app?->make('db')->connection()->getPdo());
        $resident->app->make('config')->set(['session.driver' => 'file', 'session.files' => $this->sessions]);

        self::become($test);

        return $resident;
    }

    private static function become(Container $app): void
    {
        Container::setInstance($app);
        Facade::clearResolvedInstances();
        Facade::setFacadeApplication($app);
        Model::setConnectionResolver($app->make('db'));
        Model::setEventDispatcher($app->make('events'));
    }

    /**
     * @param  array<string, mixed>  $body
     * @param  array<string, string>  $cookies
     * @param  array<string, string>  $more of the request's own server fields
     * @return array{int, array<string, mixed>, array<string, string>, list<string>} status, answer, cookies, names of the headers
     */
    protected static function asked(Resident $resident, string $path, array $body, array $cookies = [], array $more = []): array
    {
        // Each of the two applications answers as if it were the only one, as in processes of their own.
        $test = Container::getInstance();
        self::become($resident->app);
        $answer = ['status' => 0, 'headers' => [], 'body' => ''];
        $question = self::question($path, $body, $cookies);
        Desk::answer($resident, [...$question, 'server' => [...$question['server'], ...$more]], static function (array $given) use (&$answer): void {
            $answer = $given;
        });
        self::become($test);
        foreach ($answer['headers'] as [$name, $value]) {
            if ($name === 'set-cookie') {
                [$cookie, $content] = explode('=', (string) strtok($value, ';'), 2);
                $cookies[$cookie] = urldecode($content);
            }
        }

        return [$answer['status'], (array) json_decode($answer['body'], true), $cookies, array_column($answer['headers'], 0)];
    }

    /**
     * @param  array<string, mixed>  $body
     * @param  array<string, string>  $cookies
     * @return array{server: array<string, string>, query: array<string, string>, cookies: array<string, string>, body: string}
     */
    protected static function question(string $path, array $body, array $cookies = []): array
    {
        return [
            'server' => ['REQUEST_METHOD' => 'POST', 'REQUEST_URI' => $path, 'HTTP_HOST' => 'localhost', 'HTTP_REFERER' => 'http://localhost/', 'HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json', 'REMOTE_ADDR' => '127.0.0.1'],
            'query' => [], 'cookies' => $cookies, 'body' => (string) json_encode($body),
        ];
    }
}
