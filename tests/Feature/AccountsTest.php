<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Session\NewPasswordMail;
use App\Session\PasswordSetMail;
use App\Studio\Role;
use App\Studio\Studio;
use App\Studio\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Schema;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** Studios of one's own: opened, entered, shared, and left. */
final class AccountsTest extends StudioTestCase
{
    private const GOOD = 'three grey geese by the mill';

    /** What each route asks for; a route that is not named here fails the test. */
    private const ROUTES = [
        'anybody' => [
            'session.show', 'session.sign-in', 'session.demo', 'studio.open', 'session.recover', 'countries.index',
            'links.look', 'links.jar', 'join.show', 'join.store', 'session.mail', 'session.mailed', 'app',
            'sanctum.csrf-cookie',
        ],
        'herself' => [
            'session.sign-out', 'session.password', 'session.codes', 'devices.index', 'devices.others', 'devices.end',
        ],
        'help' => [
            'ping', 'today', 'methods.index', 'methods.show', 'steeps.index', 'steeps.show', 'steeps.shake',
            'batches.index', 'batches.show', 'batches.weigh', 'batches.tick', 'routines.index', 'routines.show',
            'routines.tick', 'batches.label', 'batches.sheet', 'lots.label', 'photos.show', 'counter.pour',
            'counter.time',
            'counter.stop',
            'counter.read', 'counter.unread',
        ],
        'make' => [
            'studio.update', 'schools.index', 'schools.choose', 'kit.index', 'kit.store', 'kit.update', 'kit.destroy',
            'ingredients.index', 'ingredients.compare', 'ingredients.show', 'own.store', 'own.update',
            'own.destroy', 'ingredients.correct', 'ingredients.uncorrect', 'ingredients.stock', 'ingredients.unstock',
            'evaluate', 'cure', 'working', 'read', 'water', 'load', 'cost', 'without-scale', 'stock', 'swap', 'reshare',
            'read.settle', 'read.forget', 'read.steep', 'read.dose', 'design', 'formulas.index', 'formulas.store',
            'formulas.skeleton', 'formulas.show', 'formulas.text', 'formulas.update', 'formulas.destroy',
            'formulas.restore', 'formulas.keep', 'formulas.family', 'formulas.variant', 'formulas.pass',
            'formulas.leave', 'heads.index', 'heads.store', 'heads.show', 'heads.update', 'heads.destroy',
            'heads.mark', 'heads.unmark', 'heads.guide', 'heads.suggest', 'heads.export', 'heads.advice',
            'heads.formula', 'steeps.plan', 'steeps.store', 'steeps.strain', 'steeps.spoil', 'steeps.destroy',
            'steeps.restore', 'steeps.record', 'steeps.unrecord', 'steeps.photo', 'steeps.unphoto', 'lots.index',
            'lots.withdraw', 'batches.store', 'batches.rehearse', 'batches.rehearsed', 'procedure', 'batches.finish',
            'batches.destroy', 'batches.restore', 'batches.find',
            'batches.unfind', 'routines.store', 'routines.link', 'batches.link', 'shelf.index', 'shelf.read',
            'shelf.store', 'shelf.show', 'shelf.update', 'shelf.move', 'shelf.end', 'shelf.withdraw',
            'batches.cost', 'shelf.shopping', 'shelf.use-up', 'shelf.photo', 'shelf.unphoto',
            'orders.index', 'orders.store', 'orders.update', 'links.index', 'links.end',
            'routines.destroy', 'routines.restore', 'formulas.sheet',
        ],
        'own' => [
            'people.index', 'people.update', 'people.destroy', 'people.invite', 'people.uninvite', 'people.log',
            'studio.export', 'studio.leave', 'studio.stay',
        ],
    ];

    /** @return list<string> kinds of what the owner sees, the latest first */
    private function log(): array
    {
        return array_column($this->got('SecurityEvents', 'GET', 'security-log')['items'], 'kind');
    }

