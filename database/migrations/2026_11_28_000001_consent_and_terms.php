<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Consent and its words, students who have left, how long things are kept, who looked at a child's data, and what was erased. */
return new class extends Migration {
    /** After so many reviews a page comes back on request alone. */
    private const ON_REQUEST = 4;

    public function up(): void
    {
        Schema::table('studios', function (Blueprint $table): void {
            $table->unsignedTinyInteger('consent_age')->default(16)->comment('below it a home link needs the consent of a parent');
            $table->unsignedSmallInteger('keep_drafts')->default(180)->comment('days since a draft was typed on');
            $table->unsignedSmallInteger('keep_mails')->default(365)->comment('days');
        });
        Schema::table('students', function (Blueprint $table): void {
            $table->date('consented_on')->nullable()->comment('a parent agreed to the home link');
            $table->string('consent_words', 500)->default('')->comment('what was said, and by whom');
            $table->date('left_on')->nullable()->comment('no longer a student; kept, and out of the lists');
        });
        Schema::table('mails', function (Blueprint $table): void {
            $table->foreignId('student_id')->nullable()->after('studio_id')->comment('about whom it is')->constrained()->cascadeOnDelete();
        });
        Schema::create('accesses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->string('who', 120)->comment('the teacher, or the label of a home link');
            $table->string('what', 10)->comment('page, progress, home, export, report or calendar');
            $table->date('on_date');
            $table->unique(['student_id', 'on_date', 'what', 'who']);
        });
        // Without keys into other tables: what it names is gone.
        Schema::create('erasures', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('studio');
            $table->unsignedBigInteger('student');
            $table->timestamp('erased_at');
            $table->unique(['studio', 'student']);
        });
        DB::table('learnings')->where('review_step', '>', self::ON_REQUEST)->update(['review_step' => self::ON_REQUEST]);
    }

    public function down(): void
    {
        Schema::dropIfExists('erasures');
        Schema::dropIfExists('accesses');
        Schema::table('mails', fn (Blueprint $table) => $table->dropConstrainedForeignId('student_id'));
        Schema::table('students', fn (Blueprint $table) => $table->dropColumn(['consented_on', 'consent_words', 'left_on']));
        Schema::table('studios', fn (Blueprint $table) => $table->dropColumn(['consent_age', 'keep_drafts', 'keep_mails']));
    }
};
