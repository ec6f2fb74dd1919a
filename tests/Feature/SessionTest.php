<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Studio\Studio;
use Illuminate\Database\QueryException;
use Illuminate\Log\Events\MessageLogged;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;

final class SessionTest extends StudioTestCase
{
    /** @param  array<string, mixed>  $body */
    private function post_(string $path, array $body = []): \Illuminate\Testing\TestResponse
    {
        return $this->withHeaders(['Referer' => url('/')])->postJson('/api/'.$path, $body);
    }

    public function test_signs_in_and_out(): void
    {
        $this->post_('sign-in', ['email' => 'amara@loft.example', 'password' => 'wrong'])
            ->assertStatus(422)
            ->assertJsonPath('errors.email.0', 'This address and password do not belong together.');
        $signed = $this->post_('sign-in', ['email' => 'amara@loft.example', 'password' => 'correct horse battery'])
            ->assertOk()
            ->assertJsonPath('signed_in', true);
        $this->keepsTo('Session', (string) $signed->getContent());
        $this->post_('sign-out')->assertOk()->assertJsonPath('signed_in', false);
    }

    public function test_tries_are_throttled(): void
    {
        for ($n = 0; $n < 5; $n++) {
            $this->post_('sign-in', ['email' => 'amara@loft.example', 'password' => 'guess'.$n])->assertStatus(422);
        }
        $this->post_('sign-in', ['email' => 'amara@loft.example', 'password' => 'correct horse battery'])->assertStatus(
            429,
        );
        $this->post_('sign-in', [
            'email' => 'stranger@elsewhere.example',
            'password' => 'correct horse battery',
        ])->assertOk();
    }

    public function test_a_sign_in_from_nowhere_gets_a_clean_answer(): void
    {
        $this->postJson('/api/sign-in', ['email' => 'amara@loft.example', 'password' => 'correct horse battery'])
            ->assertStatus(400)
            ->assertJsonPath('errors.email.0', 'Sign in from the application\'s own page.');
    }

    public function test_the_password_can_be_changed_but_not_in_the_demo(): void
    {
        $this->ask('PUT', 'password', ['current' => 'nope', 'new' => 'a longer password'])
            ->assertStatus(422)
            ->assertJsonPath('errors.current.0', 'This is not your present password.');
        $this->ask('PUT', 'password', ['current' => 'correct horse battery', 'new' => 'short'])
            ->assertStatus(422)
            ->assertJsonPath(
                'errors.new.0',
                'At least 12 characters. Three or four words that have nothing to do with each other are good.',
            );
        $this->ask('PUT', 'password', ['current' => 'correct horse battery', 'new' => 'a longer password'])->assertOk();
        self::assertTrue(
            Auth::guard('web')
                ->getProvider()
                ->validateCredentials($this->amara->refresh(), ['password' => 'a longer password']),
        );

        Studio::query()
            ->whereKey($this->amara->studio_id)
            ->update(['demo' => true]);
        $this->ask('PUT', 'password', ['current' => 'a longer password', 'new' => 'another password'])->assertStatus(
            422,
        );
    }

    public function test_the_demo_opens_only_where_it_is_allowed(): void
    {
        Studio::query()
            ->whereKey($this->amara->studio_id)
            ->update(['demo' => true]);
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

    public function test_a_session_is_a_cookie_that_no_script_reads_and_no_other_page_sends(): void
    {
        $in = ['email' => 'amara@loft.example', 'password' => 'correct horse battery'];
        $names = [];
        foreach ([1, 2] as $time) {
            $cookie = $this->withHeaders(['Referer' => url('/')])
                ->postJson('/api/sign-in', $in)
                ->assertOk()
                ->getCookie((string) config('session.cookie'));
            self::assertTrue($cookie?->isHttpOnly());
            self::assertContains($cookie->getSameSite(), ['lax', 'strict']);
            self::assertSame('/', $cookie->getPath());
            $names[] = $cookie->getValue();
        }
        self::assertNotSame($names[0], $names[1], 'each time another');
        self::assertSame(40, strlen((string) $names[0]));
    }

    public function test_what_was_typed_is_in_no_log(): void
    {
        $told = [];
        Log::listen(static function (MessageLogged $event) use (&$told): void {
            $told[] = $event->message.json_encode($event->context);
        });
        try {
            DB::table('heads')->insert(['no_such_column' => 'Imani is allergic to sesame']);
        } catch (QueryException $e) {
            report($e);
        }
        self::assertCount(1, $told);
        self::assertStringContainsString('no_such_column', $told[0]);
        self::assertStringNotContainsString('sesame', $told[0]);
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
        $grams = fn (): float => $this->got('ReadAnswer', 'POST', 'read', ['text' => '1 cup olive oil'])['assessment'][
            'total_grams'
        ]['best'];
        $us = $grams();
        $this->got('Session', 'PUT', 'studio', [
            'name' => 'Loft',
            'maker' => '',
            'cup' => 'metric',
            'scale_grams' => 0.1,
            'southern' => false,
            'bowl_ml' => 0,
            'time_zone' => 'UTC',
        ]);
        self::assertEqualsWithDelta(250 / 236.588, $grams() / $us, 1e-6);
        $this->ask('PUT', 'studio', ['name' => 'Loft', 'maker' => '', 'cup' => 'metric', 'scale_grams' => 0])
            ->assertStatus(422)
            ->assertJsonValidationErrors('scale_grams');
    }
}