    public function test_the_first_visitor_opens_a_studio_and_is_in_it(): void
    {
        Studio::query()->update(['demo' => true]);
        $asked = [
            'name' => 'Ife',
            'studio' => 'Ife\'s kitchen',
            'email' => ' IFE@Kitchen.example ',
            'password' => self::GOOD,
            'country' => 'DE',
            'time_zone' => 'Europe/Berlin',
        ];
        self::assertTrue($this->getJson('/api/session')->json('can_open'));
        $opened = $this->visit('studios', $asked)->assertCreated();
        $this->keepsTo('Session', (string) $opened->getContent());

        self::assertSame(['ife@kitchen.example', 'owner', ['help', 'make', 'own']], [
            $opened->json('user.email'),
            $opened->json('user.role'),
            $opened->json('user.rights'),
        ]);
        self::assertSame(['metric', true, 'EUR', 'Europe/Berlin', false], [
            $opened->json('studio.cup'),
            $opened->json('studio.decimal_comma'),
            $opened->json('studio.currency'),
            $opened->json('studio.time_zone'),
            $opened->json('studio.set_up'),
        ]);
        $this->visit('studios', [...$asked, 'email' => 'second'])
            ->assertStatus(409)
            ->assertJsonValidationErrors('studio');
        config(['crown.open_studios' => 'anyone']);
        $this->visit('studios', [...$asked, 'email' => 'IFE@kitchen.example'])
            ->assertStatus(422)
            ->assertJsonValidationErrors('email');
        $this->visit('studios', [...$asked, 'email' => 'second'])->assertCreated();
        config(['crown.open_studios' => 'nobody']);
        self::assertFalse($this->getJson('/api/session')->json('can_open'));
        self::assertNotSame([], $this->getJson('/api/countries')->assertOk()->json('items'));
    }

    #[DataProvider('weak')]
    public function test_a_password_that_others_would_guess_is_not_taken(string $password, string $why): void
    {
        config(['crown.open_studios' => 'anyone']);
        $this->visit('studios', [
            'name' => 'Wilhelmina',
            'studio' => 'Rosewater',
            'email' => 'mina@rosewater.example',
            'password' => $password,
        ])->assertStatus(422)->assertJsonPath(
            'errors.password.0',
            $why.' Three or four words that have nothing to do with each other are good.',
        );
    }

    /** @return iterable<string, array{string, string}> */
    public static function weak(): iterable
    {
        yield 'short' => ['gfj4 92kd', 'At least 12 characters.'];
        yield 'long' => [
            str_repeat('abcdefgh ', 9),
            'At most 72 bytes, about as many letters: what follows would not count.',
        ];
        $common = 'This is one of the passwords that everybody tries first.';
        yield 'common' => ['Password1234', $common];
        yield 'common, with signs' => ['p@ssw0rd-123', $common];
        yield 'common, with a year' => ['Sunshine2026', $common];
        yield 'one letter' => ['aaaaaabbbbbb', 'More different letters: it is guessed at once.'];
        yield 'a run' => ['mnopqrstuvwx', 'No run along the keyboard or the alphabet: it is guessed at once.'];
        yield 'her own name' => ['wilhelmina77', 'Not your own name, address or studio: they are tried first.'];
        yield 'her studio' => ['rosewater!!!', 'Not your own name, address or studio: they are tried first.'];
    }

    public function test_one_account_has_one_spelling_and_its_failures_are_counted_together(): void
    {
        $spellings = ['amara@loft.example', ' Amara@Loft.example', "AMARA@loft.example\u{200b}", 'ａmara@loft.example'];
        foreach ($spellings as $n => $as) {
            $this->signIn($as, 'correct horse battery', '10.0.1.'.$n)->assertOk();
        }
        $this->signIn('ámara@loft.example', 'correct horse battery', '10.0.1.9')->assertStatus(422);
        foreach ([...$spellings, 'amara@LOFT.example'] as $as) {
            $this->signIn($as, 'guess')->assertStatus(422);
        }
        $this->signIn('amara@loft.example ', 'correct horse battery')->assertStatus(429)->assertHeader('Retry-After');
        $this->signIn('amara@loft.example', 'correct horse battery', '10.0.0.2')->assertOk();
        self::assertSame(5, count(array_keys($this->log(), 'failed', true)));
    }

