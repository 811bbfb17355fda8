<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('weeks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->date('starts_on')->comment('the day of the lesson it comes from');
            $table->date('ends_on')->comment('the day of the next lesson');
            $table->timestamp('sent_at')->nullable();
            $table->timestamps();
            $table->unique(['student_id', 'starts_on']);
            $table->index(['studio_id', 'ends_on']);
        });
        Schema::create('tasks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->foreignId('week_id')->constrained()->cascadeOnDelete();
            $table->foreignId('stage_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('learning_id')->nullable()->constrained()->nullOnDelete();
            $table->string('kind', 10);
            $table->string('title', 120);
            $table->string('instruction', 240);
            $table->string('why', 190)->default('');
            $table->char('hand', 1)->nullable();
            $table->unsignedSmallInteger('repetitions')->default(1);
            $table->unsignedSmallInteger('tempo')->nullable();
            $table->unsignedSmallInteger('half_minutes');
            $table->boolean('is_new')->default(false);
            $table->boolean('starred')->default(false);
            $table->string('left_why', 120)->nullable()->comment('why it has no day');
            $table->string('mark', 5)->nullable()->comment('pass, again or stop');
            $table->timestamps();
            $table->softDeletes();
        });
        Schema::create('task_bars', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('position');
            $table->unsignedSmallInteger('first');
            $table->unsignedSmallInteger('last');
            $table->string('from_place', 16);
            $table->string('to_place', 16);
        });
        Schema::create('task_days', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->constrained()->cascadeOnDelete();
            $table->date('on_date');
            $table->unsignedSmallInteger('position');
            $table->unique(['task_id', 'on_date']);
        });
        Schema::create('practices', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->constrained()->cascadeOnDelete();
            $table->date('on_date');
            $table->unsignedSmallInteger('repetitions');
            $table->string('feeling', 5)->comment('easy, fine or hard');
            $table->string('note', 240)->default('');
            $table->char('client_key', 36);
            $table->timestamps();
            $table->unique(['student_id', 'client_key']);
            $table->unique(['task_id', 'on_date']);
            $table->index(['student_id', 'on_date']);
        });
        Schema::create('lessons', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->foreignId('week_id')->nullable()->constrained()->nullOnDelete();
            $table->date('held_on');
            $table->timestamp('finished_at')->nullable();
            $table->timestamps();
            $table->unique(['student_id', 'held_on']);
        });
        Schema::create('slips', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('lesson_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->unsignedSmallInteger('measure')->comment('index in the piece');
            $table->string('place', 16);
            $table->char('hand', 1)->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        foreach (['slips', 'lessons', 'practices', 'task_days', 'task_bars', 'tasks', 'weeks'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
