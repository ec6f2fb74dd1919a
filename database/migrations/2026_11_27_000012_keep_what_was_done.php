<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was done at the counter, step by step: by whom and when. Batches of before have none, and stay as they are. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('batch_steps', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            // A TaskKind.
            $table->string('task', 20);
            $table->string('by_name', 120)->default('');
            $table->timestamps();
            $table->unique(['batch_id', 'task']);
        });
    }
};
