<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\WaitsOnce;
use Closure;
use ErrorException;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use PDO;
use PDOException;
use PHPUnit\Framework\Attributes\DataProvider;
use Throwable;

/** The database away, full or standing still: a 503 that says so, for the screen and for a page. */
final class AwayTest extends StudioTestCase
{
    /** @return iterable<string, array{Throwable, string}> */
    public static function causes(): iterable
    {
        $of = static fn (string $said): QueryException => new QueryException(
            'mariadb',
            'select 1',
            [],
            new PDOException($said),
        );
        yield 'nobody answers' => [
            new PDOException('SQLSTATE[HY000] [2002] Connection refused'),
            'The database does not answer.',
        ];
        yield 'it went away between two questions' => [
            $of('SQLSTATE[HY000]: General error: 2006 MySQL server has gone away'),
            'The database does not answer.',
        ];
        yield 'it stands still' => [
            $of('SQLSTATE[HY000]: General error: 2013 Lost connection to server during query'),
            'The database does not answer.',
        ];
        yield 'it is full of people' => [
            new PDOException('SQLSTATE[HY000] [1040] Too many connections'),
            'The database does not answer.',
        ];
        yield 'it is full' => [
            $of('SQLSTATE[HY000]: General error: 1021 Disk full (/tmp/#sql); waiting for someone to free some space'),
            'The disk of the database is full.',
        ];
        yield 'a table is full' => [
            $of("SQLSTATE[HY000]: General error: 1114 The table 'heads' is full"),
            'The disk of the database is full.',
        ];
        yield 'nothing can be written' => [
            new ErrorException('file_put_contents(): Write of 90 bytes failed with errno=28 No space left on device'),
            'The disk of this machine is full.',
        ];
    }

    #[DataProvider('causes')]
    public function test_it_is_said_what_is_away(Throwable $cause, string $why): void
    {
        Route::get('/api/tried', static fn () => throw $cause);
        Route::get('/photos/tried', static fn () => throw $cause);
        $this->getJson('/api/tried')
            ->assertStatus(503)
            ->assertHeader('Retry-After', '2')
            ->assertJsonPath('message', $why.' Nothing you typed is lost; try again in a moment.');
        $this->get('/photos/tried')->assertStatus(503)->assertSee($why)->assertSee('nothing is lost');
    }

    public function test_a_makers_words_are_not_taken_for_the_databases(): void
    {
        $wrong = new QueryException(
            'mariadb',
            'select ?',
            ['2006 disk full'],
            new PDOException("SQLSTATE[42S22]: Column not found: 1054 Unknown column 'x'"),
        );
        Route::get('/api/tried', static fn () => throw $wrong);
        $this->getJson('/api/tried')->assertStatus(500);
    }

    public function test_a_database_that_stands_still_is_waited_for_once_in_a_request(): void
    {
        self::assertInstanceOf(WaitsOnce::class, DB::connection());
        $time = 0.0;
        WaitsOnce::$clock = static function () use (&$time): float {
            return $time;
        };
        $tried = 0;
        $connection = self::connection(static function () use (&$tried, &$time): PDO {
            $tried++;
            $time += 4.0;

            throw new PDOException('SQLSTATE[HY000]: General error: 2006 MySQL server has gone away');
        });
        foreach (range(1, 3) as $ask) {
            try {
                $ask === 3 ? $connection->beginTransaction() : $connection->select('select 1');
                self::fail('it does not answer');
            } catch (QueryException $e) {
                self::assertStringContainsString('gone away', $e->getMessage());
            }
        }
        self::assertSame(1, $tried);
    }

    public function test_one_that_was_closed_while_nobody_used_it_is_opened_again(): void
    {
        WaitsOnce::$clock = static fn (): float => 0.0;
        $tried = 0;
        $connection = self::connection(static function () use (&$tried): PDO {
            $tried++;

            throw new PDOException('SQLSTATE[HY000]: General error: 2006 MySQL server has gone away');
        });
        try {
            $connection->select('select 1');
            self::fail('it does not answer');
        } catch (QueryException) {
            self::assertSame(2, $tried);
        }
    }

    protected function tearDown(): void
    {
        WaitsOnce::$clock = null;
        parent::tearDown();
    }

    private static function connection(Closure $opens): WaitsOnce
    {
        $connection = new WaitsOnce($opens, 'crown');
        $connection->setReconnector(static fn (Connection $c): Connection => $c->setPdo($opens));

        return $connection;
    }
}
