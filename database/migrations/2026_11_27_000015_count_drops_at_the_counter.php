<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** How it is known what went in: weighed, counted in drops, too little for the scale, left out. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('weigh_ins', static function (Blueprint $table): void {
            $table->string('how', 12)->default('weighed');
            $table->unsignedInteger('drops')->nullable();
        });
        // Until now nothing but a weight could be entered, and 0 meant that it was left out.
        DB::table('weigh_ins')->where('grams', 0)->update(['how' => 'left-out']);
    }
};
