<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Live\Line;
use App\Live\Resident;
use App\Support\Idempotent;
use App\Support\SecurityHeaders;
use Closure;
use Illuminate\Auth\Middleware\Authenticate;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Foundation\Http\Middleware\ConvertEmptyStringsToNull;
use Illuminate\Foundation\Http\Middleware\InvokeDeferredCallbacks;
use Illuminate\Foundation\Http\Middleware\PreventRequestsDuringMaintenance;
use Illuminate\Foundation\Http\Middleware\TrimStrings;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Middleware\ValidatePathEncoding;
use Illuminate\Http\Middleware\ValidatePostSize;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Routing\Router;
use Illuminate\Support\Facades\DB;
use Laravel\Sanctum\Http\Middleware\EnsureFrontendRequestsAreStateful;

/** What the workers that stay remember: whom they let through, and what they judge with. Neither outlives its reasons. */
final class KeptTest extends LiveTestCase
{
    /** @return array{Resident, Closure(array<string, mixed>=, array<string, string>=, array<string, string>=): array{int, array<string, mixed>, array<string, string>, list<string>}} a resident that has let Amara through, and her next question */
    private function letThrough(): array
    {
        $resident = $this->resident();
        $formula = $this->read("Light oil\n80 g jojoba oil\n20 g olive oil");
        $amara = self::asked($resident, '/api/sign-in', ['email' => 'amara@loft.example', 'password' => 'correct horse battery'])[2];
        $ask = static fn (array $body = [], array $more = [], array $cookies = []): array => self::asked($resident, '/api/evaluate', $body === [] ? ['formula' => $formula] : $body, [...$amara, ...$cookies], $more);
        // The first writes the session, the second finds it as it stays.
        self::assertSame([200, 200], [$ask()[0], $ask()[0]]);

        return [$resident, $ask];
    }

    public function test_one_who_was_let_through_is_asked_for_her_row_and_nothing_else(): void
    {
        [$resident, $ask] = $this->letThrough();
        $asked = [];
        $resident->app->make('db')->connection()->listen(static function (QueryExecuted $query) use (&$asked): void {
            $asked[] = $query->sql;
        });
        [$status, $answer, , $headers] = $ask();
        self::assertSame(200, $status);
        self::assertCount(1, $asked, implode("\n", $asked));
        self::assertStringContainsString('from `users`', $asked[0]);
        self::assertContains('content-security-policy', $headers);
        self::assertNotContains('set-cookie', $headers);
        $this->keepsTo('Evaluation', (string) json_encode((object) $answer, JSON_PRESERVE_ZERO_FRACTION));

        // What is wrong with a question is said the same way.
        [$status, $answer, , $headers] = $ask(['formula' => 'nothing']);
        self::assertSame([422, ['formula']], [$status, array_keys($answer['errors'])]);
        self::assertContains('content-security-policy', $headers);
    }

    public function test_whatever_decides_of_a_question_is_looked_at_again_when_it_is_another(): void
    {
        [, $ask] = $this->letThrough();
        $whole = static fn (array $answer): array => [$answer[0], in_array('set-cookie', $answer[3], true)];
        self::assertSame([200, false], $whole($ask()));
        self::assertSame([401, true], $whole($ask(cookies: ['honest_crown_session' => 'forged'])));
        self::assertSame(401, $ask(more: ['HTTP_REFERER' => 'http://elsewhere.example/'])[0]);
        self::assertSame(422, $ask(more: ['HTTP_IDEMPOTENCY_KEY' => 'short'])[0], 'a key of its own has to be written down');
        self::assertSame([200, false], $whole($ask()));
    }

    public function test_a_password_changed_elsewhere_ends_it(): void
    {
        [, $ask] = $this->letThrough();
        $this->amara->update(['password' => 'another horse battery']);
        self::assertSame(401, $ask()[0]);
    }

    public function test_a_person_who_is_gone_is_not_let_through(): void
    {
        [, $ask] = $this->letThrough();
        $this->amara->delete();
        self::assertSame(401, $ask()[0]);
    }

