<?php

declare(strict_types=1);

use App\Page\Photo\KeptPhoto;
use App\Page\Photo\PagePhoto;
use App\Page\Photo\PhotoFigure;
use App\Page\Photo\PhotoLine;
use App\Page\Photo\PhotoLink;
use App\Page\Photo\PhotoState;
use App\Page\Photo\ReadPhotoJob;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Nasturtium\Core\Formats\Photo\Item;
use Nasturtium\Core\Formats\Photo\PageCodec;
use Nasturtium\Core\Formats\Photo\ReadPage;
use Nasturtium\Core\Formats\Photo\ReadSign;
use Tests\Fixtures;
use Tests\Photo\DrawnPage;
use Tests\Photo\DrawnStrip;

/*
 * A page from a photo: taken in, read by the queue, looked through, and taken on to be typed.
 */

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    Storage::fake(PagePhoto::DISK);
    $this->page = "/api/pages/{$this->own->page->id}";
    $this->photo = "/api/photos/{$this->own->photo->id}";
    $this->send = fn (string $bytes, array $more = []) => $this->post("{$this->page}/photos", ['file' => UploadedFile::fake()->createWithContent('page.png', $bytes), ...$more], ['Accept' => 'application/json']);
});

/** Two bars of a treble staff, four crotchets each. */
function photographed(): string
{
    $staff = (new DrawnStrip(560))->barLine(0)->box(16, 74, 34, 112);
    foreach ([0, 1] as $bar) {
        foreach (range(0, 3) as $i) {
            $staff->head(124 + 200 * $bar + 42 * $i, $i + 1)->stem(124 + 200 * $bar + 42 * $i, $i + 1, true);
        }
        $staff->barLine(296 + 200 * $bar);
    }

    return (new DrawnPage([[$staff]]))->png();
}

test('a picture is taken in, read, and can be looked at', function (): void {
    $id = ($this->send)(photographed())->assertOk()->json('id');
    // In tests the queue does at once what it is given.
    $this->getJson("/api/photos/{$id}")->assertOk()->assertJson(['state' => 'read', 'isRead' => true, 'where' => 'Made-up Book, p. 3', 'reason' => '']);
    $read = $this->getJson("/api/photos/{$id}/reading")->assertOk()->json();
    expect($read['pieces'])->toHaveCount(1)
        ->and($read['pieces'][0]['clefs'])->toBe(['treble'])
        ->and($read['pieces'][0]['bars'])->toHaveCount(2)
        ->and(array_map(static fn (array $sign): string => $sign['heads'][0]['name'], $read['pieces'][0]['bars'][0]['staves'][0]['signs']))->toBe(['F4', 'G4', 'A4', 'B4'])
        ->and($read['lines'])->toHaveCount(1);
    $picture = $this->get("/api/photos/{$id}/lines/0")->assertOk()->assertHeader('Content-Type', 'image/jpeg');
    expect(getimagesizefromstring($picture->getContent())[0])->toBe($read['lines'][0]['width']);
    $this->get("/api/photos/{$id}/picture")->assertOk();
    // The file as it came is gone, with whatever a camera wrote into it.
    expect(Storage::disk(PagePhoto::DISK)->allFiles())->toBe([]);
});

test('what is no picture is refused before anything is unpacked, and leaves nothing', function (string $bytes, string $said): void {
    $before = PagePhoto::query()->count();
    ($this->send)($bytes)->assertUnprocessable()->assertJsonPath('errors.file.0', $said);
    expect(PagePhoto::query()->count())->toBe($before)->and(Storage::disk(PagePhoto::DISK)->allFiles())->toBe([]);
})->with([
    'words' => ['no picture at all', 'This is no picture that can be opened. JPEG, PNG and PDF can.'],
    'a picture that would fill the memory' => [fn (): string => substr_replace(photographed(), pack('NN', 30_000, 30_000), 16, 8), 'The picture is 30000 by 30000 points, more than can be read. Half of that is plenty.'],
]);

