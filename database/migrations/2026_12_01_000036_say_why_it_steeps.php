<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Why a jar was begun although something of it is stopped at. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('steeps', static function (Blueprint $table): void {
            $table->string('although', 500)->default('');
        });
    }
};
