<?php

declare(strict_types=1);

namespace App\Live;

use Illuminate\Foundation\Application;
use Illuminate\Http\Request;
use RuntimeException;
use Symfony\Component\HttpFoundation\Request as Asked;
use Symfony\Component\HttpFoundation\Response;

/**
 * Keeps a few workers at one socket. Each answers one question at a time; one that ends, for whatever reason, is replaced, and so
 * is one that has answered so many that what it may have gathered in memory should be given back.
 */
final class Desk
{
    private const ANSWERS_EACH = 5_000;

    /** Seconds after which a worker looks whether its desk is still there. */
    private const LOOK_UP = 5;

    /** @var array<int, true> */
    private array $workers = [];

    private bool $closing = false;

    /** @param  int<1, 64>  $count */
    public function __construct(
        private readonly string $socket,
        private readonly int $count,
    ) {
    }

    /** Runs until it is told to stop (SIGTERM, SIGINT). */
    public function open(): void
    {
        $listening = $this->listen();
        pcntl_async_signals(true);
        $close = function (): void {
            $this->closing = true;
        };
        // Not restarted: a wait that goes on would never see that it is time to close.
        pcntl_signal(SIGTERM, $close, false);
        pcntl_signal(SIGINT, $close, false);
        while (! $this->closing) {
            while (count($this->workers) < $this->count) {
                $this->workers[$this->worker($listening)] = true;
            }
            $gone = pcntl_wait($status);
            if ($gone > 0) {
                unset($this->workers[$gone]);
                if (! $this->closing && (! pcntl_wifexited($status) || pcntl_wexitstatus($status) !== 0)) {
                    fwrite(STDERR, date('c').' a worker ended with status '.$status."\n");
                    // One that cannot even start must not be started as fast as it can fail.
                    usleep(200_000);
                }
            }
        }
        foreach (array_keys($this->workers) as $id) {
            posix_kill($id, SIGTERM);
        }
        @unlink($this->socket);
    }

    /** @return resource */
    private function listen()
    {
        @unlink($this->socket);
        // What goes over this line is people's own: nobody else on the machine may listen or ask.
        $before = umask(0177);
        $listening = @stream_socket_server('unix://'.$this->socket, $code, $message);
        umask($before);

        return $listening ?: throw new RuntimeException(sprintf('The workers\' socket %s cannot be opened: %s', $this->socket, $message));
    }

    /** @param  resource  $listening */
    private function worker($listening): int
    {
        $desk = posix_getpid();
        $id = pcntl_fork();
        if ($id !== 0) {
            return $id > 0 ? $id : throw new RuntimeException('No worker could be started.');
        }
        pcntl_signal(SIGTERM, SIG_DFL);
        pcntl_signal(SIGINT, SIG_DFL);
        // Left to itself, a question that never ends would hold a worker for good.
        pcntl_signal(SIGALRM, SIG_DFL);
        $resident = new Resident(self::application());
        for ($answered = 0; $answered < self::ANSWERS_EACH && posix_getppid() === $desk;) {
            $line = @stream_socket_accept($listening, self::LOOK_UP);
            if ($line === false) {
                continue;
            }
            $question = Line::receive($line);
            if ($question !== null) {
                pcntl_alarm(Line::PATIENCE);
                self::answer($resident, $question, static fn (array $answer): bool => Line::send($line, $answer));
                pcntl_alarm(0);
                $answered++;
            }
            fclose($line);
        }
        exit(0);
    }

    /**
     * @param  array<string, mixed>  $question as Line::ask() sends it
     * @param  callable(array{status: int, headers: list<array{string, string}>, body: string}): mixed  $give
     */
    public static function answer(Resident $resident, array $question, callable $give): void
    {
        $array = static fn (string $key): array => is_array($question[$key] ?? null) ? $question[$key] : [];
        $body = is_string($question['body'] ?? null) ? $question['body'] : '';
        $resident->answer(
            Request::createFromBase(new Asked($array('query'), [], [], $array('cookies'), [], $array('server'), $body)),
            static function (Response $response) use ($give): void {
                $headers = [];
                foreach ($response->headers->all() as $name => $values) {
                    foreach ($values as $value) {
                        $headers[] = [(string) $name, (string) $value];
                    }
                }
                $give(['status' => $response->getStatusCode(), 'headers' => $headers, 'body' => (string) $response->getContent()]);
            },
        );
    }

    private static function application(): Application
    {
        return require dirname(__DIR__, 2).'/bootstrap/app.php';
    }
}
