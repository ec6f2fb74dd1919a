<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What a ready blend is made of, as rows: what has the blend in it is found where a part of it is asked for. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (DB::table('own_ingredients')->orderBy('id')->get(['id', 'studio_id', 'document']) as $own) {
            /** @var stdClass&object{id: int, studio_id: int, document: string} $own */
            $document = (array) json_decode($own->document, true);
            $parts = array_column((array) ($document['parts'] ?? []), 'ingredient');
            foreach (array_unique(array_filter($parts, is_string(...))) as $ingredient) {
                DB::table('ingredient_uses')->insertOrIgnore([
                    'studio_id' => $own->studio_id,
                    'ingredient' => $ingredient,
                    'holder' => 'own',
                    'holder_id' => $own->id,
                ]);
            }
        }
    }

    public function down(): void
    {
        DB::table('ingredient_uses')->where('holder', 'own')->delete();
    }
};