    public function test_one_address_cannot_go_through_many_accounts(): void
    {
        for ($n = 0; $n < 20; $n++) {
            $this->signIn("nobody$n", 'guess', '10.0.3.1')->assertStatus(422);
        }
        $this->signIn('amara@loft.example', 'correct horse battery', '10.0.3.1')->assertStatus(429);
        $this->signIn('amara@loft.example', 'correct horse battery', '10.0.3.2')->assertOk();
    }

    public function test_sessions_are_listed_and_ended_and_a_new_password_ends_the_others(): void
    {
        $other = static fn (string $id, int $of): bool => DB::table('sessions')->insert([
            'id' => $id,
            'user_id' => $of,
            'ip_address' => '10.9.9.9',
            'user_agent' => 'Mozilla/5.0 (X11; Linux) Firefox/140',
            'payload' => '',
            'last_activity' => 1,
        ]);
        $other('of-amara', $this->amara->id);
        $other('of-amara-too', $this->amara->id);
        $other('of-stranger', $this->stranger->id);
        $devices = $this->got('DeviceList', 'GET', 'devices')['items'];
        $ids = array_column($devices, 'id');
        self::assertContains(hash('sha256', 'of-amara'), $ids);
        self::assertNotContains(hash('sha256', 'of-stranger'), $ids);
        self::assertContains('Firefox on Linux', array_column($devices, 'on'));
        $this->ask('DELETE', 'devices/'.hash('sha256', 'of-stranger'))->assertNotFound();
        $this->got('DeviceList', 'DELETE', 'devices/'.hash('sha256', 'of-amara'));
        self::assertFalse(DB::table('sessions')->where('id', 'of-amara')->exists());
        self::assertTrue(DB::table('sessions')->where('id', 'of-amara-too')->exists());
        $this->got('DeviceList', 'DELETE', 'devices');
        self::assertFalse(DB::table('sessions')->where('id', 'of-amara-too')->exists());
        $other('of-amara', $this->amara->id);
        $this->ask('PUT', 'password', ['current' => 'correct horse battery', 'new' => 'correct horse battery'])
            ->assertStatus(422)
            ->assertJsonValidationErrors('new');
        $this->got('Session', 'PUT', 'password', ['current' => 'correct horse battery', 'new' => self::GOOD]);
        self::assertFalse(DB::table('sessions')->where('id', 'of-amara')->exists());
        self::assertTrue(DB::table('sessions')->where('id', 'of-stranger')->exists());
    }

    public function test_a_lost_password_is_replaced_by_a_code_that_opens_once(): void
    {
        $this->ask('POST', 'recovery-codes', ['current' => 'nope'])->assertStatus(422);
        $codes = $this->got('RecoveryCodes', 'POST', 'recovery-codes', ['current' => 'correct horse battery'])['codes'];
        self::assertCount(10, array_unique($codes));
        self::assertFalse(DB::table('recovery_codes')->where('hash', $codes[0])->exists(), 'only hashes are kept');
        $ask = ['email' => 'Amara@loft.example', 'code' => strtoupper($codes[3]), 'new' => 'short'];
        $this->visit('recover', $ask)->assertStatus(422)->assertJsonValidationErrors('new');
        $this->visit('recover', [...$ask, 'new' => self::GOOD])->assertOk()->assertJsonPath('signed_in', true);
        $this->visit('recover', [...$ask, 'new' => 'another good long one'])
            ->assertStatus(422)
            ->assertJsonValidationErrors('code');
        $this->signIn('amara@loft.example', self::GOOD)->assertOk();
        $this->visit('recover', ['email' => 'stranger@elsewhere.example', 'code' => $codes[4], 'new' => self::GOOD])
            ->assertStatus(422);
        for ($n = 0; $n < 8; $n++) {
            $this->visit('recover', [...$ask, 'code' => 'xxxxx'])->assertStatus(422);
        }
        $this->visit('recover', [...$ask, 'code' => 'yyyyy'])->assertStatus(429);
        $right = [...$ask, 'code' => $codes[5], 'new' => 'another good long one'];
        $this->visit('recover', $right)->assertOk()->assertJsonPath('signed_in', true);
        self::assertContains('recovered', $this->log());
    }

