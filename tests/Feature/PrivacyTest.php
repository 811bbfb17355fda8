<?php

declare(strict_types=1);

use App\Account\Studio;
use App\Archive\PackRows;
use App\Archive\Tables;
use App\Privacy\Access;
use App\Privacy\Erasures;
use App\Student\Family\FamilyLink;
use App\Student\Student;
use Illuminate\Support\Facades\DB;
use Tests\Fixtures;
use Tests\FullStudio;

beforeEach(fn () => without_erasures());
afterEach(fn () => without_erasures());

test('erasing a student leaves their name and address nowhere in the database', function (): void {
    $full = new FullStudio();
    foreach (array_keys(Tables::inOrder()) as $table) {
        expect(DB::table($table)->exists())->toBeTrue($table);
    }
    // It stands in so many places before that the search can be trusted.
    expect(count(FullStudio::places(FullStudio::NAME)))->toBeGreaterThan(15)->and(FullStudio::places(FullStudio::ADDRESS))->toEqualCanonicalizing(['mails.to', 'students.family_mail']);
    $this->actingAs($full->own->teacher)->deleteJson("/api/students/{$full->student->id}")->assertNoContent();
    expect(FullStudio::places(FullStudio::NAME))->toBe([])->and(FullStudio::places(FullStudio::ADDRESS))->toBe([])
        ->and($full->sister->refresh()->first_name)->toBe('Otto')
        ->and(DB::table('week_patterns')->pluck('name')->all())->toBe(['Rainy week'])
        ->and(Erasures::all())->toBe([[$full->own->studio->id, $full->student->id]]);
});

test('a name within another word is not taken for the student’s', function (): void {
    $full = new FullStudio();
    $full->student->update(['first_name' => 'Ann']);
    DB::table('week_patterns')->insert(['studio_id' => $full->own->studio->id, 'name' => 'Planning', 'tasks' => '[]']);
    DB::table('week_patterns')->insert(['studio_id' => $full->own->studio->id, 'name' => 'Ann’s week', 'tasks' => '[]']);
    $this->actingAs($full->own->teacher)->deleteJson("/api/students/{$full->student->id}")->assertNoContent();
    expect(DB::table('week_patterns')->where('studio_id', $full->own->studio->id)->pluck('name')->all())->toContain('Planning')->not->toContain('Ann’s week');
});

test('brothers and sisters share an address: only the mails of the one who goes are erased', function (): void {
    $full = new FullStudio();
    $full->sister->update(['family_mail' => FullStudio::ADDRESS]);
    DB::table('mails')->insert(['studio_id' => $full->own->studio->id, 'student_id' => $full->sister->id, 'to' => FullStudio::ADDRESS, 'subject' => 'The week of Otto', 'body' => 'Hello']);
    $this->actingAs($full->own->teacher)->deleteJson("/api/students/{$full->student->id}")->assertNoContent();
    expect(DB::table('mails')->pluck('subject')->all())->toBe(['The week of Otto']);
});

test('who was erased does not come back with a backup of before, here', function (): void {
    $full = new FullStudio();
    $path = app(PackRows::class)->studio($full->own->studio);
    $this->actingAs($full->own->teacher)->deleteJson("/api/students/{$full->student->id}")->assertNoContent();
    $full->own->studio->delete();
    $studio = Studio::query()->create(['name' => 'New']);
    teacher_of(['studio_id' => $studio->id, 'name' => 'T', 'email' => 'new@studio.example', 'password' => 'x']);
    $this->artisan('nasturtium:restore', ['email' => 'new@studio.example', 'file' => $path])->assertSuccessful();
    unlink($path);
    expect(FullStudio::places(FullStudio::NAME))->toBe([])->and(Student::query()->where('studio_id', $studio->id)->pluck('first_name')->all())->toBe(['Otto']);
});

test('erasures are replayed on a database that was put back, from the file beside it', function (): void {
    $full = new FullStudio();
    DB::table('erasures')->delete();
    file_put_contents((string) config('nasturtium.erasures'), "{$full->own->studio->id} {$full->student->id}\nnot a line\n");
    $this->artisan('nasturtium:replay-erasures')->assertSuccessful();
    expect(FullStudio::places(FullStudio::NAME))->toBe([])->and($full->sister->exists())->toBeTrue();
    $this->artisan('nasturtium:replay-erasures')->assertSuccessful();
});

