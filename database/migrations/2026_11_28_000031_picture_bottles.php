<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A bottle has pictures as a jar has. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::rename('steep_photos', 'pictures');
        Schema::table('pictures', function (Blueprint $table): void {
            $table->unsignedBigInteger('steep_id')->nullable()->change();
            $table->foreignId('lot_id')->nullable()->constrained()->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('pictures', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('lot_id');
        });
        Schema::rename('pictures', 'steep_photos');
    }
};
