<?php

declare(strict_types=1);

use App\Account\Members\Role;
use App\Account\Studio;
use App\Archive\Archive;
use App\Archive\ArchiveKind;
use App\Archive\PackRows;
use App\Archive\RestoreStudio;
use App\Archive\WorkOnArchive;
use App\Privacy\EraseStudent;
use App\Privacy\Tidy;
use App\Queue\HowFar;
use App\Queue\Stopped;
use App\Queue\WorkState;
use App\Student\Student;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\Fixtures;

/*
 * The archive of a studio by the queue: begun once, told as it goes on, stopped, done twice and still once.
 */

beforeEach(function (): void {
    Storage::fake(Archive::DISK);
    config(['queue.default' => 'database']);
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    $this->work = static fn () => Artisan::call('queue:work', ['connection' => 'database', '--once' => true, '--sleep' => 0]);
    $this->told = fn (): array => $this->getJson("/api/studios/{$this->own->studio->id}/archives")->assertOk()->json();
});

/** @return Studio an empty one of the same teacher, into which an archive goes */
function empty_studio(object $test): Studio
{
    $studio = Studio::query()->create(['name' => 'New']);
    $test->actingAs(teacher_of(['studio_id' => $studio->id, 'name' => 'T', 'email' => 'new@studio.example', 'password' => 'x']));

    return $studio;
}

test('it is packed by the queue, begun once, and fetched', function (): void {
    $asked = $this->postJson("/api/studios/{$this->own->studio->id}/archives")->assertOk()->json();
    expect($asked['state'])->toBe('waiting')->and($this->postJson("/api/studios/{$this->own->studio->id}/archives")->json('id'))->toBe($asked['id'])
        ->and(DB::table('jobs')->count())->toBe(1);
    $this->get("/api/archives/{$asked['id']}")->assertNotFound();
    ($this->work)();
    expect(($this->told)()[0])->toMatchArray(['id' => $asked['id'], 'kind' => 'pack', 'state' => 'done', 'reason' => '']);
    $answer = $this->get("/api/archives/{$asked['id']}")->assertOk()->assertHeader('Content-Type', 'application/zip');
    $path = (string) tempnam(sys_get_temp_dir(), 'fetched');
    file_put_contents($path, $answer->streamedContent());
    $zip = new ZipArchive();
    expect($zip->open($path))->toBeTrue()->and(json_decode((string) $zip->getFromName('manifest.json'), true)['format'])->toBe(PackRows::FORMAT)
        ->and((int) $answer->headers->get('Content-Length'))->toBe(filesize($path));
    unlink($path);
    // The next one takes its place.
    $next = $this->postJson("/api/studios/{$this->own->studio->id}/archives")->json('id');
    expect($next)->not->toBe($asked['id'])->and(Storage::disk(Archive::DISK)->files())->toBe([])->and(Archive::query()->count())->toBe(1);
});

test('it is put back by the queue; the file is gone then, and the job done twice does it once', function (): void {
    $path = app(PackRows::class)->studio($this->own->studio);
    $this->own->studio->delete();
    $empty = empty_studio($this);
    $archive = $this->postJson("/api/studios/{$empty->id}/restore", ['file' => new UploadedFile($path, 'b.zip', test: true)])->assertOk()->json();
    expect([$archive['kind'], $archive['state']])->toBe(['restore', 'waiting'])->and(Storage::disk(Archive::DISK)->files())->toHaveCount(1);
    ($this->work)();
    (new WorkOnArchive($archive['id']))->handle(app(PackRows::class), app(RestoreStudio::class));
    expect(Archive::query()->sole())->state->toBe(WorkState::Done)->file->toBeNull()
        ->and(Student::query()->where('studio_id', $empty->id)->pluck('first_name')->all())->toBe(['Ida'])
        ->and(Storage::disk(Archive::DISK)->files())->toBe([]);
});

