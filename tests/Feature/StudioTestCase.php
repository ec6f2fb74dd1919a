<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Studio\Role;
use App\Studio\Studio;
use App\Studio\User;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Auth;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** Two studios on MariaDB; every successful answer is held to the published schema. */
abstract class StudioTestCase extends TestCase
{
    use RefreshDatabase;

    protected User $amara;

    protected User $stranger;

    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->amara = $this->person('amara@loft.example');
        $this->stranger = $this->person('stranger@elsewhere.example');
    }

    protected function person(string $email): User
    {
        $studio = Studio::query()->create(['name' => 'Studio of '.$email, 'maker' => 'Made here']);

        return User::query()
            ->create([
                'studio_id' => $studio->id,
                'name' => strtok($email, '@'),
                'email' => $email,
                'password' => 'correct horse battery',
            ])
            ->load('studio');
    }

    /**
     * As one of the two, from the application's own pages.
     *
     * @param  array<string, mixed>  $body
     * @param  array<string, string>  $headers
     */
    protected function ask(
        string $method,
        string $path,
        array $body = [],
        ?User $as = null,
        array $headers = [],
    ): TestResponse {
        $this->app?->forgetScopedInstances();
        // One browser is one person: a session that changes hands is refused, and rightly.
        $this->flushSession();
        $person = User::query()->with('studio')->findOrFail(($as ?? $this->amara)->id);

        return $this->actingAs($person, 'web')
            ->withHeaders(['Referer' => url('/'), ...$headers])
            ->json($method, str_starts_with($path, '/') ? $path : '/api/'.$path, $body);
    }

    /**
     * Asks, expects success, and holds the answer to its schema.
     *
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
     */
    protected function got(string $schema, string $method, string $path, array $body = [], ?User $as = null): array
    {
        $response = $this->ask($method, $path, $body, $as);
        self::assertTrue(
            $response->isSuccessful(),
            $method
                .' '
                .$path
                .' answered '
                .$response->getStatusCode()
                .': '
                .mb_substr((string) $response->getContent(), 0, 600),
        );
        $this->keepsTo($schema, (string) $response->getContent());

        return (array) json_decode((string) $response->getContent(), true);
    }

    protected function keepsTo(string $schema, string $json): void
    {
        $validator = new Validator();
        $validator
            ->resolver()
            ?->registerFile(
                'https://honest-crown.example/crown.schema.json',
                dirname(__DIR__, 2).'/docs/formats/crown.schema.json',
            );
        $result = $validator->validate(
            json_decode($json),
            (object) ['$ref' => 'https://honest-crown.example/crown.schema.json#/$defs/'.$schema],
        );
        $error = $result->error();
        self::assertTrue(
            $result->isValid(),
            $schema.': '.($error === null ? '' : (string) json_encode((new ErrorFormatter())->format($error))),
        );
    }

    /** @return array<string, mixed> a formula file as the paste screen would make it */
    protected function read(string $text): array
    {
        return $this->got('ReadAnswer', 'POST', 'read', ['text' => $text])['formula'];
    }

    /** @return array<string, mixed> a kept formula's page */
    protected function formula(
        string $text = "Light oil\n80 g jojoba oil\n20 g olive oil\n1 g vitamin e",
        ?int $head = null,
    ): array {
        return $this->got('FormulaPage', 'POST', 'formulas', ['formula' => $this->read($text), 'head_id' => $head]);
    }

    /** @return array<string, mixed> */
    protected function headOf(string $name = 'Imani', string $age = 'over-12'): array
    {
        return $this->got('Head', 'POST', 'heads', [
            'name' => $name,
            'strand' => 'coarse',
            'porosity' => 'high',
            'scalp' => 'dry',
            'age_band' => $age,
            'pregnant' => false,
            'allergies' => ['sesame'],
            'dislikes' => [['what' => 'coconut', 'season' => 'cold']],
            'wants' => ['sealing'],
        ]);
    }

    /**
     * @param  array<string, mixed>  $over
     * @return array<string, mixed> a steep as it would be asked for
     */
    protected static function steepDraft(
        string $plant = 'rosemary',
        string $form = 'dried',
        string $start = '',
        string $method = 'cold-dark',
        array $over = [],
    ): array {
        return [
            'name' => '',
            'herbs' => [
                [
                    'ingredient' => $plant,
                    'form' => $form,
                    'preparation' => $form === 'fresh' ? 'chopped' : 'none',
                    'amount' => '40 g',
                    'draw' => 1,
                    'cost' => null,
                ],
            ],
            'oils' => [['ingredient' => 'olive-oil', 'amount' => '360 g', 'cost' => null]],
            'water_grams' => 0,
            'method' => $method,
            'celsius' => 0,
            'minutes' => 0,
            'days' => 0,
            'jar_ml' => 700,
            'diameter_cm' => 9,
            'mouth_cm' => 0,
            'shaken_daily' => true,
            'pressed' => false,
            'started_on' => $start === '' ? today()->toDateString() : $start,
            ...$over,
        ];
    }

    /** @return array<string, mixed> */
    protected function steep(
        string $plant = 'rosemary',
        string $form = 'dried',
        string $start = '',
        string $method = 'cold-dark',
    ): array {
        $why = ['although' => $form === 'fresh' ? 'To see what comes of it.' : ''];

        return $this->got('Steep', 'POST', 'steeps', [...self::steepDraft($plant, $form, $start, $method), ...$why]);
    }

    /** A small PNG. */
    protected static function picture(int $width = 40, int $height = 30): string
    {
        $image = imagecreatetruecolor($width, $height);
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }

    /** @param  string  $of whose picture it is: "steeps", or "pantry/lots" */
    protected function asPicture(int $id, string $bytes, ?User $as = null, string $of = 'steeps'): TestResponse
    {
        $this->app?->forgetScopedInstances();
        $this->flushSession();
        $person = User::query()->with('studio')->findOrFail(($as ?? $this->amara)->id);

        return $this->actingAs($person, 'web')
            ->withHeaders(['Referer' => url('/')])
            ->post(
                '/api/'.$of.'/'.$id.'/photos',
                ['photo' => UploadedFile::fake()->createWithContent('jar.png', $bytes)],
                ['Accept' => 'application/json'],
            );
    }

    /**
     * A routine of a finished batch, on a head of its own.
     *
     * @return array<string, mixed> $defs/Routine
     */
    protected function routineOf(int $batch): array
    {
        return $this->got('Routine', 'POST', 'routines', [
            'head_id' => $this->headOf()['id'],
            'batch_id' => $batch,
            'per_week' => 2,
            'grams_per_use' => 3,
            'starts_on' => today()->toDateString(),
            'way' => '',
        ]);
    }

    /** @return array<string, mixed> $defs/Head, with a mark on its crown */
    protected function marked(int $head): array
    {
        return $this->got('Head', 'POST', "heads/$head/marks", [
            'zone' => 'crown',
            'state' => 'dry',
            'on' => today()->toDateString(),
            'note' => '',
        ]);
    }

    /** @return array<string, mixed> $defs/OwnKept */
    protected function ownOil(string $name): array
    {
        return $this->got('OwnKept', 'POST', 'own-ingredients', [
            'name' => $name,
            'inci' => '',
            'kind' => 'carrier-oil',
            'like' => 'olive-oil',
            'synonyms' => [],
            'allergens' => [],
            'vegan' => true,
            'figures' => [],
        ]);
    }

    /**
     * Every line weighed to its target, the first so much off it.
     *
     * @param  array<string, mixed>  $batch
     * @return array<string, mixed> the batch, still open
     */
    protected function weighed(array $batch, float $off = 0.0): array
    {
        foreach ($batch['weighings'] as $i => $w) {
            $batch = $this->got('Batch', 'PUT', 'batches/'.$batch['id'].'/weighings', [
                'revision' => $batch['revision'],
                'line' => $w['line'],
                'gathered' => true,
                'grams' => $w['target_grams'] + ($i === 0 ? $off : 0),
            ]);
        }

        return $batch;
    }

    /** @return array<string, mixed> a finished batch */
    protected function batch(float $off = 0.0, ?int $formula = null): array
    {
        $begun = $this->got('Batch', 'POST', 'batches', ['formula_id' => $formula ?? $this->formula()['id']]);
        $batch = $this->weighed($begun, $off);

        return $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/finish', [
            'revision' => $batch['revision'],
            'jars' => 3,
            'jar_ml' => 30,
            'net_grams' => 27,
            'note' => '',
        ]);
    }

    /** @param  array<string, mixed>  $body */
    protected function visit(
        string $path,
        array $body = [],
        string $from = '10.0.0.1',
        string $method = 'POST',
    ): TestResponse {
        $this->app?->forgetScopedInstances();
        Auth::forgetGuards();
        $this->flushSession();

        return $this->withServerVariables(['REMOTE_ADDR' => $from])
            ->withHeaders(['Referer' => url('/')])
            ->json($method, '/api/'.$path, $body);
    }

    protected function signIn(string $login, string $password, string $from = '10.0.0.1'): TestResponse
    {
        return $this->visit('sign-in', ['email' => $login, 'password' => $password], $from);
    }

    protected function withRole(Role $role, string $login): User
    {
        return User::query()
            ->create([
                'studio_id' => $this->amara->studio_id,
                'name' => ucfirst((string) strtok($login, '@')),
                'email' => $login,
                'password' => 'quiet river lamp nine',
                'role' => $role,
            ])
            ->load('studio');
    }
}
