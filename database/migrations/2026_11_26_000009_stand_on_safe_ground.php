<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('idempotency_keys', function (Blueprint $table): void {
            // What was asked under the key; "" for those from before.
            $table->char('asked_hash', 64)->default('');
        });
        Schema::table('studios', function (Blueprint $table): void {
            // Its "today" is the calendar date there.
            $table->string('time_zone', 64)->default('UTC');
        });
        // Blank words once passed for choices, and broke every look at the head that had them.
        $lists = ['wants', 'conditions', 'signs', 'allergies'];
        $choices = ['strand', 'porosity', 'density', 'curl', 'scalp', 'age_band', 'style', 'hardness'];
        foreach (DB::table('heads')->get(['id', ...$lists, ...$choices]) as $head) {
            $mended = [];
            /** @var array<string, string> $of */
            $of = (array) $head;
            foreach ($lists as $column) {
                $words = (array) json_decode($of[$column], true);
                $mended[$column] = json_encode(
                    array_values(array_filter($words, static fn ($w): bool => is_string($w) && trim($w) !== '')),
                );
            }
            foreach ($choices as $column) {
                $mended[$column] = trim($of[$column]) === '' ? 'not-known' : $of[$column];
            }
            DB::table('heads')->where('id', $head->id)->update($mended);
        }
        DB::table('studios')
            ->where('scale_grams', '<', 0.001)
            ->update(['scale_grams' => 0.001]);
    }
};
