<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What is seen or smelt of a jar that has stood for a while, and a jar that was opened and is empty. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('batch_findings', function (Blueprint $table): void {
            $table->json('signs')->nullable();
        });
        Schema::table('stock_movements', function (Blueprint $table): void {
            $table->date('ended_on')->nullable();
        });
        Schema::table('batches', function (Blueprint $table): void {
            $table->index(['studio_id', 'state', 'made_on']);
            $table->index(['formula_id', 'state', 'made_on']);
        });
    }

    public function down(): void
    {
        Schema::table('batches', function (Blueprint $table): void {
            $table->dropIndex(['studio_id', 'state', 'made_on']);
            $table->dropForeign(['formula_id']);
            $table->dropIndex(['formula_id', 'state', 'made_on']);
            $table->foreign('formula_id')->references('id')->on('formulas')->nullOnDelete();
        });
        Schema::table('batch_findings', function (Blueprint $table): void {
            $table->dropColumn('signs');
        });
        Schema::table('stock_movements', function (Blueprint $table): void {
            $table->dropColumn('ended_on');
        });
    }
};
