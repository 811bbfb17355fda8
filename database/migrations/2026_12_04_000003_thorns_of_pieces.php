<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Which bars of a piece have a thorn, so that slips can be counted against them. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('pieces', function (Blueprint $table): void {
            $table->text('thorns')->nullable()->comment('indices of measures, divided by commas; null while nobody has asked');
        });
    }

    public function down(): void
    {
        Schema::table('pieces', static fn (Blueprint $table) => $table->dropColumn('thorns'));
    }
};
