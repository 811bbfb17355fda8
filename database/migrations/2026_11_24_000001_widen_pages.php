<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('pages', function (Blueprint $table): void {
            $table->string('title', 120)->default('')->after('number');
            $table->string('kind', 10)->default('pieces')->comment('pieces, theory, listening or duet')->change();
        });
        Schema::table('pieces', function (Blueprint $table): void {
            $table->unsignedInteger('revision')->default(1)->after('shorthand')->comment('counts each time it is saved');
            $table->mediumText('duet')->nullable()->after('music')->comment("the teacher's part, MusicXML");
        });
        Schema::create('drafts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('page_id')->nullable()->unique()->comment('a new piece of this page')->constrained()->cascadeOnDelete();
            $table->foreignId('piece_id')->nullable()->unique()->comment('or a correction of this piece')->constrained()->cascadeOnDelete();
            $table->text('text');
            $table->string('label', 4)->default('');
            $table->unsignedInteger('revision')->comment('counts each time it is kept');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('drafts');
        Schema::table('pieces', fn (Blueprint $table) => $table->dropColumn(['revision', 'duet']));
        Schema::table('pages', fn (Blueprint $table) => $table->dropColumn('title'));
    }
};
