<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Session\RecoveryCodes;
use App\Session\SecurityKind;
use App\Session\SecurityLog;
use App\Session\Strength;
use App\Studio\Role;
use App\Studio\Studio;
use App\Support\Refused;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use PHPUnit\Framework\Attributes\DataProvider;

/** Doors that stood open once: what is kept, who is counted, what is shown to whom. */
final class DoorsTest extends StudioTestCase
{
    private const KEY = ['Idempotency-Key' => 'door-00000001'];

    public function test_no_secret_lies_in_any_table_in_the_clear(): void
    {
        $link = $this->ask('POST', 'invitations', ['role' => 'maker'], headers: self::KEY)
            ->assertCreated()
            ->json('link');
        $token = substr((string) $link, -22);
        $codes = $this->ask(
            'POST',
            'recovery-codes',
            ['current' => 'correct horse battery'],
            headers: ['Idempotency-Key' => 'door-00000002'],
        )->assertCreated()->json('codes');
        $note = 'asthma, a secret';
        $head = $this->ask('POST', 'heads', ['name' => 'x', 'note' => $note], headers: [
            'Idempotency-Key' => 'door-00000003',
        ]);

        $kept = $this->everythingKept();
        foreach ([$token, ...$codes, 'door-00000001'] as $secret) {
            self::assertStringNotContainsString((string) $secret, $kept);
        }
        $this->ask('DELETE', 'heads/'.$head->json('id'))->assertNoContent();
        self::assertStringNotContainsString($note, $this->everythingKept(), 'what was deleted is gone everywhere');
        $again = $this->ask('POST', 'invitations', ['role' => 'maker'], headers: self::KEY)->assertCreated();
        self::assertSame($link, $again->json('link'), 'whoever has the key gets the first answer');
    }

    public function test_a_helper_sees_no_price_of_a_batch(): void
    {
        $this->ask('PUT', 'ingredients/olive-oil/figures', [
            'property' => 'price_per_kg', 'form' => '', 'low' => 12, 'best' => 12, 'high' => 12, 'source' => 'paid',
        ]);
        $batch = $this->batch();
        $helper = $this->withRole(Role::Helper, 'helper');
        $seen = $this->got('Batch', 'GET', 'batches/'.$batch['id'], as: $helper);

        self::assertNull($seen['planned']['cost']);
        self::assertNotNull($this->got('Batch', 'GET', 'batches/'.$batch['id'])['planned']['cost']);
        foreach (['batches', 'today', 'steeps', 'routines'] as $list) {
            $text = (string) $this->ask('GET', $list, as: $helper)->getContent();
            self::assertDoesNotMatchRegularExpression('/"(?:cost|price\w*|per_100g)":\s*[\d{]/', $text, $list);
        }
    }

    /** @return iterable<string, array{string}> */
    public static function guessed(): iterable
    {
        foreach ([
            '123456789012', '1234567890123', 'Password2026!', 'password123!', 'Welcome2026!!', 'iloveyou2026!!',
            'qwertyqwerty', '1q2w3e4r5t6y', 'letmein letmein', 'vicky@v.example', 'xvicky@v.examplex',
        ] as $password) {
            yield $password => [$password];
        }
    }

    #[DataProvider('guessed')]
    public function test_what_is_tried_first_is_no_password(string $password): void
    {
        $this->expectException(Refused::class);
        Strength::demand($password, ['Vicky', 'Kitchen', 'vicky@v.example']);
    }

    public function test_the_list_of_common_passwords_is_long_enough(): void
    {
        $all = file(base_path('data/common-passwords.txt'), FILE_IGNORE_NEW_LINES) ?: [];
        $fit = array_filter($all, static fn (string $word): bool => strlen($word) >= Strength::SHORTEST);
        self::assertGreaterThanOrEqual(1000, count($fit));
        Strength::demand('quiet river lamp nine', ['Vicky', 'Kitchen', 'vicky@v.example']);
    }