test('a picture that cannot be read says why', function (string $bytes, string $said): void {
    $id = ($this->send)($bytes)->assertOk()->json('id');
    $told = $this->getJson("/api/photos/{$id}")->assertJson(['state' => 'refused', 'isRead' => false])->json('reason');
    expect($told)->toContain($said);
    $this->getJson("/api/photos/{$id}/reading")->assertNotFound();
})->with([
    'no staves' => [fn (): string => (new DrawnPage([]))->png(), 'No staves'],
    'a PDF that is none' => ['%PDF-1.4 and nothing more', 'Page 1 of this PDF cannot be opened'],
]);

test('the reading is stopped by erasing the picture, and what is done twice is done once', function (): void {
    Queue::fake();
    $id = ($this->send)(photographed())->assertOk()->json('id');
    Queue::assertPushed(ReadPhotoJob::class, 1);
    $this->getJson("/api/photos/{$id}")->assertJson(['state' => 'waiting', 'step' => '']);
    $this->deleteJson("/api/photos/{$id}")->assertNoContent();
    expect(Storage::disk(PagePhoto::DISK)->allFiles())->toBe([]);
    (new ReadPhotoJob($id))->handle();
    expect(PagePhoto::query()->find($id))->toBeNull();

    $again = ($this->send)(photographed())->json('id');
    (new ReadPhotoJob($again))->handle();
    $revision = PagePhoto::query()->findOrFail($again)->revision;
    (new ReadPhotoJob($again))->handle();
    expect(PagePhoto::query()->findOrFail($again)->revision)->toBe($revision)->and(PhotoLine::query()->where('page_photo_id', $again)->count())->toBe(2);
});

test('what nobody thought of is told too', function (): void {
    (new ReadPhotoJob($this->own->photo->id))->failed(new RuntimeException('a defect'));
    $this->getJson($this->photo)->assertJson(['state' => 'refused', 'isRead' => true])->assertJsonPath('reason', fn (string $told): bool => str_contains($told, 'Take it again') && ! str_contains($told, 'defect'));
});

test('of a bar that was read twice the other reading is taken by one correction', function (): void {
    $page = PageCodec::read((string) $this->own->photo->refresh()->reading);
    $piece = $page->pieces[0];
    $bar = $piece->bars[1];
    $twice = $bar->reading($bar->staves, [[1, 'twice']], [[new ReadSign(40, 0, 4 * Item::QUARTER, 0, [])]]);
    $this->own->photo->forceFill(['reading' => PageCodec::written(new ReadPage([$piece->with(bars: [$piece->bars[0], $twice])]))])->save();
    $staff = $this->getJson("{$this->photo}/reading")->assertOk()->json('pieces.0.bars.1.staves.0');
    expect($staff)->toMatchArray(['doubts' => ['twice'], 'other' => true])->and(count($staff['signs']))->toBeGreaterThan(1);
    $this->putJson("{$this->photo}/corrections", ['revision' => 1, 'more' => [['change' => 'other', 'bar' => 1]]])->assertOk()
        ->assertJsonPath('pieces.0.bars.1.staves.0.signs.0.heads', [])->assertJsonPath('pieces.0.bars.0.staves.0.other', false);
    $this->putJson("{$this->photo}/corrections", ['revision' => 2, 'undo' => true, 'more' => []])->assertOk()->assertJsonPath('pieces.0.bars.1.staves.0.signs', $staff['signs']);
});

test('a doubtful bar says what is missing, and a correction mends it', function (): void {
    $read = $this->getJson("{$this->photo}/reading")->assertOk()->json();
    [, $bar] = $read['pieces'][0]['bars'];
    expect($bar['staves'][0]['doubts'])->toBe(['sum'])->and($bar['checks'][0])->toContain('1 missing')->and($bar['staves'][0]['signs'][2]['length'])->toBe('crotchet');
    $changed = $this->putJson("{$this->photo}/corrections", ['revision' => 1, 'more' => [['change' => 'length', 'bar' => 1, 'sign' => 2, 'value' => 2], ['change' => 'right', 'bar' => 1]]])->assertOk()->json();
    [, $bar] = $changed['pieces'][0]['bars'];
    expect($bar['staves'][0]['doubts'])->toBe([])->and($bar['checks'])->toBe([])->and($bar['staves'][0]['signs'][2])->toMatchArray(['length' => 'minim', 'heads' => [['name' => 'A4', 'finger' => null, 'tied' => false]]])
        ->and($changed['corrections'])->toBe(2)->and($changed['revision'])->toBe(2);
    // One step back, and what another window changed meanwhile stands.
    $this->putJson("{$this->photo}/corrections", ['revision' => 2, 'undo' => true, 'more' => []])->assertOk()->assertJsonPath('corrections', 1)->assertJsonPath('pieces.0.bars.1.staves.0.doubts', ['sum']);
    $this->putJson("{$this->photo}/corrections", ['revision' => 2, 'more' => [['change' => 'dot']]])->assertStatus(409)->assertJsonPath('revision', 3);
});

