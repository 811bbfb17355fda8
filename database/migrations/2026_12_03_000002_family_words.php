<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a parent writes to the teacher, one word a day. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('family_words', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->date('on_date');
            $table->string('words', 500);
            $table->timestamps();
            $table->unique(['student_id', 'on_date']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('family_words');
    }
};
