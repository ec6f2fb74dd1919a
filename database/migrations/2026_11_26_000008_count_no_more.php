<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Every change to what formulas are judged with was once counted by triggers: nothing asks for the count any more. */
return new class extends Migration
{
    private const COUNTED = [
        'own_figures',
        'own_ingredients',
        'lots',
        'steeps',
        'steep_events',
        'batches',
        'batch_findings',
    ];

    public function up(): void
    {
        foreach (self::COUNTED as $table) {
            foreach (['INSERT', 'UPDATE', 'DELETE'] as $what) {
                DB::unprepared(sprintf('DROP TRIGGER IF EXISTS %s_%s_counted', $table, $what));
            }
        }
        Schema::dropIfExists('studio_changes');
    }
};
