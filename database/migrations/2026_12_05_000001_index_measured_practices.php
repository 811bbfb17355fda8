<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// The newest measured times of a student are looked for on the student's page, among the practice of years.
return new class extends Migration {
    public function up(): void
    {
        Schema::table('practices', static function (Blueprint $table): void {
            $table->index(['student_id', 'seconds']);
        });
    }

    public function down(): void
    {
        Schema::table('practices', static function (Blueprint $table): void {
            $table->dropIndex(['student_id', 'seconds']);
        });
    }
};
