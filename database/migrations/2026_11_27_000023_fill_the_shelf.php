<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What a bottle says of itself: where from, when, for how much, until when, where it stands. And what a movement was
 * for: a steep, a person, jars at a price. The order in which things are to be used is kept as a day; what nothing is
 * known of comes last.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('lots', function (Blueprint $table): void {
            $table->string('supplier', 200)->default('');
            $table->string('batch_number', 80)->default('');
            $table->date('bought_on')->nullable();
            $table->date('printed_on')->nullable();
            $table->date('opened_on')->nullable();
            $table->double('opened_months')->nullable();
            $table->double('tare_grams')->nullable();
            $table->double('cost')->nullable();
            $table->string('currency', 3)->default('');
            $table->string('place', 80)->default('');
            $table->double('place_celsius')->nullable();
            $table->string('note', 500)->default('');
            $table->date('use_by')->default('9999-12-31');
            $table->index(['studio_id', 'emptied_on', 'use_by', 'id']);
        });
        DB::statement('update lots set use_by = best_before where best_before is not null');
        Schema::table('stock_movements', function (Blueprint $table): void {
            $table->foreignId('steep_id')->nullable()->constrained()->nullOnDelete();
            $table->string('to_name', 120)->default('');
            $table->integer('jars')->default(0);
            $table->double('price')->nullable();
            $table->index(['batch_id', 'lot_id']);
            $table->index(['steep_id', 'lot_id']);
        });
    }

    public function down(): void
    {
        Schema::table('stock_movements', function (Blueprint $table): void {
            $table->dropForeign(['steep_id']);
            $table->dropIndex(['batch_id', 'lot_id']);
            $table->dropIndex(['steep_id', 'lot_id']);
            $table->dropColumn(['steep_id', 'to_name', 'jars', 'price']);
        });
        Schema::table('lots', function (Blueprint $table): void {
            $table->dropIndex(['studio_id', 'emptied_on', 'use_by', 'id']);
            $table->dropColumn([
                'supplier', 'batch_number', 'bought_on', 'printed_on', 'opened_on', 'opened_months', 'tare_grams',
                'cost', 'currency', 'place', 'place_celsius', 'note', 'use_by',
            ]);
        });
    }
};
