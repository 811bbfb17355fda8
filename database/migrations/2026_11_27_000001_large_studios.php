<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the rooms of a large studio look for is found without reading years; a relief can be taken back. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('stages', function (Blueprint $table): void {
            $table->text('before_relief')->nullable()->comment('JSON: what it was before each relief');
            $table->index(['learning_id', 'passed_on', 'position', 'relieved_after']);
            $table->index(['learning_id', 'kind', 'passed_on']);
        });
        Schema::table('weeks', function (Blueprint $table): void {
            $table->text('counted')->nullable()->comment('JSON: practice by day, words from home, what found no room, what was overruled; null until it is counted');
            $table->text('tempi')->nullable()->comment('JSON: the fastest of each piece and day');
        });
        Schema::table('learnings', fn (Blueprint $table) => $table->index(['studio_id', 'state', 'review_step', 'played_on']));
        Schema::table('pieces', fn (Blueprint $table) => $table->index(['page_id', 'label', 'title']));
        Schema::table('lessons', function (Blueprint $table): void {
            $table->text('remedies')->nullable()->comment('JSON, with the mark of what they follow from');
            $table->index(['studio_id', 'slot_on']);
            $table->index(['studio_id', 'held_on']);
        });
        Schema::table('tasks', function (Blueprint $table): void {
            $table->index(['week_id', 'deleted_at', 'half_minutes']);
            $table->index(['stage_id', 'mark', 'deleted_at']);
        });
    }

    public function down(): void
    {
        Schema::table('stages', function (Blueprint $table): void {
            $table->dropIndex(['learning_id', 'kind', 'passed_on']);
            $table->dropIndex(['learning_id', 'passed_on', 'position', 'relieved_after']);
            $table->dropColumn('before_relief');
        });
        Schema::table('weeks', fn (Blueprint $table) => $table->dropColumn(['counted', 'tempi']));
        Schema::table('lessons', fn (Blueprint $table) => $table->dropColumn('remedies'));
        // The first column of each has a key of its own again before the wider one goes.
        Schema::table('tasks', function (Blueprint $table): void {
            $table->index('week_id', 'tasks_week_id_foreign');
            $table->index('stage_id', 'tasks_stage_id_foreign');
            $table->dropIndex(['stage_id', 'mark', 'deleted_at']);
            $table->dropIndex(['week_id', 'deleted_at', 'half_minutes']);
        });
        Schema::table('lessons', function (Blueprint $table): void {
            $table->index('studio_id', 'lessons_studio_id_foreign');
            $table->dropIndex(['studio_id', 'held_on']);
            $table->dropIndex(['studio_id', 'slot_on']);
        });
        Schema::table('pieces', function (Blueprint $table): void {
            $table->index('page_id', 'pieces_page_id_foreign');
            $table->dropIndex(['page_id', 'label', 'title']);
        });
        Schema::table('learnings', function (Blueprint $table): void {
            $table->index('studio_id', 'learnings_studio_id_foreign');
            $table->dropIndex(['studio_id', 'state', 'review_step', 'played_on']);
        });
    }
};
