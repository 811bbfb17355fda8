<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Answers of the practice room, and what a teacher sets there for a student. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('drill_answers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->char('session', 36)->comment('made by the device, so that what is sent twice counts once');
            $table->unsignedSmallInteger('position')->comment('of the answer in its session');
            $table->string('kind', 10);
            $table->string('card', 80);
            $table->string('note', 20)->nullable()->comment('that it tells of, as treble:C4');
            $table->boolean('is_right');
            $table->unsignedInteger('milliseconds');
            $table->string('given', 40)->default('')->comment('what was answered');
            $table->dateTime('answered_at')->comment('by the time of the device, in UTC');
            $table->date('on_date')->comment('where the student is');
            $table->unique(['student_id', 'session', 'position']);
            $table->index(['student_id', 'note', 'answered_at']);
            $table->index(['student_id', 'card', 'answered_at']);
            $table->index(['student_id', 'on_date']);
        });
        Schema::table('students', function (Blueprint $table): void {
            $table->string('drill_kinds', 190)->nullable()->comment('of the practice room, with commas; null for all');
            $table->text('drill_notes')->nullable()->comment('treble:C4,…; null for those of the pages');
            $table->unsignedTinyInteger('drill_minutes')->nullable()->comment('of a session; null by age');
            $table->unsignedTinyInteger('drill_answers')->default(10)->comment('that are looked at');
            $table->unsignedTinyInteger('drill_right')->default(90)->comment('percent of them');
            $table->unsignedSmallInteger('drill_within')->default(3000)->comment('milliseconds');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('drill_answers');
        Schema::table('students', function (Blueprint $table): void {
            $table->dropColumn(['drill_kinds', 'drill_notes', 'drill_minutes', 'drill_answers', 'drill_right', 'drill_within']);
        });
    }
};