test('no home link is made for a child before a parent agreed; the studio says the age', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $link = fn () => $this->postJson("/api/students/{$own->student->id}/links", ['label' => 'Home', 'expiresOn' => null]);
    $consent = fn (?string $on, string $words = '') => $this->putJson("/api/students/{$own->student->id}/consent", ['consentedOn' => $on, 'words' => $words]);
    $consent(null)->assertOk()->assertJsonPath('consentedOn', null)->assertJsonPath('consentWords', '');
    $link()->assertUnprocessable()->assertJsonPath('errors.consent.0', 'Ida is under 16: note a parent’s consent first, on this page.');
    $consent('2031-05-05')->assertUnprocessable()->assertJsonPath('errors.words.0', 'Write down who agreed, and to what.');
    $consent('2031-05-08', 'Her mother')->assertUnprocessable();
    $consent('2031-05-05', 'Her mother, to the home page')->assertOk()->assertJsonPath('consentWords', 'Her mother, to the home page');
    $link()->assertOk();
    // At the age that the studio says, and not a year before.
    $consent(null)->assertOk();
    $own->student->update(['birth_year' => 2031 - 16]);
    $link()->assertOk();
    $own->student->update(['birth_year' => 2031 - 15]);
    $link()->assertUnprocessable();
    $own->studio->update(['consent_age' => 14]);
    $link()->assertOk();
});

test('a former student is kept, out of the lists, and comes back', function (): void {
    $own = new Fixtures();
    $own->student('Otto', 8);
    $this->actingAs($own->teacher);
    $home = function (string $token): int {
        app('auth')->forgetGuards();

        return $this->getJson('/api/home/week', ['Authorization' => "Bearer {$token}"])->getStatusCode();
    };
    $left = function (bool $left) use ($own) {
        app('auth')->forgetGuards();

        return $this->actingAs($own->teacher, 'web')->putJson("/api/students/{$own->student->id}/left", ['left' => $left])->assertOk();
    };
    expect($left(true)->json('leftOn'))->toBe('2031-05-05');
    $named = fn (string $at): bool => str_contains((string) $this->getJson($at)->assertOk()->getContent(), 'Ida');
    expect($named('/api/this-week'))->toBeFalse()->and($named("/api/students/{$own->student->id}"))->toBeTrue()
        ->and($home($own->token))->toBe(401)->and(FamilyLink::query()->find($own->link->id)?->withdrawn_at)->toBeNull();
    expect($left(false)->json('leftOn'))->toBeNull()->and($named('/api/this-week'))->toBeTrue()->and($home($own->token))->toBe(200);
});

test('who looked at a student is noted, once a day', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    foreach ([1, 2] as $time) {
        $this->getJson("/api/students/{$own->student->id}")->assertOk();
        $this->get("/api/students/{$own->student->id}/export")->assertOk();
    }
    app('auth')->forgetGuards();
    $this->getJson('/api/home/week', ['Authorization' => "Bearer {$own->token}"])->assertOk();
    app('auth')->forgetGuards();
    $this->actingAs($own->teacher, 'web');
    $noted = array_map(fn (array $one): string => implode(' ', $one), $this->getJson("/api/students/{$own->student->id}/accesses")->assertOk()->json());
    sort($noted);
    expect($noted)->toBe(['Home home 2031-05-05', 'Teacher export 2031-05-05', 'Teacher page 2031-05-05']);
});

test('drafts and mails are erased when the terms of the studio end, and not a day before', function (): void {
    $own = new Fixtures();
    $own->studio->update(['keep_drafts' => 30, 'keep_mails' => 60]);
    $of = ['studio_id' => $own->studio->id];
    foreach ([29 => 'young', 31 => 'old'] as $days => $text) {
        DB::table('drafts')->insert([...$of, 'page_id' => $days === 29 ? $own->page->id : null, 'piece_id' => $days === 29 ? null : $own->piece->id, 'text' => $text, 'label' => 'Z', 'revision' => 1, 'updated_at' => now()->subDays($days)]);
    }
    foreach ([59 => 'young', 61 => 'old'] as $days => $text) {
        DB::table('mails')->insert([...$of, 'to' => 'a@house.example', 'subject' => $text, 'body' => '', 'created_at' => now()->subDays($days)]);
    }
    Access::query()->insert([...$of, 'student_id' => $own->student->id, 'who' => 'T', 'what' => 'page', 'on_date' => now()->subDays(731)->toDateString()]);
    $this->artisan('nasturtium:tidy')->assertSuccessful();
    expect(DB::table('drafts')->pluck('text')->all())->toBe(['young'])->and(DB::table('mails')->pluck('subject')->all())->toBe(['young'])
        ->and(Access::query()->exists())->toBeFalse();
});

test('the export of a student holds what is about them anywhere', function (): void {
    $full = new FullStudio();
    $path = app(PackRows::class)->student($full->student);
    $zip = new ZipArchive();
    $zip->open($path);
    $missing = [];
    foreach (FullStudio::places(FullStudio::NAME) as $place) {
        [$table, $column] = explode('.', $place);
        if ($table !== 'cache' && ! str_contains((string) $zip->getFromName("tables/{$table}.jsonl"), FullStudio::NAME)) {
            $missing[] = $place;
        }
    }
    $zip->close();
    unlink($path);
    expect($missing)->toBe([]);
});
