<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Letters are kept first and sent by the queue; those from before stay as they are, for nothing waits. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('mails', function (Blueprint $table): void {
            $table->timestamp('waits_since')->nullable()->comment('the queue is to send it');
            $table->timestamp('sent_at')->nullable();
            $table->string('trouble', 190)->nullable()->comment('why it has not gone');
        });
    }

    public function down(): void
    {
        Schema::table('mails', fn (Blueprint $table) => $table->dropColumn(['waits_since', 'sent_at', 'trouble']));
    }
};
