<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Why a routine was planned although something speaks against it on that head. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('routines', static function (Blueprint $table): void {
            $table->string('although', 500)->default('');
        });
    }
};
