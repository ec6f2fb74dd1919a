<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What happens at the counter beside weighing: what was passed over and why, clocks that run, what the probe showed,
 * a batch made larger to put its shares right, and how it was looked at when it was closed.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('batches', function (Blueprint $table): void {
            $table->double('factor')->default(1);
            $table->double('remainder_grams')->default(0);
            $table->boolean('sample_kept')->default(false);
            $table->json('inspected')->nullable();
        });
        Schema::table('batch_steps', function (Blueprint $table): void {
            $table->string('skipped', 200)->default('');
        });
        Schema::create('batch_timers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->string('task', 20);
            $table->string('label', 120);
            $table->dateTime('started_at');
            $table->dateTime('ends_at');
            $table->dateTime('stopped_at')->nullable();
            $table->string('by_name', 120)->default('');
            $table->timestamps();
            $table->index(['studio_id', 'stopped_at', 'ends_at']);
        });
        Schema::create('batch_readings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->string('task', 20);
            $table->string('surroundings', 12);
            $table->double('celsius');
            // To the thousandth: two readings of one minute tell how fast it cools.
            $table->dateTime('read_at', 3);
            $table->string('by_name', 120)->default('');
            $table->timestamps();
            $table->index(['batch_id', 'task', 'read_at']);
        });
    }

    public function down(): void
    {
        Schema::drop('batch_readings');
        Schema::drop('batch_timers');
        Schema::table('batch_steps', function (Blueprint $table): void {
            $table->dropColumn('skipped');
        });
        Schema::table('batches', function (Blueprint $table): void {
            $table->dropColumn(['factor', 'remainder_grams', 'sample_kept', 'inspected']);
        });
    }
};