    public function test_a_person_joins_by_a_link_works_and_is_removed_and_her_name_stays(): void
    {
        $made = $this->got('Invitation', 'POST', 'invitations', ['role' => 'maker']);
        $token = basename($made['link']);
        self::assertFalse(DB::table('invitations')->where('hash', $token)->exists(), 'only its hash is kept');
        $this->keepsTo('InvitationSeen', (string) $this->getJson('/api/join/'.$token)->assertOk()->getContent());
        $her = ['name' => 'Noor', 'email' => 'noor', 'password' => self::GOOD];
        $this->visit('join/'.$token, [...$her, 'password' => 'noornoor'])->assertStatus(422);
        $this->visit('join/'.$token, $her)->assertCreated()->assertJsonPath('user.role', 'maker');
        $this->visit('join/'.$token, [...$her, 'email' => 'zoe'])->assertNotFound();
        $noor = User::query()->where('email', 'noor')->firstOrFail();
        $formula = $this->formula();
        $batch = $this->got('Batch', 'POST', 'batches', ['formula_id' => $formula['id']], $noor);
        $people = $this->got('People', 'PUT', 'people/'.$noor->id, ['role' => 'helper'])['people'];
        self::assertSame(['owner', 'helper'], array_column($people, 'role'));
        $this->ask('POST', 'formulas', [], $noor->refresh())->assertForbidden();
        $this->ask('DELETE', 'people/'.$this->amara->id)->assertStatus(422);
        DB::table('sessions')
            ->insert(['id' => 'of-noor', 'user_id' => $noor->id, 'payload' => '', 'last_activity' => 1]);
        $this->got('People', 'DELETE', 'people/'.$noor->id);
        $this->signIn('noor', self::GOOD)->assertStatus(422);
        self::assertFalse(DB::table('sessions')->where('id', 'of-noor')->exists());
        self::assertStringContainsString('Noor', (string) $this->ask('GET', 'batches/'.$batch['id'])->getContent());
        self::assertSame(
            ['removed', 'denied', 'role-changed', 'joined', 'invited'],
            array_slice($this->log(), 0, 5),
        );

        $this->got('Invitation', 'POST', 'invitations', ['role' => 'helper']);
        $open = $this->got('People', 'GET', 'people')['invitations'];
        self::assertCount(1, $open);
        self::assertSame([], $this->got('People', 'DELETE', 'invitations/'.$open[0]['id'])['invitations']);
        $late = basename($this->got('Invitation', 'POST', 'invitations', ['role' => 'helper'])['link']);
        $this->travel(8)->days();
        $this->getJson('/api/join/'.$late)->assertNotFound();
        $this->ask('POST', 'invitations', ['role' => 'owner'])->assertStatus(422);
    }

    public function test_who_touched_a_thing_last_is_seen_on_it_and_stays(): void
    {
        $noor = $this->withRole(Role::Maker, 'noor');
        $page = $this->formula();
        self::assertSame('amara', $page['touched']['by']);
        $saved = $this->got('FormulaPage', 'PUT', 'formulas/'.$page['id'], [
            'revision' => $page['revision'],
            'formula' => $page['formula'],
            'head_id' => null,
        ], $noor);
        self::assertSame('Noor', $saved['touched']['by']);
        $this->got('People', 'DELETE', 'people/'.$noor->id);
        self::assertSame('Noor', $this->got('FormulaPage', 'GET', 'formulas/'.$page['id'])['touched']['by']);
        self::assertSame('amara', $this->steep()['touched']['by']);
        self::assertSame('amara', $this->headOf()['touched']['by']);
        $routine = $this->routineOf($this->batch()['id']);
        self::assertSame('amara', $routine['touched']['by']);
        $ticked = $this->got(
            'Routine',
            'PUT',
            'routine-days/'.$routine['days'][0]['id'],
            ['state' => 'done'],
            $this->withRole(Role::Helper, 'hana'),
        );
        self::assertSame('Hana', $ticked['touched']['by']);
    }

