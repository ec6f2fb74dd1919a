<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who wants how many jars of what, and by when. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('orders', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('formula_id')->nullable()->constrained()->nullOnDelete();
            $table->string('title', 200);
            $table->string('who', 120);
            $table->integer('jars');
            $table->double('jar_ml');
            $table->date('due_on');
            $table->double('price')->nullable();
            $table->string('note', 300)->default('');
            $table->string('state', 8)->default('open');
            $table->string('by_name', 120)->default('');
            $table->timestamps();
            $table->index(['studio_id', 'state', 'due_on', 'id']);
        });
    }

    public function down(): void
    {
        Schema::drop('orders');
    }
};
