<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Studios that people open for themselves, share, and leave. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->string('role', 8)->default('owner');
            $table->softDeletes();
        });
        // One spelling is one account: what looks alike to the database is not the same.
        DB::table('users')->update(['email' => DB::raw('lower(trim(email))')]);
        Schema::table('users', static function (Blueprint $table): void {
            $table->string('email', 190)->collation('utf8mb4_bin')->change();
        });
        // In each studio the first is its owner, the others make with her.
        $first = DB::table('users')->groupBy('studio_id')->selectRaw('min(id) as id')->pluck('id');
        DB::table('users')->whereNotIn('id', $first)->update(['role' => 'maker']);
        Schema::table('studios', static function (Blueprint $table): void {
            $table->string('country', 2)->default('');
            $table->string('currency', 3)->default('');
            $table->boolean('decimal_comma')->default(false);
            // What it has not been asked yet is asked the first time.
            $table->date('set_up_on')->nullable();
            $table->date('leaving_on')->nullable();
        });
        DB::table('studios')->update(['set_up_on' => DB::raw('date(created_at)')]);
        Schema::create('recovery_codes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->char('hash', 64);
            $table->timestamp('used_at')->nullable();
            $table->timestamps();
        });
        Schema::create('invitations', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->string('role', 8);
            $table->char('hash', 64)->unique();
            $table->string('by_name', 120);
            $table->dateTime('expires_at');
            $table->dateTime('used_at')->nullable();
            $table->timestamps();
        });
        Schema::create('security_events', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            $table->string('kind', 24);
            $table->string('what', 200)->default('');
            $table->timestamp('created_at')->useCurrent();
            $table->index(['studio_id', 'id']);
            $table->index('created_at');
        });
    }
};
