<?php

declare(strict_types=1);

use App\Account\Studio;
use App\Archive\PackRows;
use App\Archive\RestoreStudio;
use App\Page\Book;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/*
 * While pools change over, the schema is a release further than the code that still runs.
 */

test('a schema that is a release further leaves archives as they are', function (): void {
    $further = '2099_01_01_000001_further';
    // On a connection of its own, for a change of the schema ends a transaction; none of these tables is in use yet.
    $beside = Schema::connection('beside');
    $beside->create('further_things', function (Blueprint $table): void {
        $table->id();
        $table->foreignId('studio_id')->constrained()->cascadeOnDelete();
    });
    $beside->table('books', fn (Blueprint $table) => $table->string('further', 10)->default('x'));
    try {
        DB::table('migrations')->insert(['migration' => $further, 'batch' => 99]);
        $studio = Studio::query()->create(['name' => 'Of now']);
        Book::query()->create(['studio_id' => $studio->id, 'title' => 'Made-up Book', 'level' => 'One']);
        $path = app(PackRows::class)->studio($studio);
        $zip = new ZipArchive();
        $zip->open($path);
        $version = json_decode((string) $zip->getFromName('manifest.json'), true)['version'];
        expect($zip->getFromName('tables/further_things.jsonl'))->toBeFalse()
            ->and($zip->getFromName('tables/books.jsonl'))->toContain('Made-up Book')->not->toContain('further')
            ->and($version)->toBeLessThan($further);
        $studio->delete();
        expect(app(RestoreStudio::class)(Studio::query()->create(['name' => 'Empty']), $path))->toBe(1);
    } finally {
        DB::rollBack();
        $beside->drop('further_things');
        $beside->table('books', fn (Blueprint $table) => $table->dropColumn('further'));
    }
});