    public function test_a_jar_has_its_passport_by_a_private_link_and_what_is_found_bad_stands_on_it(): void
    {
        $open = $this->got('Batch', 'POST', 'batches', ['formula_id' => $this->formula()['id']]);
        $this->ask('POST', 'batches/'.$open['id'].'/link')->assertStatus(409);
        $batch = $this->batch();
        $token = basename($this->got('PrivateLink', 'POST', 'batches/'.$batch['id'].'/link')['link']);
        $look = function (string $kind = 'jar') use ($token): TestResponse {
            $this->app?->forgetScopedInstances();
            Auth::forgetGuards();

            return $this->getJson("/api/$kind/$token");
        };
        $seen = $look()->assertOk()->assertHeader('X-Robots-Tag', 'noindex, nofollow');
        $this->keepsTo('JarPassport', (string) $seen->getContent());
        self::assertSame($batch['label'], $seen->json('label'));
        self::assertSame([], $seen->json('must_not_be_used'));
        self::assertSame('27 g net', $seen->json('label.net'));
        $look('look')->assertNotFound();
        $this->getJson('/api/batches')->assertUnauthorized();
        $this->travel(9)->days();
        $bad = ['on' => today()->toDateString(), 'texture' => '', 'state' => 'off', 'note' => 'It smells of putty.'];
        $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/findings', $bad);
        self::assertStringContainsString('found bad', $look()->json('must_not_be_used.0'));
        $this->got('LinkList', 'DELETE', 'links/'.$this->got('LinkList', 'GET', 'links')['items'][0]['id']);
        $look()->assertNotFound();
    }

    public function test_where_mail_is_sent_a_lost_password_is_recovered_by_a_link_that_works_once(): void
    {
        config(['mail.default' => 'log']);
        $this->visit('recover/mail', ['email' => $this->amara->email])->assertStatus(422);
        self::assertFalse($this->getJson('/api/session')->json('can_mail'));
        config(['mail.default' => 'array']);
        Mail::fake();
        self::assertTrue($this->getJson('/api/session')->json('can_mail'));
        // Whoever is not known here is answered in the same words.
        $this->visit('recover/mail', ['email' => 'nobody@elsewhere.example'])->assertStatus(202);
        $this->visit('recover/mail', ['email' => 'helper'])->assertStatus(202);
        Mail::assertNothingSent();
        $this->visit('recover/mail', ['email' => ' '.strtoupper($this->amara->email)])->assertStatus(202);
        $link = '';
        Mail::assertSent(NewPasswordMail::class, function (NewPasswordMail $mail) use (&$link): bool {
            $link = $mail->link;
            $mail->assertSeeInText($link);

            return $mail->hasTo($this->amara->email);
        });
        parse_str((string) parse_url($link, PHP_URL_QUERY), $of);
        self::assertFalse(DB::table('password_reset_tokens')->where('token', $of['token'])->exists(), 'only its hash');
        $ask = ['email' => $of['email'], 'code' => $of['token'], 'new' => self::GOOD];
        $mailed = fn (array $body): TestResponse => $this->visit('recover/mail', $body, method: 'PUT');
        $mailed([...$ask, 'code' => 'wrong'])->assertStatus(422)->assertJsonValidationErrors('code');
        $mailed([...$ask, 'new' => 'short'])->assertStatus(422)->assertJsonValidationErrors('new');
        $mailed($ask)->assertOk()->assertJsonPath('signed_in', true);
        $mailed([...$ask, 'new' => 'another good long one'])->assertStatus(422);
        $this->signIn($this->amara->email, self::GOOD)->assertOk();
        self::assertContains('recovered', $this->log());
        self::assertSame(0, DB::table('password_reset_tokens')->count());
    }

    public function test_a_changed_password_is_told_by_mail_where_mail_is_sent(): void
    {
        config(['mail.default' => 'array']);
        Mail::fake();
        $change = ['current' => 'correct horse battery', 'new' => self::GOOD];
        $this->ask('PUT', 'password', $change)->assertOk();
        Mail::assertSent(
            PasswordSetMail::class,
            fn (PasswordSetMail $mail): bool => $mail->hasTo($this->amara->email) && $mail->how === 'under Studio',
        );
        config(['mail.default' => 'log']);
        $this->ask('PUT', 'password', ['current' => self::GOOD, 'new' => 'another good long one'])->assertOk();
        Mail::assertSentCount(1);
    }

