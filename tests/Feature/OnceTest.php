<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Head\Head;
use App\Support\Idempotent;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/** A write is done whole or not at all, and a post under a key is done once. */
final class OnceTest extends StudioTestCase
{
    private const KEY = ['Idempotency-Key' => 'form-0001'];

    public function test_the_same_sent_again_gets_the_first_answer(): void
    {
        $first = $this->ask('POST', 'heads', ['name' => 'Imani'], headers: self::KEY)->assertCreated();
        $again = $this->ask('POST', 'heads', ['name' => 'Imani'], headers: self::KEY)
            ->assertCreated()
            ->assertHeader('Idempotent-Replay', 'true');
        self::assertSame($first->json('id'), $again->json('id'));
        self::assertSame(1, Head::query()->withoutGlobalScopes()->count());
    }

    public function test_another_body_or_another_address_under_the_same_key_is_not_thrown_away_in_silence(): void
    {
        $id = $this->ask('POST', 'heads', ['name' => 'Imani'], headers: self::KEY)
            ->assertCreated()
            ->json('id');
        $this->ask('POST', 'heads', ['name' => 'Zola'], headers: self::KEY)
            ->assertStatus(409)
            ->assertJsonValidationErrors('Idempotency-Key');
        $this->ask('POST', 'formulas', ['formula' => $this->read('1 cup olive oil')], headers: self::KEY)->assertStatus(
            409,
        );
        // Also when what came of the first is gone.
        $this->ask('DELETE', 'heads/'.$id)->assertNoContent();
        $this->ask('POST', 'heads', ['name' => 'Zola'], headers: self::KEY)->assertStatus(409);
        self::assertSame(0, Head::query()->withoutGlobalScopes()->count());
    }

    public function test_a_refused_post_may_be_mended_under_the_same_key(): void
    {
        $this->ask('POST', 'heads', ['name' => ''], headers: self::KEY)->assertStatus(422);
        $this->ask('POST', 'heads', ['name' => 'Imani'], headers: self::KEY)->assertCreated();
    }

    public function test_old_keys_are_forgotten(): void
    {
        $key = static fn (int $n): array => ['Idempotency-Key' => 'form-'.str_pad((string) $n, 4, '0', STR_PAD_LEFT)];
        for ($n = 0; $n < 3; $n++) {
            $this->ask('POST', 'heads', ['name' => 'Head '.$n], headers: $key($n))->assertCreated();
        }
        $this->travel(Idempotent::KNOWN_DAYS)->days();
        $this->travel(1)->minutes();
        $this->ask('POST', 'heads', ['name' => 'Later'], headers: $key(9))->assertCreated();
        self::assertSame(
            [hash('sha256', 'form-0009')],
            DB::table('idempotency_keys')->pluck('key')->all(),
            'of the key only a hash is kept',
        );
    }

    public function test_an_answer_that_fails_leaves_nothing_behind_without_a_key_too(): void
    {
        // The row is written, then what is shown of it fails.
        Head::created(static fn (): never => throw new RuntimeException('on the way'));
        $before = DB::transactionLevel();
        $this->ask('POST', 'heads', ['name' => 'Imani'])
            ->assertStatus(500)
            ->assertJsonPath(
                'message',
                'Something went wrong here. It was written down, and nothing was changed. Nothing you typed is lost.',
            );
        self::assertSame($before, DB::transactionLevel());
        self::assertSame(0, Head::query()->withoutGlobalScopes()->count());
    }
}
