<?php

declare(strict_types=1);

use App\Account\BeginStudio;
use App\Account\Letters\Mail as KeptMail;
use App\Account\Members\Membership;
use App\Account\Members\Role;
use App\Account\Studio;
use App\Account\User;
use App\Archive\PackRows;
use App\Archive\RestoreStudio;
use App\Student\Student;
use Illuminate\Routing\Route as RoutingRoute;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
});

/** What an assistant may ask for; all else of the teacher's side is refused. */
const AN_ASSISTANTS = [
    'GET session', 'DELETE session', 'PUT session/studio', 'POST account/studios', 'GET account/demo', 'POST account/demo', 'DELETE account/demo', 'DELETE members', 'GET account', 'PATCH account',
    'GET account/sessions', 'DELETE account/sessions', 'DELETE account/sessions/{token}', 'PUT account/password', 'PUT account/email', 'PUT account/email/confirmed',
    'POST account/second-step', 'PUT account/second-step', 'DELETE account/second-step', 'GET this-week', 'GET first-steps', 'GET students', 'GET books', 'GET paths',
    'GET patterns', 'GET holidays',
    'GET books/{book}/contents', 'GET pieces/{piece}', 'GET pieces/{piece}/shorthand', 'GET pieces/{piece}/playback', 'GET pieces/{piece}/file', 'GET pieces/{piece}/breakdown',
    'GET pieces/{piece}/position', 'GET pieces/{piece}/questions', 'GET pieces/{piece}/words',
];

/** What an assistant may ask for of the students given to her. */
const OF_HER_STUDENTS = [
    'GET students/{student}', 'GET students/{student}/room', 'POST students/{student}/answers', 'PUT students/{student}/sight', 'GET students/{student}/training', 'PUT students/{student}/training', 'GET students/{student}/signed-off', 'GET students/{student}/progress', 'POST students/{student}/learnings', 'GET learnings/{learning}', 'PATCH learnings/{learning}', 'PUT learnings/{learning}/path',
    'POST stages/{stage}/relief', 'DELETE stages/{stage}/relief', 'PATCH stages/{stage}', 'PUT students/{student}/skipped/{page}', 'DELETE students/{student}/skipped/{page}', 'PUT students/{student}/books/{book}', 'DELETE students/{student}/books/{book}',
    'POST students/{student}/weeks', 'GET weeks/{week}', 'PUT weeks/{week}', 'POST weeks/{week}/last', 'POST weeks/{week}/copies', 'POST weeks/{week}/patterns/{pattern}', 'PUT weeks/{week}/sent',
    'POST students/{student}/performances', 'PUT performances/{performance}', 'DELETE performances/{performance}',
    'GET learnings/{learning}/ladders', 'PUT learnings/{learning}/ladders', 'POST students/{student}/lessons', 'POST students/{student}/lesson-changes', 'DELETE lessons/{lesson}/change',
    'GET lessons/{lesson}', 'PATCH lessons/{lesson}', 'PUT lessons/{lesson}/finished', 'PUT lessons/{lesson}/pages/{learning}', 'PUT lessons/{lesson}/marks/{task}', 'GET lessons/{lesson}/takes', 'PUT tasks/{task}/takes', 'PUT students/{student}/sight/take', 'GET students/{student}/led-lessons', 'POST students/{student}/led-lessons', 'PUT led-lessons/{ledLesson}', 'PUT led-lessons/{ledLesson}/sent', 'DELETE led-lessons/{ledLesson}', 'GET led-steps/{ledStep}/voice', 'PUT led-steps/{ledStep}/voice', 'POST lessons/{lesson}/slips',
    'DELETE lessons/{lesson}/slips/{key}', 'DELETE slips/{slip}',
];

/** What whoever leads the studio may do, and no other teacher. */
const OF_THE_LEAD = ['POST members', 'POST members/{member}/invitation', 'PATCH members/{member}', 'DELETE members/{member}', 'DELETE studios/{studio}', 'POST studios/{studio}/restore'];