    public function test_who_asks_for_what_is_not_her_part_is_written_down(): void
    {
        $helper = $this->withRole(Role::Helper, 'helper');
        $this->ask('GET', 'formulas', [], $helper)->assertForbidden();
        $event = $this->got('SecurityEvents', 'GET', 'security-log')['items'][0];
        self::assertSame(['denied', 'Helper', 'api/formulas'], [$event['kind'], $event['name'], $event['what']]);
    }

    public function test_an_account_is_tried_at_most_sixty_times_in_an_hour_from_one_address(): void
    {
        foreach (range(1, 12) as $minute) {
            foreach (range(1, 5) as $try) {
                $this->signIn($this->amara->email, 'wrong')->assertStatus(422);
            }
            $this->travel(61)->seconds();
        }
        $this->signIn($this->amara->email, 'wrong')->assertStatus(429);
        $this->travel(3600)->seconds();
        $this->signIn($this->amara->email, 'wrong')->assertStatus(422);
    }

    public function test_nobody_asks_for_letters_without_end(): void
    {
        config(['mail.default' => 'array']);
        Mail::fake();
        foreach (range(1, 10) as $n) {
            $this->visit('recover/mail', ['email' => "nobody$n@elsewhere.example"])->assertStatus(202);
        }
        $this->visit('recover/mail', ['email' => 'nobody@elsewhere.example'])->assertStatus(429);
    }

    public function test_a_studio_in_the_united_states_writes_its_dates_and_labels_as_they_are_written_there(): void
    {
        $this->amara->studio->update(['country' => 'US', 'date_style' => 'month-first']);
        $session = $this->got('Session', 'GET', 'session')['studio'];
        self::assertSame('month-first', $session['date_style']);
        self::assertStringContainsString('United States', $session['before_selling']);
        self::assertSame('Net wt 0.95 oz (27 g)', $this->batch()['label']['net']);
    }

    public function test_a_routine_is_seen_by_its_private_link_and_nothing_else_until_it_is_ended(): void
    {
        $routine = $this->routineOf($this->batch()['id']);
        $link = $this->got('PrivateLink', 'POST', 'routines/'.$routine['id'].'/link')['link'];
        $token = basename($link);
        self::assertFalse(DB::table('private_links')->where('hash', $token)->exists(), 'only its hash is kept');
        self::assertNull($this->got('LinkList', 'GET', 'links')['items'][0]['used_at']);
        $look = function (string $token): TestResponse {
            $this->app?->forgetScopedInstances();
            Auth::forgetGuards();

            return $this->getJson('/api/look/'.$token);
        };
        $seen = $look($token)->assertOk()->assertHeader('X-Robots-Tag', 'noindex, nofollow');
        $this->keepsTo('RoutineCard', (string) $seen->getContent());
        self::assertSame($routine['product'], $seen->json('product'));
        self::assertArrayNotHasKey('id', $seen->json('days.0'));
        self::assertArrayNotHasKey('batch_id', $seen->json());
        $this->getJson('/api/today')->assertUnauthorized();
        $links = $this->got('LinkList', 'GET', 'links')['items'];
        self::assertNotNull($links[0]['used_at']);
        $look(str_repeat('x', 22))->assertNotFound();
        $this->ask('DELETE', 'links/'.$links[0]['id'], [], $this->stranger)->assertNotFound();
        $this->got('LinkList', 'DELETE', 'links/'.$links[0]['id']);
        $look($token)->assertNotFound();
        self::assertSame(['unlinked', 'linked'], array_slice($this->log(), 0, 2));
    }

    public function test_an_owner_passes_her_studio_on(): void
    {
        $noor = $this->withRole(Role::Maker, 'noor');
        $this->got('People', 'PUT', 'people/'.$noor->id, ['role' => 'owner', 'password' => 'correct horse battery']);

        self::assertSame(Role::Owner, $noor->refresh()->role);
        self::assertSame(Role::Maker, $this->amara->refresh()->role);
        $this->ask('GET', 'people')->assertForbidden();
    }

