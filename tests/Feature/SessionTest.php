<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Studio\Accounts;
use App\Studio\SparingSessions;
use App\Studio\Studio;
use App\Studio\User;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Schema;

final class SessionTest extends StudioTestCase
{
    /** @param  array<string, mixed>  $body */
    private function post_(string $path, array $body = []): \Illuminate\Testing\TestResponse
    {
        return $this->withHeaders(['Referer' => url('/')])->postJson('/api/'.$path, $body);
    }

    public function test_signs_in_and_out(): void
    {
        $this->post_('sign-in', ['email' => 'amara@loft.example', 'password' => 'wrong'])->assertStatus(422)->assertJsonPath('errors.email.0', 'This address and password do not belong together.');
        $signed = $this->post_('sign-in', ['email' => 'amara@loft.example', 'password' => 'correct horse battery'])->assertOk()->assertJsonPath('signed_in', true);
        $this->keepsTo('Session', (string) $signed->getContent());
        $this->post_('sign-out')->assertOk()->assertJsonPath('signed_in', false);
    }

    public function test_a_session_is_written_only_when_it_must_be(): void
    {
        $folder = sys_get_temp_dir().'/crown-sessions-'.bin2hex(random_bytes(4));
        mkdir($folder);
        $file = $folder.'/one';
        $sessions = static fn (): SparingSessions => new SparingSessions(new Filesystem, $folder, 60);
        $written = static function (string $content, int $age) use ($sessions, $file): bool {
            touch($file, time() - $age);
            $session = $sessions();
            $session->read('one');
            $session->write('one', $content);
            clearstatcache();

            return filemtime($file) > time() - $age + 5;
        };
        try {
            $sessions()->write('one', 'a');
            self::assertSame('a', $sessions()->read('one'));
            self::assertFalse($written('a', 100), 'written although nothing changed');
            self::assertTrue($written('b', 100), 'a change was lost');
            self::assertSame('b', file_get_contents($file));
            self::assertTrue($written('b', 400), 'a session in use would end');
            // One that ran out, or was taken away meanwhile, is written again.
            $session = $sessions();
            $session->read('one');
            unlink($file);
            clearstatcache();
            $session->write('one', 'b');
            self::assertSame('b', file_get_contents($file));
            touch($file, time() - 4000);
            self::assertSame('', $sessions()->read('one'));
        } finally {
            (new Filesystem)->deleteDirectory($folder);
        }
    }

    public function test_who_is_signed_in_comes_with_her_studio(): void
    {
        self::assertEqualsCanonicalizing(Schema::getColumnListing('users'), Accounts::COLUMNS);
        $accounts = Auth::guard('web')->getProvider();
        self::assertInstanceOf(Accounts::class, $accounts);
        $found = $accounts->retrieveById($this->amara->id);
        $expected = User::query()->with('studio')->findOrFail($this->amara->id);
        self::assertSame($expected->getAttributes(), $found?->getAttributes());
        self::assertSame($expected->studio->getAttributes(), $found->studio->getAttributes());
        self::assertNull($accounts->retrieveById(0));
    }

    public function test_tries_are_throttled(): void
    {
        for ($n = 0; $n < 5; $n++) {
            $this->post_('sign-in', ['email' => 'amara@loft.example', 'password' => 'guess'.$n])->assertStatus(422);
        }
        $this->post_('sign-in', ['email' => 'amara@loft.example', 'password' => 'correct horse battery'])->assertStatus(429);
        $this->post_('sign-in', ['email' => 'stranger@elsewhere.example', 'password' => 'correct horse battery'])->assertOk();
    }

    public function test_a_sign_in_from_nowhere_gets_a_clean_answer(): void
    {
        $this->postJson('/api/sign-in', ['email' => 'amara@loft.example', 'password' => 'correct horse battery'])->assertStatus(400)->assertJsonPath('errors.email.0', 'Sign in from the application\'s own page.');
    }

    public function test_the_password_can_be_changed_but_not_in_the_demo(): void
    {
        $this->ask('PUT', 'password', ['current' => 'nope', 'new' => 'a longer password'])->assertStatus(422)->assertJsonPath('errors.current.0', 'This is not your present password.');
        $this->ask('PUT', 'password', ['current' => 'correct horse battery', 'new' => 'short'])->assertStatus(422)->assertJsonPath('errors.new.0', 'A new password needs at least 10 characters.');
        $this->ask('PUT', 'password', ['current' => 'correct horse battery', 'new' => 'a longer password'])->assertOk();
        self::assertTrue(Auth::guard('web')->getProvider()->validateCredentials($this->amara->refresh(), ['password' => 'a longer password']));

        Studio::query()->whereKey($this->amara->studio_id)->update(['demo' => true]);
        $this->ask('PUT', 'password', ['current' => 'a longer password', 'new' => 'another password'])->assertStatus(422);
    }

    public function test_the_demo_opens_only_where_it_is_allowed(): void
    {
        Studio::query()->whereKey($this->amara->studio_id)->update(['demo' => true]);
        config(['app.demo' => false]);
        $this->post_('demo')->assertStatus(404);
        config(['app.demo' => true]);
        $this->post_('demo')->assertOk()->assertJsonPath('user.email', 'amara@loft.example');
    }

    public function test_without_signing_in_nothing_is_told(): void
    {
        $this->get('/papers/batches/1/label.pdf')->assertRedirect('/sign-in');
        foreach (['/api/today', '/api/formulas', '/api/ingredients'] as $path) {
            $this->getJson($path)->assertStatus(401);
        }
        $this->post_('evaluate', [])->assertStatus(401);
    }

    public function test_pages_carry_a_strict_policy(): void
    {
        $policy = (string) $this->get('/formulas/12')->assertOk()->headers->get('Content-Security-Policy');
        self::assertStringContainsString("script-src 'self'", $policy);
        self::assertStringNotContainsString('unsafe-eval', $policy);
        self::assertStringNotContainsString("script-src 'self' 'unsafe-inline'", $policy);
    }

    public function test_the_studios_cup_and_scale_change_the_figures(): void
    {
        $grams = fn (): float => $this->got('ReadAnswer', 'POST', 'read', ['text' => '1 cup olive oil'])['assessment']['total_grams']['best'];
        $us = $grams();
        $this->got('Session', 'PUT', 'studio', ['name' => 'Loft', 'maker' => '', 'cup' => 'metric', 'scale_grams' => 0.1, 'southern' => false, 'bowl_ml' => 0]);
        self::assertEqualsWithDelta(250 / 236.588, $grams() / $us, 1e-6);
        $this->ask('PUT', 'studio', ['name' => 'Loft', 'maker' => '', 'cup' => 'metric', 'scale_grams' => 0])->assertStatus(422)->assertJsonValidationErrors('scale_grams');
    }
}
