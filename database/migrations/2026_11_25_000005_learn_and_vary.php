<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('studios', function (Blueprint $table): void {
            // What the largest bowl holds; 0 while nobody said.
            $table->float('bowl_ml')->default(0);
        });
        Schema::table('cupboard_items', function (Blueprint $table): void {
            // How much there is; empty while nobody said.
            $table->double('grams')->nullable();
        });
        Schema::table('formulas', function (Blueprint $table): void {
            $table->foreignId('base_id')->nullable()->constrained('formulas')->nullOnDelete();
            // The base as it was when it was last passed on to this variant.
            $table->json('base_document')->nullable();
        });
        Schema::table('formula_versions', function (Blueprint $table): void {
            // What its jar shows, as it was when it was kept; empty for versions kept before.
            $table->json('summary')->nullable();
        });
        Schema::create('batch_findings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->date('on_date');
            $table->string('texture', 20)->default('');
            $table->double('overrun_percent')->nullable();
            $table->double('whipped_minutes')->nullable();
            $table->string('state', 10)->default('');
            $table->string('note', 500)->default('');
            // What the handbook alone had said of this batch: only beside that does a finding teach.
            $table->string('family', 20);
            $table->double('predicted_months');
            $table->timestamps();
            $table->index(['studio_id', 'id']);
        });
    }
};
