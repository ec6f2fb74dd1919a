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
        Schema::table('steeps', function (Blueprint $table): void {
            // The charge as it was written and weighed in; what happened since stands in steep_events.
            $table->json('document')->default('{}');
            $table->string('reason', 300)->default('');
        });
        foreach (DB::table('steeps')->get() as $s) {
            /** @var stdClass&object{plant_grams: string, oil_grams: string, jar_ml: string, diameter_cm: string} $s */
            DB::table('steeps')
                ->where('id', $s->id)
                ->update([
                    'document' => json_encode([
                        'herbs' => [
                            [
                                'ingredient' => $s->plant,
                                'form' => $s->form,
                                'preparation' => $s->form === 'fresh' ? 'chopped' : 'none',
                                'amount' => (float) $s->plant_grams.' g',
                                'grams' => (float) $s->plant_grams,
                                'draw' => 1,
                                'cost' => null,
                            ],
                        ],
                        'oils' => [
                            [
                                'ingredient' => $s->oil,
                                'amount' => (float) $s->oil_grams.' g',
                                'grams' => (float) $s->oil_grams,
                                'cost' => null,
                            ],
                        ],
                        'water_grams' => 0,
                        'method' => $s->method,
                        'celsius' => 0,
                        'minutes' => 0,
                        'days' => 0,
                        'jar_ml' => (float) $s->jar_ml,
                        'diameter_cm' => (float) $s->diameter_cm,
                        'mouth_cm' => 0,
                        'shaken_daily' => (bool) $s->shaken_daily,
                        'pressed' => (bool) $s->pressed,
                    ]),
                ]);
        }
        Schema::table('steeps', function (Blueprint $table): void {
            $table->dropColumn([
                'plant',
                'form',
                'plant_grams',
                'oil',
                'oil_grams',
                'method',
                'jar_ml',
                'diameter_cm',
                'shaken_daily',
                'pressed',
            ]);
        });
        Schema::create('steep_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('steep_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->date('on_date');
            $table->json('data')->default('{}');
            $table->string('note', 500)->default('');
            $table->timestamps();
            $table->index(['steep_id', 'on_date', 'id']);
        });
        Schema::create('steep_photos', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('steep_id')->constrained()->cascadeOnDelete();
            $table->date('on_date');
            $table->string('file', 80);
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->timestamps();
        });
        Schema::table('lots', function (Blueprint $table): void {
            $table->foreignId('event_id')->nullable()->constrained('steep_events')->cascadeOnDelete();
            $table->string('choice', 20)->default('kept');
            $table->string('withdrawn', 300)->default('');
            $table->date('withdrawn_on')->nullable();
            $table->dropColumn('spoiled');
        });
    }
};
