<?php

declare(strict_types=1);

use App\Drill\TakeAnswers;
use App\Sheet\GivenWorksheet;
use App\Student\Learning\OpenPiece;
use App\Week\ProposeWeek;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Nasturtium\Core\Drill\DrillKind;
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

test('worksheets take as many queries however many there are and have them, and a practice room however much was answered', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $sheets = fn () => $this->getJson('/api/worksheets')->assertOk();
    $room = fn () => $this->getJson("/api/students/{$own->student->id}/room")->assertOk();
    $training = fn () => $this->getJson("/api/students/{$own->student->id}/training")->assertOk();
    $answer = fn (string $card) => app(TakeAnswers::class)($own->student->load('studio'), (string) Str::uuid(), DrillKind::Name, [['card' => $card, 'right' => true, 'milliseconds' => 900, 'given' => '', 'at' => now()->toIso8601String()]]);
    GivenWorksheet::query()->create(['studio_id' => $own->studio->id, 'worksheet_id' => $own->worksheet->id, 'student_id' => $own->student->id, 'given_on' => '2031-05-01']);
    $answer('name treble:C4');
    $before = [queries_of($sheets), queries_of($room), queries_of($training)];
    for ($more = 2; $more < 8; $more++) {
        $sheet = $own->worksheet->replicate()->fill(['number' => $more]);
        $sheet->save();
        GivenWorksheet::query()->create(['studio_id' => $own->studio->id, 'worksheet_id' => $sheet->id, 'student_id' => $own->student("Student {$more}", 9)->id, 'given_on' => '2031-05-01']);
        $answer("name treble:{$more}");
        $answer('name bass:F3');
    }
    expect([queries_of($sheets), queries_of($room), queries_of($training)])->toBe($before);
});