test('a key that is pressed twice before the answer came counts twice', function (): void {
    $read = $this->putJson("{$this->photo}/corrections", ['revision' => 1, 'more' => [['change' => 'key', 'value' => 1], ['change' => 'key', 'value' => 1], ['change' => 'time'], ['change' => 'time'], ['change' => 'clef', 'staff' => 1]]])->assertOk()->json('pieces.0');
    expect([$read['fifths'], $read['time'], $read['clefs']])->toBe([2, '2/4', ['treble', 'treble']]);
});

test('a correction of what is not there changes nothing, and nonsense is refused', function (): void {
    $this->putJson("{$this->photo}/corrections", ['revision' => 1, 'more' => [['change' => 'dot', 'bar' => 99], ['change' => 'finger', 'piece' => 7, 'value' => 3], ['change' => 'step', 'head' => 9, 'value' => 9999]]])
        ->assertOk()->assertJsonPath('pieces.0.bars.0.staves.0.signs.0.heads.0.name', 'C4');
    $this->putJson("{$this->photo}/corrections", ['revision' => 2, 'more' => [['change' => 'invent']]])->assertUnprocessable();
    $this->putJson("{$this->photo}/corrections", ['revision' => 2, 'more' => 'all'])->assertUnprocessable();
});

test('it ends as shorthand, the photo is gone, and how well it was read stays as a figure', function (): void {
    $this->putJson("{$this->photo}/corrections", ['revision' => 1, 'more' => [['change' => 'length', 'bar' => 1, 'sign' => 2, 'value' => 2]]])->assertOk();
    $typed = $this->putJson("{$this->photo}/typed", ['piece' => 0, 'keep' => false])->assertOk()->json();
    expect($typed['shorthand'])->toContain('time: 4/4')->and($typed['label'])->toBe('')->and($typed['more'])->toBeFalse();
    // It is kept as what is typed is, before the photo is gone; and can be stored as it is.
    $this->getJson("{$this->page}/draft")->assertOk()->assertJson(['text' => $typed['shorthand'], 'label' => '', 'revision' => 1]);
    $this->postJson("{$this->page}/pieces", ['shorthand' => $typed['shorthand'], 'label' => 'B'])->assertOk();
    $this->getJson($this->photo)->assertNotFound();
    expect(PhotoLine::query()->where('page_photo_id', $this->own->photo->id)->exists())->toBeFalse()
        ->and(PhotoFigure::query()->firstOrFail()->only(['notes', 'right', 'doubts', 'needless']))->toBe(['notes' => 7, 'right' => 6, 'doubts' => 1, 'needless' => 0]);
    $this->getJson('/api/photo-figures')->assertOk()->assertJson(['pages' => 1, 'notes' => 7, 'right' => 6, 'doubts' => 1]);
});

test('where something else is being typed on the page, it stands, and the photo stays too', function (): void {
    $this->putJson("{$this->page}/draft", ['text' => 'title: Mine', 'label' => '', 'revision' => 0])->assertOk();
    $typed = $this->putJson("{$this->photo}/typed", ['piece' => 0, 'keep' => false])->assertOk()->json();
    $this->getJson("{$this->page}/draft")->assertJson(['text' => 'title: Mine']);
    $this->getJson($this->photo)->assertOk();
    expect(PhotoFigure::query()->count())->toBe(0);
    // Once it is saved or given up, the photo goes on as any other.
    $this->deleteJson("{$this->page}/draft")->assertNoContent();
    $again = $this->putJson("{$this->photo}/typed", ['piece' => 0, 'keep' => false])->assertOk()->json();
    expect($again)->toBe($typed);
    $this->getJson($this->photo)->assertNotFound();
});

