<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Weeks that give way: locks, holidays, moved lessons; lessons with a record; patterns of weeks. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('students', function (Blueprint $table): void {
            $table->unsignedTinyInteger('second_weekday')->nullable()->after('lesson_minutes')->comment('of a second lesson each week');
            $table->time('second_time')->nullable()->after('second_weekday');
            $table->unsignedTinyInteger('second_minutes')->nullable()->after('second_time');
            $table->string('timezone', 40)->nullable()->after('second_minutes')->comment('where it is not that of the studio');
        });
        Schema::create('holidays', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->nullable()->comment('null for all students')->constrained()->cascadeOnDelete();
            $table->string('label', 60);
            $table->date('from_on');
            $table->date('to_on');
            $table->boolean('lessons')->comment('there are lessons all the same');
            $table->boolean('practice')->comment('there is practice all the same');
            $table->timestamps();
            $table->index(['studio_id', 'to_on']);
        });
        Schema::table('lessons', function (Blueprint $table): void {
            $table->string('state', 10)->default('held')->after('held_on')->comment('held, moved, cancelled or make-up');
            $table->date('slot_on')->nullable()->after('state')->comment('the day of the timetable that it stands for');
            $table->time('at')->nullable()->after('slot_on');
            $table->unsignedTinyInteger('minutes')->nullable()->after('at');
            $table->text('private_note')->nullable();
            $table->text('shared_note')->nullable();
            $table->index(['student_id', 'state']);
        });
        Schema::table('slips', function (Blueprint $table): void {
            $table->unsignedSmallInteger('last_measure')->nullable()->after('measure')->comment('index in the piece, of a slip over several bars');
            $table->unsignedTinyInteger('from_beat')->nullable()->after('last_measure')->comment('1 is the first; null for whole bars');
            $table->unsignedTinyInteger('to_beat')->nullable()->after('from_beat');
            $table->string('place', 48)->change();
            $table->char('client_key', 36)->nullable();
            $table->unique(['lesson_id', 'client_key']);
        });
        Schema::table('tasks', function (Blueprint $table): void {
            $table->unsignedSmallInteger('tempo_reached')->nullable()->after('mark')->comment('beats a minute, at the lesson');
            $table->unsignedTinyInteger('most_days')->default(3)->after('half_minutes')->comment('it is wanted on no more');
            $table->string('heard_note', 240)->default('')->after('tempo_reached')->comment('of the teacher, at the lesson');
        });
        Schema::table('stages', function (Blueprint $table): void {
            $table->unsignedBigInteger('relieved_after')->nullable()->comment('the last task before it was made easier; misses up to it no longer count');
        });
        Schema::create('skipped_pages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->foreignId('page_id')->constrained()->cascadeOnDelete();
            $table->unique(['student_id', 'page_id']);
        });
        Schema::create('link_siblings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('family_link_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->unique(['family_link_id', 'student_id']);
        });
        Schema::table('practices', function (Blueprint $table): void {
            $table->unsignedSmallInteger('tempo')->nullable()->after('repetitions')->comment('beats a minute it was played at last');
        });
        Schema::table('students', function (Blueprint $table): void {
            $table->string('family_mail', 190)->nullable()->after('timezone')->comment('where weeks and reports are sent to');
        });
        Schema::create('mails', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->string('to', 190);
            $table->string('subject', 190);
            $table->text('body');
            $table->timestamps();
            $table->index(['studio_id', 'created_at']);
        });
        Schema::create('calendar_feeds', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->nullable()->comment('null for all lessons of the studio')->constrained()->cascadeOnDelete();
            $table->char('token_hash', 64)->unique();
            $table->timestamp('used_at')->nullable();
            $table->timestamps();
        });
        Schema::create('ladders', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('learning_id')->constrained()->cascadeOnDelete();
            $table->char('hand', 1)->default('')->comment('empty for both');
            $table->unsignedSmallInteger('start')->comment('beats a minute');
            $table->unsignedSmallInteger('goal');
            $table->unsignedTinyInteger('step')->nullable()->comment('null for the classic marks');
            $table->unique(['learning_id', 'hand']);
        });
        Schema::table('weeks', function (Blueprint $table): void {
            $table->string('message', 500)->default('')->after('sent_at')->comment('to the family');
            $table->unsignedTinyInteger('share')->default(100)->after('message')->comment('percent of the minutes that are planned');
            $table->date('planned_on')->nullable()->after('share')->comment('the day from which it was planned last');
        });
        Schema::table('task_days', function (Blueprint $table): void {
            $table->boolean('locked')->default(false);
        });
        Schema::create('days_off', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->constrained()->cascadeOnDelete();
            $table->date('on_date');
            $table->unique(['task_id', 'on_date']);
        });
        Schema::create('week_patterns', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60);
            $table->text('tasks')->comment('JSON; read as a whole');
            $table->timestamps();
            $table->unique(['studio_id', 'name']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('week_patterns');
        Schema::dropIfExists('ladders');
        Schema::dropIfExists('calendar_feeds');
        Schema::dropIfExists('mails');
        Schema::table('students', fn (Blueprint $table) => $table->dropColumn('family_mail'));
        Schema::table('practices', fn (Blueprint $table) => $table->dropColumn('tempo'));
        Schema::dropIfExists('link_siblings');
        Schema::dropIfExists('skipped_pages');
        Schema::table('stages', fn (Blueprint $table) => $table->dropColumn('relieved_after'));
        Schema::table('tasks', fn (Blueprint $table) => $table->dropColumn(['tempo_reached', 'heard_note', 'most_days']));
        Schema::table('slips', fn (Blueprint $table) => $table->dropUnique(['lesson_id', 'client_key']));
        Schema::table('slips', fn (Blueprint $table) => $table->dropColumn(['last_measure', 'from_beat', 'to_beat', 'client_key']));
        Schema::dropIfExists('days_off');
        Schema::table('task_days', fn (Blueprint $table) => $table->dropColumn('locked'));
        Schema::table('weeks', fn (Blueprint $table) => $table->dropColumn(['message', 'share', 'planned_on']));
        Schema::table('lessons', function (Blueprint $table): void {
            $table->dropIndex(['student_id', 'state']);
            $table->dropColumn(['state', 'slot_on', 'at', 'minutes', 'private_note', 'shared_note']);
        });
        Schema::dropIfExists('holidays');
        Schema::table('students', fn (Blueprint $table) => $table->dropColumn(['second_weekday', 'second_time', 'second_minutes', 'timezone']));
    }
};