    public function test_after_a_minute_the_whole_way_is_gone_again(): void
    {
        [$resident, $ask] = $this->letThrough();
        $asked = 0;
        $resident->app->make('router')->matched(static function () use (&$asked, $resident): void {
            $asked += $resident->app->bound('middleware.disable') ? 0 : 1;
        });
        $ask();
        self::assertSame(0, $asked);
        $this->travel(61)->seconds();
        self::assertSame(200, $ask()[0]);
        self::assertSame(1, $asked);
        $ask();
        self::assertSame(1, $asked);
    }

    /** The short way rests on this: none of them looks at anything but the headers, the session and the person, or does anything on the way. */
    public function test_the_whole_way_is_the_one_that_passes_stand_for(): void
    {
        $router = $this->app?->make('router');
        self::assertInstanceOf(Router::class, $router);
        foreach (Line::ASKS as $path) {
            self::assertSame(
                [EnsureFrontendRequestsAreStateful::class, Authenticate::class.':web', SubstituteBindings::class, Idempotent::class],
                $router->gatherRouteMiddleware($router->getRoutes()->match(Request::create($path, 'POST'))),
                $path,
            );
        }
        $kernel = $this->app?->make(Kernel::class);
        self::assertInstanceOf(\Illuminate\Foundation\Http\Kernel::class, $kernel);
        self::assertSame([
            ValidatePathEncoding::class, InvokeDeferredCallbacks::class, TrustProxies::class, PreventRequestsDuringMaintenance::class,
            ValidatePostSize::class, TrimStrings::class, ConvertEmptyStringsToNull::class, SecurityHeaders::class,
        ], array_values($kernel->getGlobalMiddleware()));
    }

    public function test_every_row_that_formulas_are_judged_with_is_counted_when_it_changes(): void
    {
        $own = $this->got('OwnKept', 'POST', 'own-ingredients', ['name' => 'Loft oil', 'inci' => 'LOFT OIL', 'kind' => 'carrier-oil', 'like' => 'olive-oil', 'synonyms' => [], 'allergens' => [], 'vegan' => true, 'figures' => []])['ingredient']['id'];
        $steep = $this->steep(start: today()->subDays(30)->toDateString());
        $lot = $this->got('Steep', 'POST', 'steeps/'.$steep['id'].'/strain', ['revision' => $steep['revision'], 'yield_grams' => 300, 'loss_grams' => 0])['lot']['ingredient'];
        $formula = $this->read("Loft butter\n50 g shea butter\n30 g Loft oil\n20 g olive oil");
        $formula['lines'][2]['ingredient'] = $lot;
        self::assertStringContainsString($own, (string) json_encode($formula));
        $resident = $this->resident();
        $tables = [];
        $resident->app->make('db')->connection()->listen(static function (QueryExecuted $query) use (&$tables): void {
            preg_match_all('/(?:from|join) `(\w+)`/', $query->sql, $m);
            $tables = [...$tables, ...$m[1]];
        });
        $amara = self::asked($resident, '/api/sign-in', ['email' => 'amara@loft.example', 'password' => 'correct horse battery'])[2];
        self::assertSame(200, self::asked($resident, '/api/evaluate', ['formula' => $formula], $amara)[0]);

        $counted = array_unique(array_column(DB::select('SELECT event_object_table AS t FROM information_schema.triggers WHERE trigger_schema = DATABASE()'), 't'));
        $made = array_values(array_diff(array_unique($tables), ['users', 'studios', 'studio_changes']));
        self::assertContains('own_ingredients', $made);
        self::assertContains('steep_events', $made);
        self::assertSame([], array_diff($made, $counted));
        foreach ($counted as $table) {
            $row = DB::table($table)->where('studio_id', $this->amara->studio_id)->first();
            if ($row === null) {
                continue;
            }
            $before = DB::table('studio_changes')->where('studio_id', $row->studio_id)->value('changes');
            DB::table($table)->where('id', $row->id)->update(['created_at' => '2020-01-01 00:00:00']);
            DB::table($table)->where('id', $row->id)->delete();
            self::assertGreaterThanOrEqual($before + 2, DB::table('studio_changes')->where('studio_id', $row->studio_id)->value('changes'), $table);
        }
    }
}
