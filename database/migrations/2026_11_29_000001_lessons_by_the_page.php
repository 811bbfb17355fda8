<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A page is heard as one thing at a lesson; who came is noted; a slip at one place is noted once. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('page_marks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('lesson_id')->constrained()->cascadeOnDelete();
            $table->foreignId('learning_id')->constrained()->cascadeOnDelete();
            $table->foreignId('stage_id')->nullable()->comment('that was heard; null for a review')->constrained()->nullOnDelete();
            $table->string('mark', 10);
            $table->timestamps();
            $table->unique(['lesson_id', 'learning_id']);
        });
        Schema::create('page_mark_stages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('page_mark_id')->constrained()->cascadeOnDelete();
            $table->foreignId('stage_id')->comment('without a task, passed with the mark')->constrained()->cascadeOnDelete();
            $table->unique(['page_mark_id', 'stage_id']);
        });
        Schema::table('lessons', function (Blueprint $table): void {
            $table->string('attendance', 10)->default('there')->after('state')->comment('there, late, excused or missed');
        });
    }

    public function down(): void
    {
        Schema::table('lessons', fn (Blueprint $table) => $table->dropColumn('attendance'));
        Schema::dropIfExists('page_mark_stages');
        Schema::dropIfExists('page_marks');
    }
};
