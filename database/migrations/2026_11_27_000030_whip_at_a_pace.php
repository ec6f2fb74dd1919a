<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How fast it was whipped, when air was found in a butter: minutes at medium speed that one of hers was worth. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('batch_findings', function (Blueprint $table): void {
            $table->double('whipped_pace')->default(1.0);
        });
    }

    public function down(): void
    {
        Schema::table('batch_findings', function (Blueprint $table): void {
            $table->dropColumn('whipped_pace');
        });
    }
};