    public function test_a_code_opens_once_however_many_come_at_once(): void
    {
        $codes = (new RecoveryCodes())->renew($this->amara);
        // Somebody else used it between the look and the act.
        DB::listen(static function ($query): void {
            if (str_starts_with($query->sql, 'select `id` from `recovery_codes`')) {
                DB::table('recovery_codes')->update(['used_at' => now()]);
            }
        });
        $this->expectException(Refused::class);
        (new RecoveryCodes())->open('amara@loft.example', $codes[0], 'a new good long one', '10.0.0.9');
    }

    public function test_only_the_first_visitor_opens_a_studio(): void
    {
        Studio::query()->delete();
        config(['crown.open_studios' => 'first']);
        $ask = static fn (int $n): array => [
            'name' => "N$n", 'studio' => "S$n", 'email' => "n$n@x.example", 'password' => 'quiet river lamp nine',
            'country' => 'DE', 'time_zone' => 'Europe/Berlin',
        ];
        $this->visit('studios', $ask(1))->assertCreated();
        $this->visit('studios', $ask(2))->assertStatus(409);
        self::assertSame(1, Studio::query()->count());
        self::assertSame(1, (int) DB::selectOne("select is_free_lock('crown opens a studio') as free")->free);
    }

    public function test_what_is_due_is_done_by_itself(): void
    {
        $commands = array_map(
            static fn ($event): string => (string) $event->command,
            $this->app->make(Schedule::class)->events(),
        );
        $sweeps = array_filter($commands, static fn (string $c): bool => str_contains($c, 'crown:sweep'));
        self::assertNotSame([], $sweeps);
        self::assertFileExists(base_path('deploy/honest-crown-schedule.timer'));
    }

    public function test_who_shares_an_address_locks_nobody_out_of_her_own_browser(): void
    {
        $known = $this->signIn('amara@loft.example', 'correct horse battery', '10.1.1.1')->assertOk();
        $cookie = $known->getCookie('crown_device')?->getValue();
        for ($n = 0; $n < 25; $n++) {
            $this->signIn("invented$n", 'guess', '10.1.1.1');
            $this->signIn('amara@loft.example', 'guess', '10.1.1.1');
        }
        $this->signIn('amara@loft.example', 'correct horse battery', '10.1.1.1')->assertStatus(429);
        $this->withCredentials()->withCookie('crown_device', (string) $cookie);
        $this->signIn('amara@loft.example', 'correct horse battery', '10.1.1.1')->assertOk();
    }

    public function test_a_link_that_fits_is_never_counted(): void
    {
        $routine = $this->routineOf($this->batch()['id']);
        $link = (string) $this->ask('POST', 'routines/'.$routine['id'].'/link')->assertCreated()->json('link');
        $look = fn (string $token) => $this->getJson('/api/look/'.$token);
        for ($n = 0; $n < 61; $n++) {
            $look(str_repeat('A', 22));
        }
        $look(str_repeat('A', 22))->assertStatus(429);
        $look(substr($link, -22))->assertOk();
    }

    public function test_an_id_of_twenty_figures_is_no_failure(): void
    {
        $far = str_repeat('9', 20);
        foreach (["papers/lots/$far/label.pdf", "papers/batches/$far/label.pdf", "papers/batches/$far/make.pdf",
            "papers/formulas/$far/sheet.pdf", "photos/$far"] as $path) {
            self::assertContains($this->ask('GET', "/$path")->getStatusCode(), [200, 404], $path);
        }
    }

    public function test_private_pages_are_found_by_no_search(): void
    {
        foreach (['/look/'.str_repeat('A', 22), '/jar/'.str_repeat('A', 22)] as $page) {
            $this->get($page)->assertHeader('X-Robots-Tag', 'noindex, nofollow');
        }
        self::assertStringContainsString('Disallow: /', (string) file_get_contents(public_path('robots.txt')));
    }

