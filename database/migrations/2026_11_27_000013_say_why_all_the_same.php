<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Why a batch was made although the bench stops at it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('batches', static function (Blueprint $table): void {
            $table->string('although', 500)->default('');
        });
    }
};