test('each route in each role of a studio', function (): void {
    $teacher = $this->own->joined(Role::Teacher, 'Tara');
    $assistant = $this->own->joined(Role::Assistant, 'Asta');
    $routes = array_filter(api_routes(), static fn (RoutingRoute $route): bool => ! str_starts_with($route->uri(), 'api/home') && ! str_starts_with($route->uri(), 'api/camera'));
    $ask = function (User $who, RoutingRoute $route): int {
        app('auth')->forgetGuards();
        // Who asks this often is held back elsewhere.
        Cache::flush();
        DB::beginTransaction();
        $status = $this->actingAs($who->fresh(), 'web')->json($route->methods()[0], $this->own->at($route->uri()))->baseResponse->getStatusCode();
        DB::rollBack();

        return $status;
    };
    $names = [];
    foreach ($routes as $route) {
        $names[] = $name = $route->methods()[0].' '.substr($route->uri(), 4);
        expect($ask($teacher, $route))->toBeIn(in_array($name, OF_THE_LEAD, true) ? [403] : [200, 204, 422], "{$name} as a teacher");
        $may = in_array($name, AN_ASSISTANTS, true);
        $hers = in_array($name, OF_HER_STUDENTS, true);
        Student::query()->update(['membership_id' => null]);
        expect($ask($assistant, $route))->toBeIn($may ? [200, 204, 422] : ($hers ? [404] : [403]), "{$name} as an assistant");
        Student::query()->update(['membership_id' => Membership::query()->where('user_id', $assistant->id)->value('id')]);
        expect($ask($assistant, $route))->toBeIn($may || $hers ? [200, 204, 422] : [403], "{$name} as the assistant of the student");
    }
    // No name of the lists above is one that is no route.
    expect(array_values(array_diff([...AN_ASSISTANTS, ...OF_HER_STUDENTS, ...OF_THE_LEAD], $names)))->toBe([]);
});

test('an assistant’s lists have the students given to her, and a breakdown asks for no other', function (): void {
    $assistant = $this->own->joined(Role::Assistant, 'Asta');
    $hers = $this->own->student('Otto', 8);
    $hers->update(['membership_id' => Membership::query()->where('user_id', $assistant->id)->value('id')]);
    $this->actingAs($assistant);
    expect($this->getJson('/api/students')->json('*.name'))->toBe(['Otto T.'])
        ->and($this->getJson('/api/this-week')->json('*.student'))->toBe(['Otto T.']);
    $this->getJson("/api/pieces/{$this->own->piece->id}/breakdown?student={$hers->id}")->assertOk();
    $this->getJson("/api/pieces/{$this->own->piece->id}/breakdown?student={$this->own->student->id}")->assertNotFound();
    // A week of hers is not copied to a student of another.
    $week = $this->postJson("/api/students/{$hers->id}/weeks", [])->assertOk()->json('id');
    $this->postJson("/api/weeks/{$week}/copies", ['taskIds' => [1], 'studentIds' => [$this->own->student->id]])->assertJsonValidationErrors('studentIds.0');
});

test('a teacher is invited by a link, makes an account, and works in the studio', function (): void {
    $this->actingAs($this->own->teacher);
    $invited = $this->postJson('/api/members', ['name' => 'Mara', 'email' => 'mara@studio.example', 'role' => 'assistant'])->assertOk()->json();
    expect($invited)->toMatchArray(['role' => 'assistant', 'hasJoined' => false, 'invitedUntil' => '2031-05-19', 'isYou' => false]);
    $this->postJson('/api/members', ['name' => 'Mara', 'email' => 'MARA@studio.example', 'role' => 'teacher'])->assertJsonValidationErrors('email');
    expect(KeptMail::query()->latest('id')->value('body'))->toContain("/invited#{$invited['token']}");
    app('auth')->forgetGuards();
    $link = ['token' => $invited['token']];
    $this->postJson('/api/invitations/opened', $link)->assertOk()->assertJson(['studio' => 'north', 'email' => 'mara@studio.example', 'isKnown' => false, 'signedIn' => null]);
    $this->postJson('/api/invitations', $link)->assertJsonValidationErrors(['name', 'password']);
    $this->postJson('/api/invitations', [...$link, 'name' => 'Mara Lind', 'password' => 'three green pots'])->assertOk()->assertJson(['role' => 'assistant', 'studio' => ['name' => 'north']]);
    $this->getJson('/api/this-week')->assertOk()->assertExactJson([]);
    // The link is used.
    $this->postJson('/api/invitations/opened', $link)->assertJsonPath('errors.token.0', 'This invitation is used, taken back or too old. Ask for a new one.');
    app('auth')->forgetGuards();
    expect($this->actingAs($this->own->teacher->fresh())->getJson('/api/members')->json('0'))->toMatchArray(['isYou' => true, 'students' => 1]);
    expect($this->getJson('/api/members')->json('2'))->toMatchArray(['name' => 'Mara Lind', 'hasJoined' => true, 'invitedUntil' => null, 'token' => null]);
});

test('an invitation opens to its last moment, and a new link shuts the one of before', function (): void {
    $this->actingAs($this->own->teacher);
    $token = $this->postJson("/api/members/{$this->own->invited->id}/invitation")->assertOk()->json('token');
    $open = fn (string $token) => $this->postJson('/api/invitations/opened', ['token' => $token]);
    $this->travel(14 * 24 * 60 * 60 - 1)->seconds();
    $open($token)->assertOk()->assertJsonPath('signedIn', $this->own->teacher->email);
    $this->travel(1)->seconds();
    $open($token)->assertUnprocessable();
    $next = $this->postJson("/api/members/{$this->own->invited->id}/invitation")->json('token');
    $open($next)->assertOk();
    $open($token)->assertUnprocessable();
    $this->postJson("/api/members/{$this->own->member->id}/invitation")->assertJsonValidationErrors('member');
});

