<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where makers disagree, a studio's own choices. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('studios', static function (Blueprint $table): void {
            $table->json('schools')->nullable();
        });
    }
};