    public function test_many_refusals_hide_nothing(): void
    {
        SecurityLog::write($this->amara->studio_id, 'Amara', SecurityKind::Exported);
        $helper = $this->withRole(Role::Helper, 'helper');
        for ($n = 0; $n < 120; $n++) {
            $this->ask('GET', 'formulas', as: $helper)->assertForbidden();
        }
        $log = $this->got('SecurityEvents', 'GET', 'security-log');
        self::assertContains('exported', array_column($log['items'], 'kind'));
        self::assertCount(1, array_keys(array_column($log['items'], 'kind'), 'denied', true));
        self::assertNotSame('', $log['items'][0]['address']);
        $before = $this->got('SecurityEvents', 'GET', 'security-log?before='.$log['items'][0]['id']);
        self::assertSame(array_slice($log['items'], 1), $before['items']);
        $this->ask('PUT', 'password', ['current' => 'guess', 'new' => 'quiet river lamp nine'])
            ->assertJsonValidationErrors('current');
        $log = $this->got('SecurityEvents', 'GET', 'security-log');
        self::assertContains('failed', array_column($log['items'], 'kind'));
    }

    public function test_a_studio_is_passed_on_once_and_with_a_password(): void
    {
        $noor = $this->withRole(Role::Maker, 'noor');
        $path = 'people/'.$noor->id;
        $this->ask('PUT', $path, ['role' => 'owner'])->assertStatus(422)->assertJsonValidationErrors('password');
        $this->ask('PUT', $path, ['role' => 'owner', 'password' => 'guess'])->assertStatus(422);
        $this->ask('PUT', $path, ['role' => 'helper'])->assertOk();
        $this->ask('PUT', $path, ['role' => 'owner', 'password' => 'correct horse battery'])->assertOk();
        self::assertSame(1, DB::table('users')
            ->where('studio_id', $this->amara->studio_id)
            ->where('role', 'owner')
            ->count());
    }

    public function test_in_the_demo_everybody_sees_her_own_session_alone(): void
    {
        $this->amara->studio->update(['demo' => true]);
        DB::table('sessions')->insert([
            'id' => 'another', 'user_id' => $this->amara->id, 'ip_address' => '10.9.9.9', 'user_agent' => 'Firefox',
            'payload' => '', 'last_activity' => 1,
        ]);
        $shown = (string) $this->ask('GET', 'devices')->assertOk()->getContent();
        self::assertStringNotContainsString('10.9.9.9', $shown);
        $this->ask('DELETE', 'devices')->assertStatus(422);
        self::assertTrue(DB::table('sessions')->where('id', 'another')->exists());
    }

    public function test_only_json_and_pictures_are_taken(): void
    {
        $this->actingAs($this->amara, 'web')
            ->withHeaders(['Referer' => url('/'), 'Accept' => 'application/json'])
            ->call('POST', '/api/heads', ['name' => 'formpost', 'strand' => 'fine'], [], [], [
                'CONTENT_TYPE' => 'application/x-www-form-urlencoded',
            ], 'name=formpost&strand=fine')
            ->assertStatus(415);
    }

    public function test_an_address_of_one_letter_is_one(): void
    {
        self::assertSame('m@m.example', \App\Session\Login::free('M@m.example'));
    }

    public function test_words_that_look_like_json_stay_words(): void
    {
        $this->ask('POST', 'heads', ['name' => '[1,2]', 'note' => '{"a": 1.0}'])->assertCreated();
        $all = (array) json_decode($this->ask('GET', 'studio/export')->assertOk()->streamedContent(), true);
        self::assertSame('[1,2]', $all['tables']['heads'][0]['name']);
    }

    /** All that stands in any column of any table. */
    private function everythingKept(): string
    {
        $all = '';
        foreach (Schema::getTables() as $table) {
            $rows = DB::table($table['name'])->get();
            $all .= json_encode($rows, JSON_INVALID_UTF8_SUBSTITUTE | JSON_UNESCAPED_UNICODE);
        }

        return $all;
    }
}
