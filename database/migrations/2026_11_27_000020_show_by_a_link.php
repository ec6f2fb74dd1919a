<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** One thing of a studio, shown to whoever has its link. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('private_links', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 12);
            $table->unsignedBigInteger('subject_id');
            $table->string('title', 200);
            $table->char('hash', 64)->unique();
            $table->string('by_name', 120);
            $table->dateTime('last_used_at')->nullable();
            $table->timestamps();
        });
    }
};
