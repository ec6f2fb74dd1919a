<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Answers that are kept for a second try are sealed with the key that came with the first: whoever reads the database
 * reads none of them. What was kept in the clear goes.
 */
return new class() extends Migration
{
    public function up(): void
    {
        DB::table('idempotency_keys')->delete();
        Schema::table('idempotency_keys', function (Blueprint $table): void {
            $table->string('made', 190)->nullable()->index();
        });
        Schema::table('security_events', function (Blueprint $table): void {
            $table->string('address', 45)->default('');
        });
    }

    public function down(): void
    {
        Schema::table('idempotency_keys', fn (Blueprint $table) => $table->dropColumn('made'));
        Schema::table('security_events', fn (Blueprint $table) => $table->dropColumn('address'));
    }
};
