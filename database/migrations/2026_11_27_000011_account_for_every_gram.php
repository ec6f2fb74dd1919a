<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Lots of any source, what came to them and left them, who names which ingredient, and what was weighed in, each as
 * rows. The cupboard's counts become bought lots; finished batches become made ones; the documents are read once for
 * the ingredients they name. Nothing is left behind.
 */
return new class extends Migration
{
    public function up(): void
    {
        $this->lots();
        $this->cupboard();
        $this->batches();
        $this->weighIns();
        $this->uses();
        $this->dates();
    }

    private function lots(): void
    {
        Schema::table('lots', function (Blueprint $table): void {
            $table->string('source', 10)->default('steeped');
            $table->string('ingredient', 80)->default('');
            $table->foreignId('batch_id')->nullable()->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('steep_id')->nullable()->change();
            $table->decimal('grams', 12, 3)->nullable()->change();
            $table->date('made_on')->nullable()->change();
            $table->date('best_before')->nullable()->change();
            // Null while nobody said how much there is.
            $table->double('left_grams')->nullable();
            $table->date('emptied_on')->nullable();
            $table->index(['studio_id', 'source', 'ingredient']);
        });
        DB::statement("update lots set ingredient = concat('lot-', id), left_grams = grams");
        Schema::create('stock_movements', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('lot_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 12);
            // What came is above nothing, what left is below it.
            $table->double('grams');
            $table->date('on_date');
            $table->string('by_name', 120)->default('');
            $table->string('note', 300)->default('');
            $table->foreignId('batch_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamps();
            $table->index(['lot_id', 'on_date', 'id']);
            $table->index(['studio_id', 'on_date', 'id']);
        });
        DB::statement("insert into stock_movements (studio_id, lot_id, kind, grams, on_date, created_at, updated_at)
            select studio_id, id, 'made', grams, made_on, created_at, updated_at from lots");
    }

    private function cupboard(): void
    {
        foreach (DB::table('cupboard_items')->orderBy('id')->get() as $item) {
            /** @var stdClass&object{grams: float|null, updated_at: string} $item */
            $lot = DB::table('lots')->insertGetId([
                'studio_id' => $item->studio_id,
                'source' => 'bought',
                'ingredient' => $item->ingredient,
                'name' => '',
                'grams' => $item->grams,
                'left_grams' => $item->grams,
                'created_at' => $item->created_at,
                'updated_at' => $item->updated_at,
            ]);
            if ($item->grams !== null) {
                $day = substr($item->updated_at, 0, 10);
                $this->movement($lot, $item, 'counted', (float) $item->grams, $day);
            }
        }
        Schema::drop('cupboard_items');
    }

    private function batches(): void
    {
        foreach (DB::table('batches')->where('state', 'done')->orderBy('id')->cursor() as $batch) {
            /** @var stdClass&object{jars: int, net_grams: string, made_on: string} $batch */
            $grams = $batch->jars * (float) $batch->net_grams;
            $lot = DB::table('lots')->insertGetId([
                'studio_id' => $batch->studio_id,
                'source' => 'made',
                'batch_id' => $batch->id,
                'name' => $batch->title,
                'grams' => $grams,
                'left_grams' => $grams,
                'made_on' => $batch->made_on,
                'best_before' => $batch->best_before,
                'created_at' => $batch->created_at,
                'updated_at' => $batch->updated_at,
            ]);
            $this->movement($lot, $batch, 'made', $grams, $batch->made_on);
        }
    }

    private function weighIns(): void
    {
        Schema::create('weigh_ins', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->string('line', 40);
            $table->boolean('gathered')->default(false);
            $table->double('grams')->nullable();
            $table->foreignId('lot_id')->nullable()->constrained()->nullOnDelete();
            $table->string('by_name', 120)->default('');
            $table->timestamps();
            $table->unique(['batch_id', 'line']);
        });
        foreach (DB::table('batches')->orderBy('id')->cursor() as $batch) {
            $rows = [];
            /** @var stdClass&object{weighings: string} $batch */
            /** @var array<string, array{gathered?: bool, grams?: float|null}> $weighings */
            $weighings = (array) json_decode($batch->weighings, true);
            foreach ($weighings as $line => $weighed) {
                $rows[] = [
                    'studio_id' => $batch->studio_id,
                    'batch_id' => $batch->id,
                    'line' => (string) $line,
                    'gathered' => (bool) ($weighed['gathered'] ?? false),
                    'grams' => $weighed['grams'] ?? null,
                    'by_name' => $batch->by_name,
                    'created_at' => $batch->updated_at,
                    'updated_at' => $batch->updated_at,
                ];
            }
            DB::table('weigh_ins')->insert($rows);
        }
        Schema::table('batches', function (Blueprint $table): void {
            $table->dropColumn('weighings');
        });
    }

    private function uses(): void
    {
        Schema::create('ingredient_uses', function (Blueprint $table): void {
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->string('ingredient', 80);
            $table->string('holder', 10);
            $table->unsignedBigInteger('holder_id');
            $table->primary(['holder', 'holder_id', 'ingredient']);
            $table->index(['studio_id', 'ingredient', 'holder', 'holder_id']);
        });
        foreach (['formulas' => 'formula', 'batches' => 'batch', 'steeps' => 'steep'] as $table => $holder) {
            foreach (DB::table($table)->orderBy('id')->cursor() as $row) {
                /** @var stdClass&object{document: string} $row */
                $named = $this->named((array) json_decode($row->document, true));
                if ($table === 'steeps') {
                    foreach (DB::table('steep_events')->where('steep_id', $row->id)->get(['data']) as $event) {
                        /** @var stdClass&object{data: string} $event */
                        $named = [...$named, ...$this->named((array) json_decode($event->data, true))];
                    }
                }
                DB::table('ingredient_uses')->insertOrIgnore(array_map(
                    static fn (string $ingredient): array => [
                        'studio_id' => $row->studio_id,
                        'ingredient' => $ingredient,
                        'holder' => $holder,
                        'holder_id' => $row->id,
                    ],
                    array_values(array_unique($named)),
                ));
            }
        }
    }

    /** A day is kept as a day, not inside a sentence; who was told why is told the day beside it. */
    private function dates(): void
    {
        Schema::table('steeps', function (Blueprint $table): void {
            $table->date('spoiled_on')->nullable();
        });
        $dated = '/^(.*) \((\d{1,2} [A-Z][a-z]+ \d{4})\)\.$/su';
        foreach (DB::table('steeps')->where('reason', '!=', '')->get(['id', 'reason']) as $steep) {
            /** @var stdClass&object{reason: string} $steep */
            if (preg_match($dated, $steep->reason, $m) === 1) {
                DB::table('steeps')
                    ->where('id', $steep->id)
                    ->update(['reason' => $m[1], 'spoiled_on' => date('Y-m-d', (int) strtotime($m[2].' UTC'))]);
            }
        }
        foreach (DB::table('lots')->where('withdrawn', '!=', '')->get(['id', 'withdrawn']) as $lot) {
            /** @var stdClass&object{withdrawn: string} $lot */
            if (preg_match($dated, $lot->withdrawn, $m) === 1) {
                DB::table('lots')
                    ->where('id', $lot->id)
                    ->update(['withdrawn' => $m[1]]);
            }
        }
        // The name of what was drawn said the day once more.
        DB::statement('update lots join steeps on steeps.id = lots.steep_id set lots.name = steeps.name
            where lots.event_id is not null');
        $strained = '/^Strained\. The herb is (kept for another draw|composted)\. ?(.*)$/su';
        foreach (DB::table('steep_events')->where('kind', 'note')->get(['id', 'note']) as $event) {
            /** @var stdClass&object{note: string} $event */
            if (preg_match($strained, $event->note, $m) === 1) {
                DB::table('steep_events')
                    ->where('id', $event->id)
                    ->update([
                        'kind' => 'strained',
                        'data' => json_encode(['herb' => $m[1] === 'composted' ? 'composted' : 'kept']),
                        'note' => $m[2],
                    ]);
            }
        }
    }

    private function movement(int $lot, stdClass $of, string $kind, float $grams, string $on): void
    {
        DB::table('stock_movements')->insert([
            'studio_id' => $of->studio_id,
            'lot_id' => $lot,
            'kind' => $kind,
            'grams' => $grams,
            'on_date' => $on,
            'by_name' => $of->by_name ?? '',
            'created_at' => $of->updated_at,
            'updated_at' => $of->updated_at,
        ]);
    }

    /**
     * @param  array<array-key, mixed>  $document
     * @return list<string> what stands under "ingredient" anywhere in it
     */
    private function named(array $document): array
    {
        $found = [];
        array_walk_recursive($document, static function (mixed $value, int|string $key) use (&$found): void {
            if ($key === 'ingredient' && is_string($value) && $value !== '' && strlen($value) <= 80) {
                $found[] = $value;
            }
        });

        return $found;
    }
};
