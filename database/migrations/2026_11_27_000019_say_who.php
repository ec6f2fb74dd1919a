<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who touched a thing last: her name stays when she has gone. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['formulas', 'steeps', 'heads', 'routines'] as $table) {
            Schema::table($table, static function (Blueprint $table): void {
                $table->string('touched_by', 120)->default('');
            });
        }
    }
};
