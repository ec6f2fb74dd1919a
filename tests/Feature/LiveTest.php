<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Formula\DesignController;
use App\Formula\EvaluationController;
use App\Live\Line;
use Illuminate\Support\Facades\Route;

/** The workers that stay: what one maker asks leaves nothing behind for the next, and a worker that dies is replaced. */
final class LiveTest extends LiveTestCase
{
    public function test_nothing_of_one_maker_is_there_for_the_next(): void
    {
        $own = $this->got('OwnKept', 'POST', 'own-ingredients', ['name' => 'Loft oil', 'inci' => 'LOFT OIL', 'kind' => 'carrier-oil', 'like' => 'olive-oil', 'synonyms' => [], 'allergens' => [], 'vegan' => true, 'figures' => []])['ingredient']['id'];
        $formula = $this->read("Loft butter\n50 g shea butter\n50 g Loft oil");
        self::assertStringContainsString($own, (string) json_encode($formula));
        $expected = $this->got('Evaluation', 'POST', 'evaluate', ['formula' => $formula]);
        $resident = $this->resident();
        $person = static fn (string $email): array => self::asked($resident, '/api/sign-in', ['email' => $email, 'password' => 'correct horse battery'])[2];
        $amara = $person('amara@loft.example');
        $stranger = $person('stranger@elsewhere.example');
        $started = array_keys((fn (): array => $this->instances)->call($resident->app));

        for ($round = 0; $round < 3; $round++) {
            self::assertEquals([200, $expected], array_slice(self::asked($resident, '/api/evaluate', ['formula' => $formula], $amara), 0, 2));
            [$status, $answer] = self::asked($resident, '/api/evaluate', ['formula' => $formula], $stranger);
            self::assertNotEquals($expected['assessment'], $answer['assessment'] ?? null, 'another studio\'s ingredient was known');
            self::assertLessThan(500, $status);
            self::assertSame(401, self::asked($resident, '/api/evaluate', ['formula' => $formula])[0], 'somebody was still signed in');
            self::assertSame(422, self::asked($resident, '/api/evaluate', ['formula' => 'nothing'], $amara)[0]);
        }
        self::assertSame($started, array_keys((fn (): array => $this->instances)->call($resident->app)));
    }

    public function test_what_the_studio_changes_is_known_to_the_next_question(): void
    {
        $formula = $this->read("Measured by cups\n1 cup shea butter\n1 cup olive oil");
        $resident = $this->resident();
        $amara = self::asked($resident, '/api/sign-in', ['email' => 'amara@loft.example', 'password' => 'correct horse battery'])[2];
        $before = self::asked($resident, '/api/evaluate', ['formula' => $formula], $amara)[1]['assessment'];
        $this->ask('PUT', 'studio', ['name' => 'Loft', 'maker' => '', 'cup' => 'imperial', 'scale_grams' => 1, 'southern' => false, 'bowl_ml' => 0])->assertOk();
        $this->ask('PUT', 'ingredients/olive-oil/figures', ['form' => '', 'property' => 'density_20c', 'low' => 0.95, 'best' => 0.95, 'high' => 0.95, 'source' => 'my scale'])->assertSuccessful();
        $after = self::asked($resident, '/api/evaluate', ['formula' => $formula], $amara)[1]['assessment'];

        self::assertNotEquals($before, $after);
        self::assertEquals($this->got('Evaluation', 'POST', 'evaluate', ['formula' => $formula])['assessment'], $after);
    }

    public function test_a_session_that_was_ended_elsewhere_is_ended_here(): void
    {
        $resident = $this->resident();
        $formula = $this->read("Light oil\n80 g jojoba oil\n20 g olive oil");
        $amara = self::asked($resident, '/api/sign-in', ['email' => 'amara@loft.example', 'password' => 'correct horse battery'])[2];
        self::assertSame(200, self::asked($resident, '/api/evaluate', ['formula' => $formula], $amara)[0]);
        // By another process, as the web server's would: what this one remembers of its files is not told of it.
        exec('rm -rf '.escapeshellarg($this->sessions).'/*');
        self::assertSame(401, self::asked($resident, '/api/evaluate', ['formula' => $formula], $amara)[0]);
    }

    public function test_memory_does_not_grow_with_what_was_answered(): void
    {
        $formula = $this->read("Light oil\n80 g jojoba oil\n20 g olive oil");
        $resident = $this->resident();
        $amara = self::asked($resident, '/api/sign-in', ['email' => 'amara@loft.example', 'password' => 'correct horse battery'])[2];
        $answer = static fn (): array => self::asked($resident, '/api/evaluate', ['formula' => $formula], $amara);
        for ($n = 0; $n < 20; $n++) {
            $answer();
        }
        gc_collect_cycles();
        $before = memory_get_usage();
        for ($n = 0; $n < 100; $n++) {
            $answer();
        }
        gc_collect_cycles();
        self::assertLessThan(200_000, memory_get_usage() - $before);
    }

    public function test_only_what_keeps_nothing_goes_to_them(): void
    {
        foreach (Line::ASKS as $path) {
            $route = Route::getRoutes()->match(\Illuminate\Http\Request::create($path, 'POST'));
            self::assertContains(strtok($route->getActionName(), '@'), [EvaluationController::class, DesignController::class], $path);
            self::assertContains('auth:web', $route->gatherMiddleware(), $path);
        }
    }

    public function test_a_worker_that_dies_is_replaced_and_nobody_waits_for_a_desk_that_is_closed(): void
    {
        $socket = sys_get_temp_dir().'/crown-live-'.bin2hex(random_bytes(4)).'.sock';
        $log = $socket.'.log';
        $desk = proc_open([PHP_BINARY, dirname(__DIR__, 2).'/bin/live.php', $socket, '2'], [1 => ['file', $log, 'w'], 2 => ['file', $log, 'a']], $pipes);
        self::assertIsResource($desk);
        $id = proc_get_status($desk)['pid'];
        $waited = static function (callable $until): bool {
            for ($n = 0; $n < 200 && ! $until(); $n++) {
                usleep(100_000);
            }

            return $until();
        };
        // A question without a page's token is refused, by the application itself.
        $answers = static fn (): bool => (Line::ask($socket, self::question('/api/evaluate', []))['status'] ?? 0) === 419;
        $workers = static fn (): array => array_filter(explode(' ', trim((string) @file_get_contents('/proc/'.$id.'/task/'.$id.'/children'))));
        try {
            self::assertTrue($waited($answers), (string) file_get_contents($log));
            self::assertSame(0600, fileperms($socket) & 0777);
            // One that talks nonsense costs nobody anything.
            $line = stream_socket_client('unix://'.$socket);
            self::assertIsResource($line);
            fwrite($line, pack('N', 12).'not a frame!');
            fclose($line);
            self::assertTrue($answers());
            $first = $workers();
            self::assertCount(2, $first);
            array_map(static fn (string $worker): bool => posix_kill((int) $worker, SIGKILL), $first);
            self::assertTrue($waited(static fn (): bool => array_intersect($first, $workers()) === [] && count($workers()) === 2));
            self::assertTrue($waited($answers));
        } finally {
            proc_terminate($desk);
            proc_close($desk);
        }
        self::assertFileDoesNotExist($socket);
        self::assertNull(Line::ask($socket, self::question('/api/evaluate', [])));
        unlink($log);
    }
}
