<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('books', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->string('title', 120);
            $table->string('level', 60)->default('');
            $table->timestamps();
        });
        Schema::create('pages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('book_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('number');
            $table->string('kind', 10)->default('pieces')->comment('pieces, theory or listening');
            $table->string('introduces', 190)->default('');
            $table->timestamps();
            $table->unique(['book_id', 'number']);
        });
        Schema::create('pieces', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('page_id')->constrained()->cascadeOnDelete();
            $table->string('label', 4)->default('');
            $table->string('title', 120);
            $table->mediumText('music')->comment('MusicXML, as the core writes it');
            $table->text('shorthand')->nullable()->comment('as typed; null when it came as a file');
            $table->unsignedSmallInteger('measures');
            $table->text('note_names')->comment('clef:pitch, divided by commas');
            $table->text('not_read')->comment('what the file held and the page does not, a line each');
            $table->timestamps();
        });
        Schema::create('learnings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->foreignId('piece_id')->constrained()->cascadeOnDelete();
            $table->string('path', 8);
            $table->string('state', 10)->default('current')->comment('current, resting or finished');
            $table->date('opened_on');
            $table->date('finished_on')->nullable();
            $table->date('played_on')->nullable();
            $table->unsignedTinyInteger('review_step')->default(0);
            $table->timestamps();
            $table->unique(['student_id', 'piece_id']);
            $table->index(['student_id', 'state']);
        });
        Schema::create('stages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('learning_id')->constrained()->cascadeOnDelete();
            $table->unsignedTinyInteger('position');
            $table->string('kind', 40);
            $table->unsignedSmallInteger('repetitions');
            $table->unsignedSmallInteger('tempo')->nullable();
            $table->unsignedSmallInteger('half_minutes');
            $table->date('passed_on')->nullable();
            $table->timestamps();
            $table->unique(['learning_id', 'position']);
        });
        Schema::create('stage_waits', function (Blueprint $table): void {
            $table->foreignId('stage_id')->constrained()->cascadeOnDelete();
            $table->foreignId('waits_for_id')->constrained('stages')->cascadeOnDelete();
            $table->primary(['stage_id', 'waits_for_id']);
        });
        Schema::create('stage_bars', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('stage_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('position');
            $table->string('kind', 12);
            $table->unsignedSmallInteger('first')->comment('index of the first measure');
            $table->unsignedSmallInteger('last');
            $table->string('from_place', 16);
            $table->string('to_place', 16);
        });
    }

    public function down(): void
    {
        foreach (['stage_bars', 'stage_waits', 'stages', 'learnings', 'pieces', 'pages', 'books'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
