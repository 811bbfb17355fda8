<?php

declare(strict_types=1);

use App\Student\Learning\OpenPiece;
use App\Week\ProposeWeek;
use Carbon\CarbonImmutable;
use Tests\Fixtures;

test('lists take as many queries for ten rows as for one', function (string $list): void {
    $own = new Fixtures();
    $ask = fn () => $this->actingAs($own->teacher)->getJson("/api/{$list}")->assertOk();
    $one = queries_of($ask);
    for ($more = 0; $more < 9; $more++) {
        $student = $own->student("Student {$more}", 9);
        app(OpenPiece::class)($student, $own->piece, CarbonImmutable::parse(Fixtures::MONDAY));
        app(ProposeWeek::class)($student, CarbonImmutable::parse(Fixtures::MONDAY));
        $page = $own->book->pages()->create(['studio_id' => $own->studio->id, 'number' => 20 + $more]);
        $own->piece->replicate()->fill(['page_id' => $page->id])->save();
    }
    expect(queries_of($ask))->toBe($one);
})->with(['this-week', 'students', 'books']);

test('a week and a lesson take as many queries however many tasks there are', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $week = fn () => $this->getJson("/api/weeks/{$own->week->id}")->assertOk();
    $lesson = fn () => $this->getJson("/api/lessons/{$own->lesson->id}")->assertOk();
    // The first time the remedies are found and kept.
    $lesson();
    $before = [queries_of($week), queries_of($lesson)];
    foreach ($own->week->tasks()->get() as $task) {
        $task->replicate()->save();
    }
    expect([queries_of($week), queries_of($lesson)])->toBe($before);
});
