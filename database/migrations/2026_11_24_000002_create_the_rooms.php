<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        $room = static function (string $name, Closure $columns): void {
            Schema::create($name, function (Blueprint $table) use ($columns): void {
                $table->id();
                $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
                $columns($table);
                $table->timestamps();
                // Every list is read by studio, newest first, and paged by a cursor on these two.
                $table->index(['studio_id', 'updated_at', 'id']);
            });
        };
        $room('heads', function (Blueprint $table): void {
            $table->unsignedInteger('revision')->default(1);
            $table->string('name', 120);
            $table->string('strand', 10);
            $table->string('porosity', 10);
            $table->string('scalp', 10);
            $table->string('age_band', 10);
            $table->boolean('pregnant')->default(false);
            $table->json('allergies');
            $table->json('dislikes');
        });
        $room('formulas', function (Blueprint $table): void {
            $table->unsignedInteger('revision')->default(1);
            $table->foreignId('head_id')->nullable()->constrained()->nullOnDelete();
            $table->string('title', 200);
            $table->string('kind', 30);
            // Names of its ingredients, to be found by; kept apart so that the search ignores case and accents.
            $table->text('ingredients');
            $table->json('document');
            $table->json('summary');
            $table->softDeletes();
        });
        $room('formula_versions', function (Blueprint $table): void {
            $table->foreignId('formula_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->string('note', 300)->default('');
            $table->json('document');
            $table->unique(['formula_id', 'number']);
        });
        $room('steeps', function (Blueprint $table): void {
            $table->unsignedInteger('revision')->default(1);
            $table->string('name', 200);
            $table->string('plant', 80);
            $table->string('form', 20);
            $table->decimal('plant_grams', 10, 3);
            $table->string('oil', 80);
            $table->decimal('oil_grams', 10, 3);
            $table->string('method', 20);
            $table->decimal('jar_ml', 10, 2)->default(0);
            $table->decimal('diameter_cm', 6, 2)->default(0);
            $table->boolean('shaken_daily')->default(true);
            $table->boolean('pressed')->default(false);
            $table->date('started_on');
            $table->string('state', 10)->default('running')->index();
            $table->date('strained_on')->nullable();
        });
        $room('steep_shakes', function (Blueprint $table): void {
            $table->foreignId('steep_id')->constrained()->cascadeOnDelete();
            $table->date('date');
            $table->unique(['steep_id', 'date']);
        });
        $room('lots', function (Blueprint $table): void {
            $table->foreignId('steep_id')->constrained()->cascadeOnDelete();
            $table->string('name', 200);
            $table->decimal('grams', 10, 3);
            $table->decimal('loss_grams', 10, 3)->default(0);
            $table->date('made_on');
            $table->date('best_before');
            $table->boolean('spoiled')->default(false);
        });
        $room('batches', function (Blueprint $table): void {
            $table->unsignedInteger('revision')->default(1);
            $table->foreignId('formula_id')->nullable()->constrained()->nullOnDelete();
            $table->string('lot_code', 40);
            $table->string('title', 200);
            $table->string('kind', 30);
            $table->string('state', 10)->default('open')->index();
            $table->date('made_on');
            $table->string('by_name', 120);
            $table->unsignedInteger('jars')->default(0);
            $table->decimal('jar_ml', 10, 2)->default(0);
            $table->decimal('net_grams', 12, 3)->default(0);
            $table->date('best_before')->nullable();
            $table->string('note', 2000)->default('');
            $table->json('document');
            $table->json('weighings');
            $table->json('actual')->nullable();
            $table->json('label')->nullable();
            $table->unique(['studio_id', 'lot_code']);
        });
        $room('routines', function (Blueprint $table): void {
            $table->unsignedInteger('revision')->default(1);
            $table->foreignId('head_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->string('state', 10)->default('patch');
            $table->unsignedTinyInteger('per_week');
            $table->unsignedTinyInteger('weeks')->default(8);
            $table->decimal('grams_per_use', 8, 2);
            $table->string('way', 200)->default('');
            $table->date('starts_on');
        });
        $room('routine_days', function (Blueprint $table): void {
            $table->foreignId('routine_id')->constrained()->cascadeOnDelete();
            $table->date('date');
            $table->string('act', 20);
            $table->string('state', 10)->default('planned');
            $table->index(['studio_id', 'state', 'date']);
        });
    }
};