test('what is no archive is refused with its reason, and nothing of it is left', function (): void {
    $empty = empty_studio($this);
    $this->postJson("/api/studios/{$empty->id}/restore", ['file' => UploadedFile::fake()->createWithContent('b.zip', 'no zip')])->assertOk();
    ($this->work)();
    expect($this->getJson("/api/studios/{$empty->id}/archives")->json('0'))->toMatchArray(['state' => 'refused'])
        ->and(Archive::query()->sole()->reason)->toStartWith('This is no archive')
        ->and(Storage::disk(Archive::DISK)->files())->toBe([]);
    $this->postJson("/api/studios/{$empty->id}/restore", [])->assertJsonValidationErrors('file');
});

test('it is stopped, and leaves the studio as it was', function (): void {
    $path = app(PackRows::class)->studio($this->own->studio);
    $this->own->studio->delete();
    $empty = empty_studio($this);
    $id = $this->postJson("/api/studios/{$empty->id}/restore", ['file' => new UploadedFile($path, 'b.zip', test: true)])->json('id');
    // While its tables go in, its teacher stops it.
    $tables = 0;
    DB::listen(function ($query) use ($id, &$tables): void {
        if (str_starts_with($query->sql, 'insert into `learnings`') && $tables++ === 0) {
            DB::table('archives')->where('id', $id)->delete();
        }
    });
    // Each part is told, however soon after the one before.
    expect(fn () => DB::transaction(fn () => app(RestoreStudio::class)($empty, $path, fn (int $done, int $of) => (new HowFar('archives', $id, null))->tell($done, $of))))->toThrow(Stopped::class);
    expect($empty->refresh()->name)->toBe('New')->and($empty->students()->exists())->toBeFalse()->and($tables)->toBe(1);
});

test('who may not restore does not stop it', function (): void {
    $archive = Archive::query()->create(['studio_id' => $this->own->studio->id, 'kind' => ArchiveKind::Restore, 'state' => WorkState::Working]);
    $this->actingAs($this->own->joined(Role::Teacher, 'Tara'))->deleteJson("/api/archives/{$archive->id}")->assertForbidden();
    $this->actingAs($this->own->teacher)->deleteJson("/api/archives/{$archive->id}")->assertNoContent();
});

test('stopped before it is begun, it is not begun', function (): void {
    $id = $this->postJson("/api/studios/{$this->own->studio->id}/archives")->json('id');
    $this->deleteJson("/api/archives/{$id}")->assertNoContent();
    ($this->work)();
    expect(Archive::query()->count())->toBe(0)->and(Storage::disk(Archive::DISK)->files())->toBe([])->and(DB::table('failed_jobs')->count())->toBe(0);
});

test('how far it is is told as it goes on, and the job is held for as long', function (): void {
    $id = $this->postJson("/api/studios/{$this->own->studio->id}/archives")->json('id');
    $seen = [];
    DB::listen(function ($query) use (&$seen): void {
        if (str_starts_with($query->sql, 'update `jobs` set `reserved_at`')) {
            $seen[] = $query->bindings[1];
        }
    });
    ($this->work)();
    $archive = Archive::query()->findOrFail($id);
    expect($archive->of)->toBeGreaterThan(30)->and($seen)->not->toBe([]);
});

test('a day later it is gone', function (int $hours, int $left): void {
    Archive::query()->create(['studio_id' => $this->own->studio->id, 'kind' => ArchiveKind::Pack, 'state' => WorkState::Done, 'file' => 'a.zip']);
    $this->travel($hours)->hours();
    app(Tidy::class)();
    expect(Archive::query()->count())->toBe($left);
})->with([[23, 1], [25, 0]]);

test('who is erased is in no archive that was packed before', function (): void {
    $this->postJson("/api/studios/{$this->own->studio->id}/archives")->assertOk();
    ($this->work)();
    expect(Storage::disk(Archive::DISK)->files())->toHaveCount(1);
    app(EraseStudent::class)($this->own->student);
    expect(Storage::disk(Archive::DISK)->files())->toBe([])->and(Archive::query()->count())->toBe(0);
});
