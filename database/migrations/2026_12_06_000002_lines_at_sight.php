<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A line at sight for each student and day, and how it went. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('sight_lines', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->date('on_date');
            $table->unsignedTinyInteger('level');
            $table->text('text')->comment('in the shorthand');
            $table->string('reasons', 190)->comment('why it has its level, with semicolons');
            $table->string('went', 10)->nullable()->comment('clean, nearly or hard');
            $table->unique(['student_id', 'on_date']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('sight_lines');
    }
};
