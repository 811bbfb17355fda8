<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Worksheets as they were printed, and who has which. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('worksheets', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number')->comment('in the studio');
            $table->string('kind', 12);
            $table->unsignedTinyInteger('count');
            $table->unsignedTinyInteger('hard');
            $table->string('clefs', 20);
            $table->unsignedInteger('seed');
            $table->mediumText('items')->comment('as they are printed, in JSON');
            $table->timestamps();
            $table->unique(['studio_id', 'number']);
        });
        Schema::create('given_worksheets', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('worksheet_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->date('given_on');
            $table->unsignedTinyInteger('right')->nullable()->comment('of the questions; null until it is marked');
            $table->date('marked_on')->nullable();
            $table->unique(['worksheet_id', 'student_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('given_worksheets');
        Schema::dropIfExists('worksheets');
    }
};
