<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Studio\User;
use Illuminate\Routing\Route as Address;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use stdClass;
use Tests\Feature\Fuzz\Damage;
use Tests\Feature\Fuzz\Draft;
use Throwable;

/**
 * Three thousand requests over all addresses, half right and half damaged, always the same ones: whatever is sent, the
 * answer says what is wrong with it, and what was kept can be read again. Never "Server Error".
 */
final class FuzzTest extends StudioTestCase
{
    private const REQUESTS = 3_000;

    private const SEED = 20_261_126;

    /** Looked at again after a write that was taken: what was kept must not break a list. */
    private const LISTS = [
        'heads',
        'formulas',
        'steeps',
        'batches',
        'lots',
        'routines',
        'today',
        'ingredients',
        'session',
    ];

    /** A number that no row can have. */
    private const FAR = '99999999999999999999';

    private const ASKED = [
        'q',
        'state',
        'cursor',
        'ids',
        'need',
        'kind',
        'by',
        'lightest',
        'evidence',
        'vegan',
        'without',
        'strand',
    ];

    private stdClass $document;

    /** @var array<array-key, string> what was asked, by where it went wrong */
    private array $failed = [];

    public function test_no_request_is_answered_with_a_server_error(): void
    {
        mt_srand(self::SEED);
        $this->document = json_decode(
            (string) file_get_contents(base_path('docs/formats/openapi.json')),
            false,
            512,
            JSON_THROW_ON_ERROR,
        );
        $ids = $this->ids();
        $draft = new Draft($this->document->components->schemas, $this->known($ids));
        $addresses = array_values(
            array_filter(Route::getRoutes()->getRoutes(), static fn (Address $a): bool => self::isAsked($a)),
        );
        $answered = [];
        $this->actingAs(User::query()->findOrFail($this->amara->id), 'web');
        for ($n = 0; $n < self::REQUESTS; $n++) {
            $address = $addresses[$n % count($addresses)];
            $method = $address->methods()[0];
            [$path, $body] = [$this->path($address, $ids), $this->body($address, $method, $draft)];
            DB::beginTransaction();
            $response = $this->send($method, $path, $body);
            $this->holds($response, "$n: $method $path $body");
            $answered[$response->getStatusCode()] = ($answered[$response->getStatusCode()] ?? 0) + 1;
            if ($method !== 'GET' && $response->isSuccessful()) {
                $list = self::LISTS[array_rand(self::LISTS)];
                $this->holds($this->send('GET', '/api/'.$list, ''), "$n: GET $list after $method $path $body");
                $again = mb_substr($path, 0, (int) (strrpos($path, '/') ?: 0));
                $this->holds($this->send('GET', $again, ''), "$n: GET $again after $method $path $body");
            }
            DB::rollBack();
        }
        self::assertSame([], $this->failed);
        ksort($answered);
        // One that only ever refuses, or only ever answers, tries nothing.
        self::assertGreaterThan(self::REQUESTS / 5, $answered[200] ?? 0, (string) json_encode($answered));
        self::assertGreaterThan(self::REQUESTS / 10, $answered[422] ?? 0, (string) json_encode($answered));
        self::assertGreaterThan(20, $answered[201] ?? 0, (string) json_encode($answered));
    }

    private function holds(TestResponse $response, string $asked): void
    {
        if ($response->getStatusCode() >= 500) {
            $thrown = $response->exception;
            // One of each kind is enough to mend it.
            $this->failed[$thrown === null ? $response->getStatusCode() : self::origin($thrown)] ??= mb_substr(
                mb_scrub($asked),
                0,
                1_200,
            );
        }
    }

    private static function origin(Throwable $thrown): string
    {
        $root = dirname(__DIR__, 2);
        $ours = array_filter(
            array_column(
                [
                    ['file' => $thrown->getFile().':'.$thrown->getLine()],
                    ...array_map(
                        static fn (array $step): array => [
                            'file' => ($step['file'] ?? '').':'.($step['line'] ?? ''),
                        ],
                        $thrown->getTrace(),
                    ),
                ],
                'file',
            ),
            static fn (string $file): bool => preg_match(
                '#^'.preg_quote($root, '#').'/(app|core)/(?!Support/)#',
                $file,
            ) === 1,
        );

        return sprintf(
            '%s: %s, from %s',
            $thrown::class,
            mb_substr($thrown->getMessage(), 0, 160),
            substr((string) reset($ours), strlen($root) + 1),
        );
    }

    private static function isAsked(Address $address): bool
    {
        // Signing out would end the test; pictures have a test of their own.
        return ! in_array($address->getName(), [
            'session.sign-out', 'session.password', 'steeps.photo', 'shelf.photo', 'app',
        ], true);
    }

