<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** All rows that the judging of a formula is made of (App\Catalogue\KeptContexts). Each names its studio. */
    private const SHAPING = ['own_figures', 'own_ingredients', 'lots', 'steeps', 'steep_events', 'batches', 'batch_findings'];

    public function up(): void
    {
        Schema::create('studio_changes', function (Blueprint $table): void {
            // Not tied to its studio by a foreign key: two who add rows at once would each hold that studio's row and wait for the other.
            $table->unsignedBigInteger('studio_id')->primary();
            $table->unsignedBigInteger('changes');
        });
        // By the database itself and in the same transaction, so that no way of writing a row can leave it out.
        foreach (self::SHAPING as $table) {
            foreach (['INSERT' => 'NEW', 'UPDATE' => 'NEW', 'DELETE' => 'OLD'] as $what => $row) {
                DB::unprepared(sprintf(
                    'CREATE TRIGGER %1$s_%2$s_counted AFTER %2$s ON %1$s FOR EACH ROW INSERT INTO studio_changes (studio_id, changes) VALUES (%3$s.studio_id, 1) ON DUPLICATE KEY UPDATE changes = changes + 1',
                    $table, $what, $row,
                ));
            }
        }
    }
};