test('a photo is kept with its page when she wants, for her alone, and is erased with the page', function (): void {
    $this->putJson("{$this->photo}/typed", ['piece' => 0, 'keep' => true])->assertOk();
    $kept = $this->getJson("{$this->page}/kept-photos")->assertOk()->json('*.id');
    expect($kept)->toHaveCount(2);
    $this->get("/api/kept-photos/{$kept[1]}")->assertOk()->assertHeader('Content-Type', 'image/jpeg')->assertHeader('Cache-Control', 'no-store, private');
    $this->deleteJson("/api/kept-photos/{$kept[0]}")->assertNoContent();
    $this->deleteJson($this->page)->assertNoContent();
    expect(KeptPhoto::query()->count())->toBe(0)->and(PagePhoto::query()->count())->toBe(0);
});

test('a page with two pieces goes on to be typed one after the other', function (): void {
    $row = PagePhoto::query()->findOrFail($this->own->photo->id);
    $row->update(['reading' => substr((string) $row->reading, 0, -1).','.substr((string) $row->reading, 1)]);
    expect($this->getJson("{$this->photo}/reading")->json('pieces.*.label'))->toBe(['A', 'B']);
    $this->putJson("{$this->photo}/typed", ['piece' => 1, 'keep' => false])->assertOk()->assertJson(['label' => 'B', 'more' => true]);
    expect($this->getJson("{$this->photo}/reading")->json('pieces.*.typed'))->toBe([false, true]);
    $this->putJson("{$this->photo}/typed", ['piece' => 5, 'keep' => false])->assertNotFound();
    $this->deleteJson("{$this->page}/draft")->assertNoContent();
    $this->putJson("{$this->photo}/typed", ['piece' => 0, 'keep' => false])->assertOk()->assertJson(['label' => 'A', 'more' => false]);
    $this->getJson($this->photo)->assertNotFound();
});

test('a phone sends one picture by its link, within ten minutes', function (): void {
    $link = $this->postJson("{$this->page}/photo-links")->assertOk()->json();
    expect($link['state'])->toBe('awaited')->and($link['url'])->toContain('/camera/');
    $token = basename($link['url']);
    expect(PhotoLink::query()->where('token_hash', $token)->exists())->toBeFalse();
    app('auth')->forgetGuards();
    $phone = ['Authorization' => "Bearer {$token}", 'Accept' => 'application/json'];
    $this->get('/api/camera', $phone)->assertOk()->assertJson(['where' => 'Made-up Book, p. 3', 'sent' => false]);
    // What is no picture leaves the link open.
    $this->post('/api/camera', ['file' => UploadedFile::fake()->createWithContent('page.png', 'no picture')], $phone)->assertUnprocessable();
    $this->post('/api/camera', ['file' => UploadedFile::fake()->createWithContent('page.png', photographed())], $phone)->assertOk()->assertJson(['sent' => true]);
    $this->get('/api/camera', $phone)->assertOk()->assertJson(['sent' => true]);
    app('auth')->forgetGuards();
    $this->post('/api/camera', ['file' => UploadedFile::fake()->createWithContent('page.png', photographed())], $phone)->assertUnauthorized();
    expect(PagePhoto::query()->findOrFail($link['id'])->state)->toBe(PhotoState::Read);
});

test('a link is over after ten minutes', function (): void {
    $token = basename((string) $this->postJson("{$this->page}/photo-links")->json('url'));
    app('auth')->forgetGuards();
    $this->travel(11)->minutes();
    $this->get('/api/camera', ['Authorization' => "Bearer {$token}", 'Accept' => 'application/json'])->assertUnauthorized();
});

