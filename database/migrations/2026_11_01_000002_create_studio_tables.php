<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Every row names its studio, so that one column decides who may see it. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('studios', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->string('words', 2)->default('us')->comment('us or uk words for notes');
            $table->string('paper', 6)->default('a4')->comment('a4 or letter');
            $table->string('timezone', 64)->default('UTC');
            $table->timestamps();
        });
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            $table->string('email', 190)->unique();
            $table->string('password');
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('students', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->string('first_name', 60);
            $table->string('initial', 2);
            $table->unsignedSmallInteger('birth_year');
            $table->unsignedTinyInteger('lesson_weekday')->comment('1 Monday to 7 Sunday');
            $table->time('lesson_time');
            $table->unsignedTinyInteger('lesson_minutes')->default(30);
            $table->string('path', 8)->default('beat');
            $table->string('school', 10)->default('landmark');
            $table->unsignedTinyInteger('landmark_level')->default(1);
            $table->string('counting', 10)->default('numbers');
            $table->string('count_style', 8)->default('bar');
            $table->unsignedTinyInteger('hand_span')->default(6)->comment('white keys');
            $table->timestamps();
            $table->index(['studio_id', 'lesson_weekday', 'lesson_time']);
        });
        Schema::create('practice_days', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->unsignedTinyInteger('weekday');
            $table->unsignedSmallInteger('minutes');
            $table->unique(['student_id', 'weekday']);
        });
        Schema::create('family_links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->string('label', 60);
            $table->char('token_hash', 64)->unique();
            $table->date('expires_on')->nullable();
            $table->timestamp('withdrawn_at')->nullable();
            $table->timestamp('used_at')->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        foreach (['family_links', 'practice_days', 'students', 'users', 'studios'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
