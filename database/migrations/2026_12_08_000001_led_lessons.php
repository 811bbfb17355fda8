<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Make-up lessons that are led at home: what the teacher put together; takes of their steps are of no task. A take keeps what was heard in it. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('led_lessons', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->string('title', 80);
            $table->dateTime('sent_at')->nullable();
            $table->dateTime('done_at')->nullable();
            $table->timestamps();
            $table->index(['student_id', 'sent_at']);
        });
        Schema::create('led_steps', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->foreignId('led_lesson_id')->constrained()->cascadeOnDelete();
            $table->unsignedTinyInteger('position');
            $table->foreignId('stage_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('learning_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedSmallInteger('first')->nullable()->comment('index of a measure');
            $table->unsignedSmallInteger('last')->nullable();
            $table->char('hand', 1)->nullable();
            $table->unsignedSmallInteger('tempo')->nullable();
            $table->string('words', 300);
            $table->unsignedTinyInteger('half_minutes');
            $table->mediumText('voice')->nullable()->comment('of the teacher, as a data address');
            $table->index(['led_lesson_id', 'position']);
        });
        Schema::table('takes', function (Blueprint $table): void {
            $table->foreignId('task_id')->nullable()->change();
            $table->foreignId('led_step_id')->nullable()->after('task_id')->constrained()->cascadeOnDelete();
            $table->text('judged')->nullable()->after('notes')->comment('in JSON, for a revision of the page');
        });
        Schema::table('students', function (Blueprint $table): void {
            $table->boolean('heard_passes')->default(false)->comment('three clean takes in a row pass a stage');
        });
    }

    public function down(): void
    {
        DB::table('takes')->whereNull('task_id')->delete();
        Schema::table('students', fn (Blueprint $table) => $table->dropColumn('heard_passes'));
        Schema::table('takes', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('led_step_id');
            $table->dropColumn('judged');
            $table->foreignId('task_id')->nullable(false)->change();
        });
        Schema::dropIfExists('led_steps');
        Schema::dropIfExists('led_lessons');
    }
};
