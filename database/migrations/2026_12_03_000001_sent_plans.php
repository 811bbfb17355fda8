<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a family was sent, so that what has changed since can be said. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('weeks', function (Blueprint $table): void {
            $table->json('sent_plan')->nullable()->comment('the tasks and their days as they were sent last; null where that is not known');
        });
    }

    public function down(): void
    {
        Schema::table('weeks', static fn (Blueprint $table) => $table->dropColumn('sent_plan'));
    }
};
