<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Studio\User;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabaseState;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A database as an earlier version left it, with the demo studio in it, opens in this one with equal figures on every
 * screen. Kept/studio-YYYY-MM.sql is the database, Kept/figures-YYYY-MM.json what that version answered: every number,
 * yes or no, and name of a state, by its path. Neither is ever changed; what a later version says in another place is
 * listed in MOVED.
 */
final class KeptStudioTest extends TestCase
{
    /** The day on which the database was kept: dates on the screens are counted from it. */
    private const KEPT_AT = '2026-11-27 12:00:00';

    /** Words that stand for a state, and are figures as much as a number is. */
    private const STATES = ['code', 'severity', 'state', 'kind', 'verdict', 'class', 'phase', 'ingredient', 'method'];

    /** Old paths (a pattern over "question path") to new ones; null where nothing says it any more. */
    private const MOVED = [
        // The methods side by side are shown when a jar is started, not of every jar on the shelf.
        '/^steeps\S* (?:items \d+ )?plan methods /' => null,
        // What is accepted is known by what it says, apart from its words.
        '/^(formulas.* accepted \d+) code$/' => '$1 finding code',
        // That it was strained was a note among the notes.
        '/^steeps\/\d+ events \d+ kind$/' => null,
        // A fresh plant that was heated is strained on the same day.
        '/^steeps\S* (?:items \d+ )?days?$/' => null,
        // What a tick does is said, not the request that does it.
        '/^today items \d+ tick (method|body) ?/' => null,
    ];

    /**
     * What is worked out of what was written down follows today's catalogue and rules, and is other tests' business: it
     * was compared, figure for figure, while only the tables changed.
     */
    private const WORKED_OUT
        = '~^ingredients|^heads/\d+/advice|^formulas/\d+/family|'
        .' (assessment|plan|planned|fit|keeps|learned|measured|bands|cost\w*|next|strain_steps|signs|zones|weight_\w+'
        .'|stops|cautions|life_months|texture|water_class|water_percent|best_before|dry|water_left_grams|usual_ratio'
        .'|drawn_now_percent'
        // A routine counted one jar of a batch where it has all of them.
        .'|grams_in_jar|uses_in_jar|shelf \d+ fill'
        .'|worth_making_grams|target_grams|tolerance_grams|within)( |$)~';

    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();

        return $app;
    }

    protected function tearDown(): void
    {
        // The tables are not what the other tests expect: they begin anew.
        RefreshDatabaseState::$migrated = false;
        Carbon::setTestNow();
        parent::tearDown();
    }

    public function test_the_studio_of_november_2026_opens_with_equal_figures(): void
    {
        $this->open('studio-2026-11.sql');
        $then = [];
        $kept = json_decode((string) file_get_contents(__DIR__.'/Kept/figures-2026-11.json'), true);
        foreach ($kept as $question => $tree) {
            $then += $this->leaves((string) $question, $tree);
        }
        self::assertGreaterThan(10_000, count($then));
        $now = $this->figures();

        $differ = [];
        $compared = 0;
        foreach ($then as $path => $figure) {
            $path = $this->today((string) $path);
            $compared += $path === null ? 0 : 1;
            $told = $path === null || $this->equal($figure, $now[$path] ?? null);
            if (! $told) {
                $differ[] = sprintf('%s was %s, is %s', $path, json_encode($figure), json_encode($now[$path] ?? null));
            }
        }
        self::assertGreaterThan(2_000, $compared, 'what was written down is compared');
        self::assertSame([], array_slice($differ, 0, 40), count($differ).' of '.count($then).' figures differ.');
    }

    private function open(string $file): void
    {
        Carbon::setTestNow(self::KEPT_AT);
        Schema::dropAllTables();
        DB::unprepared((string) file_get_contents(__DIR__.'/Kept/'.$file));
        // The file sets what the connection is to check; a new one begins as always.
        DB::purge();
        Artisan::call('migrate', ['--force' => true]);
    }

    /** @return array<string, int|float|bool|string|null> by question and path */
    private function figures(): array
    {
        $figures = [];
        foreach ($this->questions() as $question) {
            $figures += $this->leaves($question, $this->answer($question));
        }

        return $figures;
    }

    /** @return list<string> every screen of the studio, asked as its screen asks */
    private function questions(): array
    {
        $each = static fn (string $table, string ...$paths): array => array_merge(
            ...array_map(
                static fn (int $id): array => array_map(
                    static fn (string $path): string => str_replace('#', (string) $id, $path),
                    $paths,
                ),
                DB::table($table)->orderBy('id')->pluck('id')->all(),
            ),
        );

        return [
            'today',
            'formulas',
            'heads',
            'lots',
            'routines',
            'methods',
            'steeps',
            'steeps?state=strained',
            'steeps?state=spoiled',
            'batches',
            'batches?state=done',
            'batches?state=open',
            'ingredients?at_hand=1',
            'ingredients/olive-oil',
            'ingredients/lot-1',
            'ingredients/lot-2',
            'ingredients/lot-4',
            'ingredients/compare?ids=olive-oil,lot-1',
            ...$each('formulas', 'formulas/#', 'formulas/#/family'),
            ...$each('heads', 'heads/#', 'heads/#/advice'),
            ...$each('steeps', 'steeps/#'),
            ...$each('batches', 'batches/#'),
            ...$each('routines', 'routines/#'),
        ];
    }

    /** @return array<mixed> */
    private function answer(string $question): array
    {
        $this->app?->forgetScopedInstances();
        $this->flushSession();
        $response = $this->actingAs(User::query()->with('studio')->orderBy('id')->firstOrFail(), 'web')
            ->withHeaders(['Referer' => url('/')])
            ->getJson('/api/'.$question);
        self::assertSame(200, $response->getStatusCode(), $question.': '.$response->getContent());

        $answer = (array) json_decode((string) $response->getContent(), true);
        if ($question === 'today') {
            // That a finished jar is to be looked at was not said then, and stands among the rest.
            $answer['items'] = array_values(array_filter(
                $answer['items'],
                static fn (array $i): bool => $i['kind'] !== 'look',
            ));
        }

        return $answer;
    }

    /**
     * @param  array<mixed>  $answer
     * @return array<string, int|float|bool|string|null>
     */
    private function leaves(string $path, array $answer): array
    {
        $leaves = [];
        foreach ($answer as $key => $value) {
            $here = $path.' '.$key;
            if (is_array($value)) {
                $leaves += $this->leaves($here, $value);
            } elseif (! is_string($value) || in_array($key, self::STATES, true)) {
                $leaves[$here] = is_float($value) ? (float) sprintf('%.9g', $value) : $value;
            }
        }

        return $leaves;
    }

    private function today(string $path): ?string
    {
        if (preg_match(self::WORKED_OUT, $path) === 1) {
            return null;
        }
        foreach (self::MOVED as $old => $new) {
            if (preg_match($old, $path) === 1) {
                return $new === null ? null : (string) preg_replace($old, $new, $path);
            }
        }

        return $path;
    }

    private function equal(int|float|bool|string|null $then, int|float|bool|string|null $now): bool
    {
        if (is_bool($then) || ! is_numeric($then) || ! is_numeric($now)) {
            return $then === $now;
        }

        return abs($then - $now) <= 1e-6 * max(1.0, abs($then));
    }
}
