<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How warm the room was in which something cooled, and how far the whipped butter stood in a marked bowl. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('batch_readings', function (Blueprint $table): void {
            $table->double('around_celsius')->nullable();
        });
        Schema::table('batches', function (Blueprint $table): void {
            $table->double('bowl_ml')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('batches', function (Blueprint $table): void {
            $table->dropColumn('bowl_ml');
        });
        Schema::table('batch_readings', function (Blueprint $table): void {
            $table->dropColumn('around_celsius');
        });
    }
};
