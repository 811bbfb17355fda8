<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The books that a student is in, and pages whose music is not typed. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('student_books', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained()->cascadeOnDelete();
            $table->foreignId('book_id')->constrained()->cascadeOnDelete();
            $table->unique(['student_id', 'book_id']);
        });
        // Whoever has opened a page of a book is in it.
        DB::statement('insert into student_books (studio_id, student_id, book_id) select distinct learnings.studio_id, learnings.student_id, pages.book_id from learnings join pieces on pieces.id = learnings.piece_id join pages on pages.id = pieces.page_id');
        Schema::table('pieces', function (Blueprint $table): void {
            $table->mediumText('music')->nullable()->comment('MusicXML; null while it is not typed')->change();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('student_books');
    }
};
