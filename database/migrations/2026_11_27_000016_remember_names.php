<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A name in a recipe that a maker settled once means the same in the next. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('settled_names', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->string('written', 120);
            $table->string('ingredient', 80);
            $table->string('form', 20)->default('');
            $table->timestamps();
            $table->unique(['studio_id', 'written']);
        });
    }
};
