<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('studios', function (Blueprint $table): void {
            $table->boolean('southern')->default(false);
        });
        Schema::table('heads', function (Blueprint $table): void {
            foreach (['strand', 'porosity', 'scalp', 'age_band'] as $column) {
                $table->string($column, 12)->default('not-known')->change();
            }
            foreach (['density', 'curl', 'style', 'hardness'] as $column) {
                $table->string($column, 12)->default('not-known');
            }
            $table->unsignedTinyInteger('wash_every_days')->default(0);
            $table->json('wants')->default('[]');
            $table->json('conditions')->default('[]');
            $table->json('signs')->default('[]');
            $table->string('note', 2000)->default('');
        });
        // A dislike was a name; now it may hold in one half of the year.
        foreach (DB::table('heads')->get(['id', 'dislikes']) as $head) {
            /** @var stdClass&object{dislikes: string} $head */
            $old = json_decode($head->dislikes, true);
            $new = array_map(
                static fn (mixed $d): array => is_array($d)
                    ? $d
                    : ['what' => is_string($d) ? $d : '', 'season' => 'any'],
                is_array($old) ? $old : [],
            );
            DB::table('heads')
                ->where('id', $head->id)
                ->update(['dislikes' => json_encode($new)]);
        }
        Schema::table('formulas', function (Blueprint $table): void {
            $table->json('hair')->nullable();
        });
        $own = static function (string $name, Closure $columns): void {
            Schema::create($name, function (Blueprint $table) use ($columns): void {
                $table->id();
                $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
                $columns($table);
                $table->timestamps();
            });
        };
        $own('head_marks', function (Blueprint $table): void {
            $table->foreignId('head_id')->constrained()->cascadeOnDelete();
            $table->string('zone', 20);
            $table->string('state', 12);
            $table->date('on_date');
            $table->string('note', 300)->default('');
            $table->index(['head_id', 'on_date', 'id']);
        });
        $own('own_ingredients', function (Blueprint $table): void {
            $table->unsignedInteger('revision')->default(1);
            $table->string('name', 120);
            $table->json('document');
            $table->unique(['studio_id', 'name']);
        });
        $own('own_figures', function (Blueprint $table): void {
            $table->string('ingredient', 80);
            $table->string('form', 20)->default('');
            $table->string('property', 30);
            $table->double('low');
            $table->double('best');
            $table->double('high');
            $table->string('source', 200);
            $table->unique(['studio_id', 'ingredient', 'form', 'property']);
        });
        $own('cupboard_items', function (Blueprint $table): void {
            $table->string('ingredient', 80);
            $table->unique(['studio_id', 'ingredient']);
        });
    }
};
