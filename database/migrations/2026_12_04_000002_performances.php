<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a student plays to others, and when. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('performances', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->string('title', 60);
            $table->date('on_date');
            $table->timestamps();
            $table->index(['student_id', 'on_date']);
        });
        Schema::create('performance_pieces', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('performance_id')->constrained()->cascadeOnDelete();
            $table->foreignId('learning_id')->constrained()->cascadeOnDelete();
            $table->unique(['performance_id', 'learning_id']);
        });
        Schema::table('tasks', function (Blueprint $table): void {
            $table->foreignId('performance_id')->nullable()->constrained()->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('tasks', static fn (Blueprint $table) => $table->dropConstrainedForeignId('performance_id'));
        Schema::dropIfExists('performance_pieces');
        Schema::dropIfExists('performances');
    }
};
