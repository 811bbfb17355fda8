<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Takes that were heard at home: notes, never sound. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('takes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->constrained()->cascadeOnDelete();
            $table->uuid('client_key');
            $table->unsignedSmallInteger('first')->comment('index of a measure');
            $table->unsignedSmallInteger('last');
            $table->string('source', 12);
            $table->dateTime('taken_at');
            $table->date('on_date')->comment('where the student is');
            $table->mediumText('notes')->comment('in JSON: t, off, pitch, vel, p');
            $table->unique(['student_id', 'client_key']);
            $table->index(['task_id', 'taken_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('takes');
    }
};
