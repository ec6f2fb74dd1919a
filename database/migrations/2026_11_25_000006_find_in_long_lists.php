<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What is under way is found without going through all that is done.
        foreach (['batches', 'steeps', 'routines'] as $room) {
            Schema::table(
                $room,
                static fn (Blueprint $table) => $table->index(['studio_id', 'state', 'updated_at', 'id']),
            );
        }
    }
};
