<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A steep, an unfinished batch and a routine can be put away as a formula can, and brought back. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['steeps', 'batches', 'routines'] as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->softDeletes();
            });
        }
    }
};
