<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Links to a new password that were sent by mail, of which only hashes are kept; and how a studio writes its dates. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('password_reset_tokens', function (Blueprint $table): void {
            $table->string('email', 190)->primary();
            $table->string('token');
            $table->timestamp('created_at')->nullable();
        });
        Schema::table('studios', function (Blueprint $table): void {
            $table->string('date_style', 20)->default('day-first');
        });
    }

    public function down(): void
    {
        Schema::table('studios', function (Blueprint $table): void {
            $table->dropColumn('date_style');
        });
        Schema::drop('password_reset_tokens');
    }
};
