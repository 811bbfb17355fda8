<?php

declare(strict_types=1);

use App\Account\EndStudio;
use App\Account\Members\Membership;
use App\Account\Members\Role;
use App\Account\Studio;
use App\Archive\Archive;
use App\Archive\ArchiveKind;
use App\Archive\Tables;
use App\Privacy\EraseStudent;
use App\Privacy\EraseStudio;
use App\Privacy\Erasures;
use App\Queue\WorkState;
use App\Student\Student;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\Fixtures;
use Tests\FullStudio;

/*
 * The end of a studio: shut at once, erased by the queue, and it does not come back.
 */

beforeEach(function (): void {
    Storage::fake('archives');
    Storage::fake('photos');
    config(['queue.default' => 'database']);
    without_erasures();
    $this->work = static fn () => Artisan::call('queue:work', ['connection' => 'database', '--queue' => 'letters,photos,default,night', '--stop-when-empty' => true, '--sleep' => 0, '--memory' => 4096]);
});
afterEach(fn () => without_erasures());

test('it is shut at once to everybody, and then erased a student at a time', function (): void {
    $full = new FullStudio();
    $own = $full->own;
    $other = Studio::query()->create(['name' => 'Upstairs']);
    Membership::of($other, $own->teacher, Role::Owner);
    $tara = $own->joined(Role::Teacher, 'Tara');
    Storage::disk('archives')->put('packed.zip', 'PK');
    Archive::query()->where('studio_id', $own->studio->id)->delete();
    Archive::query()->create(['studio_id' => $own->studio->id, 'kind' => ArchiveKind::Pack, 'state' => WorkState::Done, 'file' => 'packed.zip']);
    Storage::disk('photos')->put('upload', 'jpeg');
    DB::table('page_photos')->where('studio_id', $own->studio->id)->update(['upload' => 'upload']);
    $students = Student::query()->where('studio_id', $own->studio->id)->count();
    $this->actingAs($own->teacher)->deleteJson("/api/studios/{$own->studio->id}", ['password' => 'secret-word'])->assertNoContent();
    expect($this->getJson('/api/session')->assertOk()->json('studio.name'))->toBe('Upstairs')
        ->and(DB::table('family_links')->where('studio_id', $own->studio->id)->exists())->toBeFalse()
        ->and(DB::table('calendar_feeds')->where('studio_id', $own->studio->id)->exists())->toBeFalse()
        ->and(DB::table('mails')->where('studio_id', $own->studio->id)->exists())->toBeFalse()
        ->and(Storage::disk('archives')->files())->toBe([]);
    app('auth')->forgetGuards();
    $this->actingAs($tara->fresh())->getJson('/api/this-week')->assertUnauthorized();
    // The rows are there still, and one job, whatever their number.
    expect(Student::query()->where('studio_id', $own->studio->id)->count())->toBe($students)->toBeGreaterThan(1)->and(DB::table('jobs')->count())->toBe(1);
    Artisan::call('queue:work', ['connection' => 'database', '--queue' => 'night', '--once' => true, '--sleep' => 0]);
    expect(Student::query()->where('studio_id', $own->studio->id)->count())->toBe($students - 1);
    ($this->work)();
    foreach (array_keys(Tables::inOrder()) as $table) {
        expect(DB::table($table)->when($table === 'memberships', static fn ($rows) => $rows->where('studio_id', '!=', $other->id))->exists())->toBeFalse($table);
    }
    expect(Studio::query()->pluck('name')->all())->toBe(['Upstairs'])->and(Storage::disk('photos')->files())->toBe([])
        ->and(Erasures::all())->toBe([[$own->studio->id, Erasures::WHOLE_STUDIO]]);
});

test('a studio that somebody is in is not erased, whatever the queue says', function (): void {
    $own = new Fixtures();
    (new EraseStudio($own->studio->id))->handle();
    expect($own->student->fresh())->not->toBeNull();
    Membership::query()->where('studio_id', $own->studio->id)->delete();
    (new EraseStudio($own->studio->id))->handle();
    expect($own->student->fresh())->toBeNull();
});

test('what the queue failed at is begun again by night', function (): void {
    $own = new Fixtures();
    $ended = Studio::query()->create(['name' => 'Upstairs']);
    app(EndStudio::class)($ended->id);
    DB::table('jobs')->delete();
    $this->artisan('nasturtium:tidy')->assertSuccessful();
    ($this->work)();
    expect(Studio::query()->pluck('id')->all())->toBe([$own->studio->id]);
});

test('with an older copy of the database it does not come back, and its number is given to nobody', function (): void {
    $own = new Fixtures();
    $next = (int) DB::table('information_schema.tables')->where('table_schema', DB::getDatabaseName())->where('table_name', 'studios')->value('auto_increment');
    file_put_contents((string) config('nasturtium.erasures'), "{$own->studio->id} 0\n");
    // Of a studio, ended, that the copy has not got.
    $later = $next + 3;
    $this->artisan('nasturtium:replay-erasures')->expectsOutputToContain('1 studios were ended again')->assertSuccessful();
    ($this->work)();
    expect(Studio::query()->exists())->toBeFalse()->and($own->teacher->fresh())->not->toBeNull();
    file_put_contents((string) config('nasturtium.erasures'), "{$later} 0\n");
    $this->artisan('nasturtium:replay-erasures')->assertSuccessful();
    expect(Studio::query()->create(['name' => 'Another'])->id)->toBe($later + 1);
    Studio::query()->delete();
    $own->teacher->delete();
});

test('what was rolled back is not among the erased: the next replay would erase who is there', function (Closure $end): void {
    $own = new Fixtures();
    DB::beginTransaction();
    $end($own);
    DB::rollBack();
    expect(Erasures::all())->toBe([])->and(Student::query()->whereKey($own->student->id)->exists())->toBeTrue();
    $end($own);
    expect(Erasures::all())->toHaveCount(1)->and(file_get_contents((string) config('nasturtium.erasures')))->toStartWith("{$own->studio->id} ");
})->with([
    'a studio' => [static fn (Fixtures $own) => app(EndStudio::class)($own->studio->id)],
    'a student' => [static fn (Fixtures $own) => app(EraseStudent::class)(Student::query()->findOrFail($own->student->id))],
]);