test('somebody in two studios goes from one to the other, on each device for itself', function (): void {
    $there = new Fixtures('south');
    Membership::of($there->studio, $this->own->teacher, Role::Teacher);
    $this->actingAs($this->own->teacher);
    expect($this->getJson('/api/session')->json('studios.*.name'))->toBe(['north', 'south']);
    $this->getJson("/api/students/{$there->student->id}")->assertNotFound();
    $this->putJson('/api/session/studio', ['studioId' => $there->studio->id])->assertOk()->assertJson(['role' => 'teacher', 'studio' => ['name' => 'south']]);
    $this->getJson("/api/students/{$there->student->id}")->assertOk();
    $this->getJson("/api/students/{$this->own->student->id}")->assertNotFound();
    // Another device stays where it was.
    app('auth')->forgetGuards();
    $this->flushSession();
    $this->withSession(['studio' => $this->own->studio->id])->actingAs(User::query()->findOrFail($this->own->teacher->id));
    expect($this->getJson('/api/session')->json('studio.name'))->toBe('north');
    $third = Studio::query()->create(['name' => 'third']);
    $this->putJson('/api/session/studio', ['studioId' => $third->id])->assertJsonValidationErrors('studioId');
});

test('a student is handed over, and who leaves hands over hers', function (): void {
    $tara = $this->own->joined(Role::Teacher, 'Tara');
    $member = Membership::query()->where('user_id', $tara->id)->firstOrFail();
    $this->actingAs($this->own->teacher);
    $hand = fn (int $to) => $this->putJson("/api/students/{$this->own->student->id}/teacher", ['memberId' => $to]);
    $hand((new Fixtures('south'))->member->id)->assertJsonValidationErrors('memberId');
    $hand($member->id)->assertOk()->assertJson(['teacherId' => $member->id]);
    $out = fn (?int $to) => $this->deleteJson("/api/members/{$member->id}", ['studentsTo' => $to]);
    $out(null)->assertJsonPath('errors.studentsTo.0', 'Tara still teaches one student. Choose who teaches from now on.');
    $out($this->own->member->id)->assertNoContent();
    expect($this->own->student->refresh()->membership_id)->toBe($this->own->member->id);
    // The lead is handed over before it is laid down.
    $this->deleteJson('/api/members', ['studentsTo' => null])->assertJsonValidationErrors('member');
    $this->patchJson("/api/members/{$this->own->invited->id}", ['role' => 'owner'])->assertJsonValidationErrors('role');
    $this->patchJson("/api/members/{$this->own->member->id}", ['role' => 'teacher'])->assertJsonValidationErrors('role');
    // Who belongs to no studio is told so, and let in nowhere.
    app('auth')->forgetGuards();
    $this->postJson('/api/session', ['email' => $tara->email, 'password' => 'secret-word'])->assertJsonPath('errors.email.0', 'You belong to no studio any more. Ask its teacher for an invitation.');
    $this->actingAs($tara->fresh())->getJson('/api/this-week')->assertUnauthorized();
});

test('the lead goes over to another, who is one alone', function (): void {
    $tara = $this->own->joined(Role::Teacher, 'Tara');
    $member = Membership::query()->where('user_id', $tara->id)->firstOrFail();
    $this->actingAs($this->own->teacher)->patchJson("/api/members/{$member->id}", ['role' => 'owner'])->assertOk();
    expect(Membership::query()->where('studio_id', $this->own->studio->id)->where('role', 'owner')->pluck('id')->all())->toBe([$member->id])
        ->and($this->own->member->refresh()->role)->toBe(Role::Teacher);
});

test('a studio is deleted by its lead with the password; one to look around in without', function (): void {
    $this->actingAs($this->own->teacher);
    $of = "/api/studios/{$this->own->studio->id}";
    $this->deleteJson($of, ['password' => 'wrong'])->assertJsonValidationErrors('password');
    $this->deleteJson($of, ['password' => 'secret-word'])->assertJsonPath('errors.password.0', 'This is your only studio. Make another one first, or be invited into one.');
    $this->postJson('/api/account/demo')->assertOk();
    $demo = $this->getJson('/api/account/demo')->json('0.studioId');
    $this->putJson('/api/session/studio', ['studioId' => $demo])->assertOk()->assertJson(['isDemo' => true, 'role' => 'owner']);
    expect($this->getJson('/api/this-week')->json())->not->toBeEmpty();
    $this->deleteJson("/api/studios/{$demo}", [])->assertNoContent();
    expect($this->getJson('/api/session')->json('studio.name'))->toBe('north')->and(Studio::query()->whereKey($demo)->exists())->toBeFalse()
        ->and(User::query()->whereKey($this->own->teacher->id)->exists())->toBeTrue();
});

