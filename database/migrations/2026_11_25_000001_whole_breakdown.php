<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Paths of a teacher's own, her fingers and verdicts, and how each student counts and reads. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('studios', function (Blueprint $table): void {
            $table->text('phrases')->nullable()->comment('the sentences for lines and spaces, JSON by place; null for the usual ones');
            $table->text('count_words')->nullable()->comment("the teacher's words for lengths, JSON by length");
        });
        Schema::create('paths', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60);
            $table->timestamps();
            $table->unique(['studio_id', 'name']);
        });
        Schema::create('path_steps', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('path_id')->constrained()->cascadeOnDelete();
            $table->unsignedTinyInteger('position');
            $table->string('kind', 40);
            $this->ownStage($table);
            $table->string('chunks', 12)->default('line')->comment('of an own stage');
            $table->boolean('three_in_a_row')->default(false)->comment('of an own stage');
            $table->unique(['path_id', 'position']);
        });
        Schema::table('students', function (Blueprint $table): void {
            $table->string('counting', 12)->default('numbers')->change();
            $table->foreignId('path_id')->nullable()->after('path')->comment('a path of the studio; over `path`')->constrained()->nullOnDelete();
            $table->boolean('landmark_middle')->default(false)->after('landmark_level')->comment('D3 is a landmark too');
            $table->string('long_notes', 6)->default('all')->after('count_style');
            $table->string('compound_beats', 16)->default('eighths')->after('long_notes');
            $table->string('count_ready', 40)->default('')->after('compound_beats')->comment('last words of the count-in');
        });
        Schema::table('learnings', function (Blueprint $table): void {
            $table->foreignId('path_id')->nullable()->after('path')->constrained()->nullOnDelete();
        });
        Schema::table('stages', function (Blueprint $table): void {
            $table->unsignedTinyInteger('position')->nullable()->comment('null when the path leaves it out; what passed is kept')->change();
            $table->char('content', 32)->default('')->after('kind')->comment('what it works on; empty when kept before that was known');
            $this->ownStage($table);
        });
        Schema::table('pieces', function (Blueprint $table): void {
            $table->tinyInteger('octave')->default(0)->after('duet')->comment('that the student plays above what is written');
        });
        Schema::table('tasks', function (Blueprint $table): void {
            $table->boolean('leads')->default(false)->after('starred')->comment('first in its day among its like');
        });
        Schema::create('own_fingers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('piece_id')->constrained()->cascadeOnDelete();
            $table->char('hand', 1);
            $table->string('place', 16);
            $table->string('pitch', 5);
            $table->unsignedTinyInteger('finger');
            $table->unique(['piece_id', 'hand', 'place', 'pitch']);
        });
        Schema::create('verdicts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('piece_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('measure')->comment('its number');
            $table->string('verdict', 4)->comment('easy or hard');
            $table->unique(['piece_id', 'measure']);
        });
        Schema::table('slips', function (Blueprint $table): void {
            $table->string('note_names', 600)->default('')->after('hand')->comment('clef:pitch of the notes of its place');
        });
    }

    /** What a stage is that a teacher has made; a stage of the trade knows it itself. */
    private function ownStage(Blueprint $table): void
    {
        $table->string('name', 40)->default('');
        $table->string('sentence', 240)->default('');
        $table->string('pass_mark', 190)->default('');
        $table->string('petal', 16)->nullable();
        $table->char('hand', 1)->nullable();
    }

    public function down(): void
    {
        Schema::table('slips', fn (Blueprint $table) => $table->dropColumn('note_names'));
        Schema::dropIfExists('verdicts');
        Schema::dropIfExists('own_fingers');
        Schema::table('tasks', fn (Blueprint $table) => $table->dropColumn('leads'));
        Schema::table('pieces', fn (Blueprint $table) => $table->dropColumn('octave'));
        Schema::table('stages', fn (Blueprint $table) => $table->dropColumn(['content', 'name', 'sentence', 'pass_mark', 'petal', 'hand']));
        foreach (['learnings', 'students'] as $name) {
            Schema::table($name, fn (Blueprint $table) => $table->dropConstrainedForeignId('path_id'));
        }
        Schema::table('students', fn (Blueprint $table) => $table->dropColumn(['landmark_middle', 'long_notes', 'compound_beats', 'count_ready']));
        Schema::dropIfExists('path_steps');
        Schema::dropIfExists('paths');
        Schema::table('studios', fn (Blueprint $table) => $table->dropColumn(['phrases', 'count_words']));
    }
};
