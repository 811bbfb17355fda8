<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a task takes on its first day and on each day, what filling adds, and how long it took at home. */
return new class extends Migration {
    public function up(): void
    {
        foreach (['stages', 'tasks'] as $table) {
            Schema::table($table, function (Blueprint $of): void {
                $of->unsignedSmallInteger('half_minutes_first')->nullable()->after('half_minutes')->comment('on its first day; null where that is no longer');
            });
        }
        Schema::table('tasks', function (Blueprint $table): void {
            $table->unsignedSmallInteger('line')->nullable()->comment('of a page that is learnt line by line, from 1');
            $table->unsignedSmallInteger('of_lines')->nullable();
            $table->unsignedSmallInteger('pace')->default(100)->after('half_minutes_first')->comment('percent of what is reckoned, as the student takes it');
        });
        Schema::table('task_days', function (Blueprint $table): void {
            $table->unsignedSmallInteger('half_minutes')->nullable()->comment('what it takes on that day, 0 where filling put it there; null as its task says');
            $table->unsignedSmallInteger('more')->default(0)->comment('half minutes that filling added');
        });
        Schema::table('students', function (Blueprint $table): void {
            $table->unsignedSmallInteger('pace')->nullable()->comment('percent of what is reckoned, as the teacher set it; null as it is measured');
        });
        Schema::table('practices', function (Blueprint $table): void {
            $table->unsignedSmallInteger('seconds')->nullable()->comment('from opening to ticking, without pauses; null where that is not known');
        });
    }

    public function down(): void
    {
        Schema::table('practices', static fn (Blueprint $table) => $table->dropColumn('seconds'));
        Schema::table('students', static fn (Blueprint $table) => $table->dropColumn('pace'));
        Schema::table('task_days', static fn (Blueprint $table) => $table->dropColumn(['half_minutes', 'more']));
        Schema::table('tasks', static fn (Blueprint $table) => $table->dropColumn(['half_minutes_first', 'pace', 'line', 'of_lines']));
        Schema::table('stages', static fn (Blueprint $table) => $table->dropColumn('half_minutes_first'));
    }
};