test('another studio is made where it is open to all, a first one by invitation too', function (): void {
    config(['nasturtium.registration' => false]);
    $this->actingAs($this->own->teacher);
    $make = fn () => $this->postJson('/api/account/studios', ['studio' => 'Upstairs', 'country' => 'GB']);
    $make()->assertJsonValidationErrors('studio');
    config(['nasturtium.registration' => true]);
    $make()->assertOk()->assertJson(['role' => 'owner', 'studio' => ['name' => 'Upstairs', 'words' => 'uk']]);
    config(['nasturtium.registration' => false]);
    app('auth')->forgetGuards();
    $this->flushSession();
    $new = ['name' => 'New', 'studio' => 'Hill', 'email' => 'new@hill.example', 'password' => 'four words in a row', 'country' => 'US'];
    $this->artisan('nasturtium:invite', ['email' => 'new@hill.example'])->expectsOutputToContain('/welcome#')->assertSuccessful();
    $this->artisan('nasturtium:invite', ['email' => 'nobody'])->assertFailed();
    $this->artisan('nasturtium:invite', ['email' => $this->own->teacher->email])->assertFailed();
    $invitation = BeginStudio::invitation('new@hill.example');
    foreach ([null, 'nonsense', BeginStudio::invitation('other@hill.example')] as $other) {
        $this->postJson('/api/studios', [...$new, 'invitation' => $other])->assertJsonValidationErrors('email');
    }
    $this->travel(15)->days();
    $this->postJson('/api/studios', [...$new, 'invitation' => $invitation])->assertJsonValidationErrors('email');
    $this->postJson('/api/studios', [...$new, 'invitation' => BeginStudio::invitation('new@hill.example')])->assertOk();
});

test('who is in a studio, and whose a student is, survive a backup', function (): void {
    $tara = $this->own->joined(Role::Teacher, 'Tara');
    $asta = $this->own->joined(Role::Assistant, 'Asta');
    $of = fn (User $who): int => (int) Membership::query()->where('user_id', $who->id)->value('id');
    $this->own->student->update(['membership_id' => $of($tara)]);
    [$otto, $leads] = [$this->own->student('Otto', 8), $this->own->student('Lea', 8)];
    $otto->update(['membership_id' => $of($asta)]);
    $leads->update(['membership_id' => $this->own->member->id]);
    $path = app(PackRows::class)->studio($this->own->studio);
    $zip = new ZipArchive();
    $zip->open($path);
    expect($zip->getFromName('tables/memberships.jsonl'))->not->toContain('user_id')->not->toContain('token')->toContain('tara@studio.example');
    $this->own->studio->delete();
    $empty = Studio::query()->create(['name' => 'New']);
    $restorer = teacher_of(['studio_id' => $empty->id, 'name' => 'R', 'email' => 'r@studio.example', 'password' => 'secret-word']);
    Membership::of($empty, $tara, Role::Teacher);
    app(RestoreStudio::class)($empty, $path);
    $whose = fn (string $name): string => (string) Membership::query()->find(Student::query()->where('studio_id', $empty->id)->where('first_name', $name)->value('membership_id'))?->email;
    expect([$whose('Ida'), $whose('Otto'), $whose('Lea')])->toBe(['tara@studio.example', 'asta@studio.example', 'r@studio.example']);
    $members = $this->actingAs($restorer)->getJson('/api/members')->json();
    expect(array_column($members, 'hasJoined', 'email'))->toBe(['r@studio.example' => true, 'tara@studio.example' => true, 'guest-of-north@studio.example' => false, 'asta@studio.example' => false])
        ->and(array_column($members, 'role'))->toBe(['owner', 'teacher', 'teacher', 'assistant']);
});

test('a letter about an account is read by its owner alone, and goes into no backup', function (): void {
    $tara = $this->own->joined(Role::Teacher, 'Tara');
    $this->postJson('/api/password-resets', ['email' => $this->own->teacher->email])->assertNoContent();
    $subjects = fn (User $who): array => $this->actingAs($who)->getJson('/api/mails')->json('*.subject');
    expect($subjects($this->own->teacher))->toBe(['A new password'])->and($subjects($tara))->toBe([]);
    $zip = new ZipArchive();
    $zip->open(app(PackRows::class)->studio($this->own->studio));
    expect((string) $zip->getFromName('tables/mails.jsonl'))->not->toContain('new password');
});
