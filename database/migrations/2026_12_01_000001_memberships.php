<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Several people work in a studio, and one in several studios; each student has a teacher. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('memberships', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->comment('null until the invitation is accepted')->constrained()->cascadeOnDelete();
            $table->string('role', 20);
            $table->string('name', 120);
            $table->string('email', 190);
            $table->char('token_hash', 64)->nullable()->unique()->comment('of the invitation');
            $table->timestamp('invited_until')->nullable();
            $table->timestamps();
            $table->unique(['studio_id', 'user_id']);
        });
        DB::table('users')->orderBy('id')->each(static function (object $user): void {
            DB::table('memberships')->insert(['studio_id' => $user->studio_id, 'user_id' => $user->id, 'role' => 'owner', 'name' => $user->name, 'email' => $user->email, 'created_at' => $user->created_at, 'updated_at' => now()]);
        });
        Schema::table('students', function (Blueprint $table): void {
            $table->foreignId('membership_id')->nullable()->after('studio_id')->comment('who teaches this student; null: whoever leads the studio')->constrained()->nullOnDelete();
        });
        // A studio that is deleted takes no account with it.
        Schema::table('users', function (Blueprint $table): void {
            $table->dropForeign(['studio_id']);
            $table->unsignedBigInteger('studio_id')->nullable()->comment('where she works after the sign-in')->change();
            $table->foreign('studio_id')->references('id')->on('studios')->nullOnDelete();
        });
        Schema::table('studios', function (Blueprint $table): void {
            $table->boolean('is_demo')->default(false)->comment('made to look around in; deleted without a password');
        });
    }

    public function down(): void
    {
        Schema::table('studios', fn (Blueprint $table) => $table->dropColumn('is_demo'));
        Schema::table('students', fn (Blueprint $table) => $table->dropConstrainedForeignId('membership_id'));
        Schema::dropIfExists('memberships');
    }
};
