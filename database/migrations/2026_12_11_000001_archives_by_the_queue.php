<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Archives of studios while they are packed, until they are fetched, and while one is put back. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('archives', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 10);
            $table->string('state', 10);
            $table->unsignedSmallInteger('done')->default(0)->comment('tables');
            $table->unsignedSmallInteger('of')->default(1);
            $table->string('reason', 400)->default('')->comment('why it was refused');
            $table->string('file', 60)->nullable()->comment('on the disk of archives');
            $table->timestamps();
            $table->index(['studio_id', 'kind']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('archives');
    }
};