    public function test_every_route_is_open_to_whom_it_should_be_and_to_nobody_else(): void
    {
        $known = array_merge(...array_values(self::ROUTES));
        $people = [
            'helper' => $this->withRole(Role::Helper, 'helper'),
            'maker' => $this->withRole(Role::Maker, 'maker'),
            'owner' => $this->amara,
        ];
        $rights = array_merge(...array_map(
            static fn (string $right, array $names): array => array_fill_keys($names, $right),
            array_keys(self::ROUTES),
            self::ROUTES,
        ));
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $name = (string) $route->getName();
            self::assertContains($name, $known, 'Teach this test about '.$route->uri());
            $right = $rights[$name];
            if ($right === 'anybody') {
                continue;
            }
            $path = '/'.preg_replace('/\{(?:device)\}/', str_repeat('a', 64), $route->uri());
            $path = (string) preg_replace(
                ['/\{method\}/', '/\{ingredient\}/', '/\{\w+\}/'],
                ['steeps', 'olive-oil', '999999'],
                $path,
            );
            $method = $route->methods()[0];
            $this->app?->forgetScopedInstances();
            Auth::forgetGuards();
            $this->flushSession();
            $nobody = $this->withHeaders(['Referer' => url('/')])->json($method, $path);
            self::assertContains($nobody->getStatusCode(), [401, 302], "$name for nobody");
            foreach ($people as $who => $person) {
                if (in_array($name, ['session.sign-out', 'devices.others'], true)) {
                    continue;
                }
                $may = $right === 'herself' || $person->role->may($right);
                $status = $this->ask($method, $path, [], $person)->getStatusCode();
                $may
                    ? self::assertNotContains($status, [401, 403, 500], "$name for a $who")
                    : self::assertSame(403, $status, "$name for a $who");
            }
        }
    }

    public function test_a_helper_sees_no_prices(): void
    {
        $draft = self::steepDraft();
        $draft['herbs'][0]['cost'] = 3.5;
        $draft['oils'][0]['cost'] = 4.5;
        $steep = $this->got('Steep', 'POST', 'steeps', $draft);
        self::assertEqualsWithDelta(8.0, $steep['cost'], 1e-6);
        $seen = $this->got('Steep', 'GET', 'steeps/'.$steep['id'], as: $this->withRole(Role::Helper, 'helper'));

        self::assertNull($seen['cost']);
        self::assertSame([null], array_column($seen['draft']['herbs'], 'cost'));
        self::assertSame([null], array_column($seen['draft']['oils'], 'cost'));
    }

    public function test_what_is_taken_away_is_all_of_it_and_no_secret(): void
    {
        $this->formula();
        $this->steep();
        $answer = $this->ask('GET', 'studio/export')->assertOk();
        $this->keepsTo('StudioExport', $answer->streamedContent());
        $all = (array) json_decode($answer->streamedContent(), true);

        self::assertSame('honest-crown/studio', $all['format']);
        self::assertCount(1, $all['tables']['formulas']);
        self::assertSame('Light oil', $all['tables']['formulas'][0]['document']['title']);
        $text = (string) json_encode($all);
        self::assertStringNotContainsString('$2y$', $text);
        self::assertStringNotContainsString('elsewhere.example', $text);
    }

    public function test_leaving_takes_thirty_days_and_then_leaves_no_row_and_no_file(): void
    {
        $steep = $this->steep();
        $this->formula();
        $this->asPicture($steep['id'], self::picture())->assertCreated();
        $this->ask('POST', 'studio/leave', ['name' => 'something else', 'password' => 'x'])->assertStatus(422);
        $name = $this->amara->studio->name;
        $mine = ['name' => $name, 'password' => 'correct horse battery'];
        $this->ask('POST', 'studio/leave', [...$mine, 'password' => 'guess'])->assertStatus(422);
        $this->got('Session', 'POST', 'studio/leave', $mine);
        Artisan::call('crown:sweep');
        self::assertTrue(Studio::query()->whereKey($this->amara->studio_id)->exists());
        $this->got('Session', 'DELETE', 'studio/leave');
        $this->travel(31)->days();
        Artisan::call('crown:sweep');
        self::assertTrue(Studio::query()->whereKey($this->amara->studio_id)->exists(), 'she stayed');
        $this->got('Session', 'POST', 'studio/leave', [...$mine, 'name' => " $name "]);
        DB::table('sessions')->insert([
            'id' => 'of-amara',
            'user_id' => $this->amara->id,
            'payload' => '',
            'last_activity' => 1,
        ]);
        $this->travel(30)->days();
        Artisan::call('crown:sweep');

        foreach (Schema::getTables() as $table) {
            if (Schema::hasColumn($table['name'], 'studio_id')) {
                self::assertSame(
                    0,
                    DB::table($table['name'])->where('studio_id', $this->amara->studio_id)->count(),
                    $table['name'],
                );
            }
        }
        self::assertSame(0, DB::table('sessions')->where('user_id', $this->amara->id)->count());
        self::assertTrue(User::query()->whereKey($this->stranger->id)->exists(), 'nobody else is touched');
    }

    public function test_a_visit_alone_leaves_no_session_behind(): void
    {
        config(['session.driver' => 'database']);
        DB::table('sessions')->delete();
        $this->get('/')->assertOk()->assertCookieMissing('honest_crown_session');
        $this->withHeaders(['Referer' => url('/')])->getJson('/api/session')->assertOk();
        $this->getJson('/api/countries')->assertOk();
        self::assertSame(0, DB::table('sessions')->count());
        $this->signIn('amara@loft.example', 'correct horse battery')->assertOk();
        self::assertSame(1, DB::table('sessions')->count());
    }

    public function test_only_hosts_that_the_installation_names_are_answered(): void
    {
        $at = fn (string $host): int => $this->withServerVariables(['HTTP_HOST' => $host])
            ->get("http://$host/api/session")
            ->getStatusCode();
        self::assertSame(200, $at('127.0.0.1:8137'));
        self::assertSame(200, $at('localhost'));
        foreach (['evil.example', 'localhost.evil.example', '127.0.0.1.evil.example:8137'] as $host) {
            self::assertSame(400, $at($host), $host);
        }
        config(['crown.hosts' => ['loft.example']]);
        self::assertSame(200, $at('loft.example'));
        self::assertSame(400, $at('other.loft.example'));
    }

    public function test_the_demo_can_be_looked_at_only_where_that_is_set(): void
    {
        Studio::query()->whereKey($this->amara->studio_id)->update(['demo' => true]);
        config(['crown.demo_writes' => false]);
        $this->got('Today', 'GET', 'today');
        $this->ask('POST', 'read', ['text' => '9 g olive oil'])->assertOk();
        $new = ['formula' => ['title' => 'x', 'lines' => []], 'head_id' => null];
        $this->ask('POST', 'formulas', $new)
            ->assertStatus(409)
            ->assertJsonValidationErrors('demo');
        $this->ask('POST', 'studio/leave', ['name' => $this->amara->studio->name])->assertStatus(409);
        $this->ask('POST', 'formulas', $new, $this->stranger)->assertCreated();
    }

    public function test_the_command_line_opens_adds_and_gives_a_new_password(): void
    {
        $this->artisan('crown:studio', ['name' => 'Ife', 'login' => 'ife', 'studio' => 'Kitchen'])
            ->expectsQuestion('Password', 'password123')
            ->assertFailed();
        $this->artisan('crown:studio', ['name' => 'Ife', 'login' => 'Ife', 'studio' => 'Kitchen'])
            ->expectsQuestion('Password', self::GOOD)
            ->assertSuccessful();
        $studio = (string) User::query()->where('email', 'ife')->firstOrFail()->studio_id;
        $this->artisan('crown:person', ['studio' => $studio, 'name' => 'Zoe', 'login' => 'zoe', '--role' => 'cook'])
            ->expectsQuestion('Password', self::GOOD)
            ->assertFailed();
        $this->artisan('crown:person', ['studio' => $studio, 'name' => 'Zoe', 'login' => 'zoe', '--role' => 'helper'])
            ->expectsQuestion('Password', self::GOOD)
            ->assertSuccessful();
        self::assertSame(Role::Helper, User::query()->where('email', 'zoe')->firstOrFail()->role);
        $this->artisan('crown:password', ['login' => 'ZOE'])
            ->expectsQuestion('Password', 'a quite different sentence')
            ->assertSuccessful();
        $this->signIn('zoe', 'a quite different sentence')->assertOk();
        $this->artisan('crown:password', ['login' => 'nobody'])
            ->expectsQuestion('Password', self::GOOD)
            ->assertFailed();
    }
}
