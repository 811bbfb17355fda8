<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Accounts of one's own: an address that is confirmed, a password that is reset, a second step. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->string('new_email', 190)->nullable()->after('email')->comment('until it is confirmed');
            $table->char('new_email_hash', 64)->nullable()->after('new_email')->comment('of the token in the mail');
            $table->timestamp('new_email_until')->nullable()->after('new_email_hash');
            $table->text('second_secret')->nullable()->comment('encrypted');
            $table->timestamp('second_since')->nullable()->comment('null until a first code was right');
            $table->unsignedBigInteger('second_used')->nullable()->comment('the last time step whose code was taken');
            $table->text('recovery_codes')->nullable()->comment('JSON, hashes');
        });
        Schema::create('password_reset_tokens', function (Blueprint $table): void {
            $table->string('email', 190)->primary();
            $table->string('token');
            $table->timestamp('created_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('password_reset_tokens');
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn(['new_email', 'new_email_hash', 'new_email_until', 'second_secret', 'second_since', 'second_used', 'recovery_codes']));
    }
};
