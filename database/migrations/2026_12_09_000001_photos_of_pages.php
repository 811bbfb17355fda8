<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Pictures of pages: while they are read and looked at, those that are kept, and how well they were read; and the queue of slow work. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
        Schema::create('page_photos', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('page_id')->constrained()->cascadeOnDelete();
            $table->string('state', 10);
            $table->string('step', 10)->default('');
            $table->unsignedSmallInteger('done')->default(0)->comment('of the step');
            $table->unsignedSmallInteger('of')->default(1);
            $table->string('reason', 400)->default('')->comment('why it could not be read');
            $table->string('upload', 80)->nullable()->comment('the file as it came, until it is read');
            $table->unsignedSmallInteger('pdf_page')->default(1);
            $table->string('corners', 400)->nullable()->comment('in JSON');
            $table->mediumText('reading')->nullable()->comment('in JSON');
            $table->mediumText('corrections')->nullable()->comment('in JSON');
            $table->unsignedInteger('revision')->default(0);
            $table->string('typed', 100)->default('')->comment('pieces that went on to be typed');
            $table->timestamps();
            $table->index(['studio_id', 'created_at']);
        });
        Schema::create('photo_lines', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('page_photo_id')->constrained()->cascadeOnDelete();
            $table->smallInteger('position')->comment('line of the page from 0; -1 for the whole page');
            $table->unsignedSmallInteger('width');
            $table->unsignedSmallInteger('height');
            $table->string('tops', 40)->comment('rows of the top lines, in JSON');
            $table->binary('picture');
            $table->unique(['page_photo_id', 'position']);
        });
        // A blob of 64 KB, which is what `binary` makes, holds no page.
        DB::statement("alter table photo_lines modify picture mediumblob not null comment 'a JPEG'");
        Schema::create('photo_links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('page_photo_id')->constrained()->cascadeOnDelete();
            $table->char('token_hash', 64)->unique();
            $table->dateTime('until');
            $table->dateTime('used_at')->nullable();
            $table->timestamps();
        });
        Schema::create('kept_photos', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('page_id')->constrained()->cascadeOnDelete();
            $table->mediumText('picture')->comment('a JPEG, as base64');
            $table->timestamps();
        });
        Schema::create('photo_figures', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            foreach (['notes', 'right', 'fingers', 'known', 'signs', 'doubts', 'needless'] as $count) {
                $table->unsignedSmallInteger($count);
            }
            $table->date('read_on');
            $table->index(['studio_id', 'read_on']);
        });
    }

    public function down(): void
    {
        foreach (['photo_figures', 'kept_photos', 'photo_links', 'photo_lines', 'page_photos', 'failed_jobs', 'jobs'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
