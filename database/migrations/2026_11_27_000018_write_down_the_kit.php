<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Scales, spoons, droppers, bowls, jars, places: what a studio works with. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('studios', static function (Blueprint $table): void {
            $table->json('kit')->nullable();
        });
    }
};
