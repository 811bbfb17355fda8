<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The notes of a remedy that are drilled in the practice room. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('tasks', static fn (Blueprint $table) => $table->text('drill_notes')->nullable()->comment('clef:pitch, divided by commas')->after('performance_id'));
    }

    public function down(): void
    {
        Schema::table('tasks', static fn (Blueprint $table) => $table->dropColumn('drill_notes'));
    }
};