test('corners cut the page out, and none take the whole picture again', function (): void {
    $id = ($this->send)(photographed())->json('id');
    $corners = [['x' => 0, 'y' => 0], ['x' => 1, 'y' => 0], ['x' => 1, 'y' => 1], ['x' => 0, 'y' => 1]];
    $this->putJson("/api/photos/{$id}/corners", ['corners' => $corners])->assertOk();
    expect($this->getJson("/api/photos/{$id}/reading")->json('pieces.0.bars'))->toHaveCount(2);
    // The left half has the first bar alone.
    $half = [['x' => 0, 'y' => 0], ['x' => 0.45, 'y' => 0], ['x' => 0.45, 'y' => 1], ['x' => 0, 'y' => 1]];
    $this->putJson("/api/photos/{$id}/corners", ['corners' => $half])->assertOk();
    expect($this->getJson("/api/photos/{$id}/reading")->json('pieces.0.bars.*.number'))->toBe([1]);
    $this->putJson("/api/photos/{$id}/corners", ['corners' => null])->assertOk();
    expect($this->getJson("/api/photos/{$id}/reading")->json('pieces.0.bars'))->toHaveCount(2);
    $this->putJson("/api/photos/{$id}/corners", ['corners' => array_reverse($corners)])->assertJsonPath('errors.corners.0', 'These corners do not go round a page. Drag each to its own corner of the page.');
    $this->putJson("/api/photos/{$id}/corners", ['corners' => [['x' => 0, 'y' => 0]]])->assertUnprocessable();
    PagePhoto::query()->whereKey($id)->update(['state' => PhotoState::Reading]);
    $this->putJson("/api/photos/{$id}/corners", ['corners' => null])->assertUnprocessable();
});

test('pictures that wait are listed with their page, with few questions to the database', function (): void {
    $few = queries_of(fn () => $this->getJson('/api/photos')->assertOk());
    expect($this->getJson('/api/photos')->json('*.state'))->toBe(['read', 'awaited']);
    Fixtures::readPhoto($this->own->page);
    expect(queries_of(fn () => $this->getJson('/api/photos')->assertOk()))->toBe($few)
        // The long texts and the pictures stay where they are.
        ->and(collect(DB::getQueryLog())->pluck('query')->filter(fn (string $query): bool => str_contains($query, 'select * from `page_photos`'))->all())->toBe([]);
});

test('a studio has thirty pictures open at most', function (): void {
    foreach (range(1, 28) as $ignored) {
        Fixtures::readPhoto($this->own->page);
    }
    $this->postJson("{$this->page}/photo-links")->assertJsonValidationErrors('file');
    ($this->send)(photographed())->assertJsonValidationErrors('file');
});

test('a picture for which the disk has no room is told, and nothing of it is kept', function (): void {
    config(['filesystems.disks.'.PagePhoto::DISK => ['driver' => 'local', 'root' => '/proc/nowhere', 'throw' => true]]);
    Storage::forgetDisk(PagePhoto::DISK);
    $before = PagePhoto::query()->count();
    ($this->send)(photographed())->assertStatus(503)->assertJsonPath('message', 'There is no room for this file now, and nothing of it was kept. Send it again later; if that fails too, tell whoever looks after the machine.');
    expect(PagePhoto::query()->count())->toBe($before)
        ->and(DB::table('jobs')->count())->toBe(0);
});

test('what nobody looked through goes at night: pictures after as long as drafts, codes of no use and files after a day', function (): void {
    Queue::fake();
    $waiting = ($this->send)(photographed())->json('id');
    $file = PagePhoto::query()->findOrFail($waiting)->upload;
    DB::table('page_photos')->where('id', $waiting)->delete();
    $old = now()->subDays($this->own->studio->refresh()->keep_drafts + 1);
    $fresh = Fixtures::readPhoto($this->own->page);
    PagePhoto::query()->whereKey($this->own->photo->id)->toBase()->update(['updated_at' => $old]);
    touch(Storage::disk(PagePhoto::DISK)->path((string) $file), now()->subHours(25)->getTimestamp());
    Storage::disk(PagePhoto::DISK)->put('new', 'x');
    touch(Storage::disk(PagePhoto::DISK)->path('new'), now()->getTimestamp());
    $this->artisan('nasturtium:tidy')->expectsOutputToContain('1 photos')->assertSuccessful();
    expect(Storage::disk(PagePhoto::DISK)->allFiles())->toBe(['new'])
        ->and(PagePhoto::query()->where('state', PhotoState::Read)->pluck('id')->all())->toBe([$fresh->id])
        // A code of today is still good.
        ->and(PagePhoto::query()->where('state', PhotoState::Awaited)->count())->toBe(1);
    $this->travel(25)->hours();
    $this->artisan('nasturtium:tidy')->assertSuccessful();
    expect(PagePhoto::query()->where('state', PhotoState::Awaited)->count())->toBe(0);
});
