<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Demo studios that people look around in, and how far one is that is being made. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('demos', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->unique()->constrained()->cascadeOnDelete();
            $table->foreignId('studio_id')->nullable()->comment('once it is made')->constrained()->cascadeOnDelete();
            $table->string('state', 10);
            $table->unsignedSmallInteger('done')->default(0)->comment('students');
            $table->unsignedSmallInteger('of')->default(1);
            $table->string('reason', 400)->default('')->comment('why it could not be made');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('demos');
    }
};