    private function send(string $method, string $path, string $body): TestResponse
    {
        $this->app?->forgetScopedInstances();

        return $this->call(
            $method,
            $path,
            [],
            [],
            [],
            [
                'CONTENT_TYPE' => 'application/json',
                'HTTP_ACCEPT' => 'application/json',
                'HTTP_REFERER' => url('/'),
            ],
            $method === 'GET' ? '' : $body,
        );
    }

    /** @param  array<string, int|string>  $ids */
    private function path(Address $address, array $ids): string
    {
        $path = '/'
            .preg_replace_callback(
                '/\{(\w+)\??\}/',
                static fn (array $m): string => mt_rand(0, 24) === 0 ? self::FAR : (string) ($ids[$m[1]] ?? 1),
                $address->uri(),
            );
        if (mt_rand(0, 3) > 0) {
            return $path;
        }
        $name = self::ASKED[array_rand(self::ASKED)];
        $value = Damage::value();

        return $path
            .'?'
            .http_build_query([$name => $value instanceof stdClass ? [] : (mt_rand(0, 2) === 0 ? [1] : $value)]);
    }

    private function body(Address $address, string $method, Draft $draft): string
    {
        $takes = $this->document->paths->{'/'.$address->uri()}->{strtolower($method)}->requestBody->content
                ->{'application/json'}->schema ?? null;

        return $method === 'GET'
            ? ''
            : Damage::body($takes === null ? [] : $draft->of(basename((string) $takes->{'$ref'})));
    }

    /** @return array<string, int|string> one of each thing, by the name that addresses give it */
    private function ids(): array
    {
        $batch = $this->batch();
        $open = $this->got('Batch', 'POST', 'batches', ['formula_id' => $batch['formula_id']]);
        $head = $this->headOf();
        $routine = $this->routineOf($batch['id']);
        $marked = $this->marked($head['id']);
        $own = $this->ownOil('Loft oil');
        $jar = $this->got('Steep', 'POST', 'steeps/'.$this->steep()['id'].'/events', [
            'kind' => 'drawn',
            'on' => today()->toDateString(),
            'note' => '',
            'grams' => 20,
        ]);
        $found = $this->got('Batch', 'POST', 'batches/'.$batch['id'].'/findings', [
            'on' => today()->toDateString(),
            'texture' => 'softer',
            'state' => '',
            'note' => '',
        ]);
        $photo = $this->asPicture($jar['id'], self::picture());
        $this->ask('PUT', 'ingredients/olive-oil/figures', [
            'form' => '',
            'property' => 'weight',
            'low' => 3,
            'best' => 3,
            'high' => 3,
            'source' => 'felt',
        ]);

        return [
            'formula' => $this->formula()['id'],
            'head' => $head['id'],
            'steep' => $jar['id'],
            'batch' => $open['id'],
            'routine' => $routine['id'],
            'day' => $routine['days'][0]['id'],
            'own' => $own['id'],
            'figure' => $this->ask('GET', 'ingredients/olive-oil')->json('own_figures.0.id'),
            'mark' => $marked['marks'][0]['id'],
            'event' => $jar['events'][0]['id'],
            'photo' => $photo->json('photos.0.id'),
            'finding' => $found['findings'][0]['id'],
            'lot' => $jar['lots'][0]['id'],
            'ingredient' => 'olive-oil',
            'method' => 'life',
            'done' => $batch['id'],
            'line' => $open['weighings'][0]['line'],
        ];
    }

    /**
     * @param  array<string, int|string>  $ids
     * @return array<string, list<mixed>>
     */
    private function known(array $ids): array
    {
        return [
            'ingredient' => [
                'olive-oil',
                'shea-butter',
                'rosemary',
                'lavender-eo',
                'beeswax',
                'lot-'.$ids['lot'],
                'own-'.$ids['own'],
            ],
            'formula' => [
                $this->read(
                    "Loft butter\n50 g shea butter\n30 g Loft oil\n20 g olive oil\n5 drops lavender essential oil",
                ),
                $this->read('1 cup olive oil'),
            ],
            'formula_id' => [$ids['formula']],
            'head_id' => [$ids['head'], null],
            'batch_id' => [$ids['done']],
            'revision' => [1, 1, 2],
            'line' => [$ids['line']],
            'form' => ['dried', 'powder', 'fresh', ''],
            'text' => ["Butter\n1 cup shea\n2 tbsp castor oil", "Oil\n5 g “olive oil” • 3 %"],
            'time_zone' => ['UTC', 'Asia/Kathmandu'],
            'hair' => [null, ['strand' => 'fine', 'porosity' => 'low']],
        ];
    }
}
