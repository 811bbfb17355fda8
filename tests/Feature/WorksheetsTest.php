<?php

declare(strict_types=1);

use App\Drill\TakeAnswers;
use App\Sheet\GivenWorksheet;
use App\Sheet\Worksheet;
use App\Week\ProposeWeek;
use App\Week\Task;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Nasturtium\Core\Drill\DrillKind;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->travelTo('2031-04-29 16:00:00');
    $this->actingAs($this->own->teacher);
    $this->asked = fn (array $change = []): array => [...['kind' => 'name', 'count' => 6, 'hard' => 3, 'clefs' => ['treble', 'bass'], 'seed' => 11, 'studentId' => null, 'pieceId' => null, 'notes' => null], ...$change];
});

test('a sheet is seen at once, kept with a number of its own, and printed again as it was', function (): void {
    $seen = $this->postJson('/api/worksheets/preview', ($this->asked)())->assertOk()->json();
    expect($seen)->toHaveCount(6)->and(array_keys($seen[0]))->toBe(['ask', 'answer', 'music', 'sign', 'options', 'key']);
    $first = $this->postJson('/api/worksheets', ($this->asked)())->assertCreated()->json();
    $second = $this->postJson('/api/worksheets', ($this->asked)(['seed' => 12]))->assertCreated()->json();
    expect([$first['number'], $second['number'], $first['questions']])->toBe([2, 3, 6])
        ->and($this->getJson("/api/worksheets/{$first['id']}")->assertOk()->json('items'))->toBe($seen)
        ->and(array_column($this->getJson('/api/worksheets')->json(), 'number'))->toBe([3, 2, 1]);
});

test('it is made of a page, of a student’s notes, or of notes that were chosen', function (): void {
    $answers = fn (array $of): array => array_values(array_unique(array_column($this->postJson('/api/worksheets/preview', ($this->asked)(['count' => 24, ...$of]))->assertOk()->json(), 'answer')));
    expect($answers(['notes' => ['treble:E4', 'bass:F3']]))->toEqualCanonicalizing(['E', 'F'])->and($answers(['notes' => ['treble:E4', 'bass:F3'], 'clefs' => ['bass']]))->toBe(['F']);
    $letters = array_unique(array_map(static fn (string $note): string => preg_replace('/^\\w+:|-?\\d+$/', '', $note), explode(',', $this->own->piece->note_names)));
    expect($answers(['pieceId' => $this->own->piece->id]))->toEqualCanonicalizing(array_values($letters))->and($answers(['studentId' => $this->own->student->id]))->toEqualCanonicalizing(array_values($letters));
});

test('a sheet is given with its student, to others, and marked: so many right', function (): void {
    $sheet = $this->postJson('/api/worksheets', ($this->asked)(['studentId' => $this->own->student->id]))->assertCreated()->json();
    expect($sheet['given'])->toBe([['studentId' => $this->own->student->id, 'student' => 'Ida T.', 'givenOn' => '2031-04-29', 'right' => null]]);
    $other = $this->own->student('Otto', 8);
    $at = fn ($student): string => "/api/worksheets/{$sheet['id']}/students/{$student->id}";
    $this->putJson($at($other), ['right' => null])->assertOk();
    expect(array_column($this->putJson($at($this->own->student), ['right' => 5])->assertOk()->json('given'), 'right', 'student'))->toBe(['Ida T.' => 5, 'Otto T.' => null]);
    $this->putJson($at($other), ['right' => 7])->assertJsonPath('errors.right.0', 'This sheet has 6 questions.');
    $this->deleteJson($at($other))->assertNoContent();
    expect(GivenWorksheet::query()->pluck('student_id')->all())->toBe([$this->own->student->id]);
    $this->deleteJson("/api/worksheets/{$sheet['id']}")->assertNoContent();
    expect(GivenWorksheet::query()->count())->toBe(0)->and(Worksheet::query()->whereKey($sheet['id'])->exists())->toBeFalse();
});

test('what makes no sheet is refused in words, and others’ students and pages are not found', function (): void {
    $this->postJson('/api/worksheets', ($this->asked)(['clefs' => []]))->assertJsonPath('errors.clefs.0', 'Choose at least one staff.');
    $this->postJson('/api/worksheets', ($this->asked)(['count' => 25]))->assertJsonValidationErrors('count');
    $this->postJson('/api/worksheets', ($this->asked)(['kind' => 'poem']))->assertJsonValidationErrors('kind');
    $this->postJson('/api/worksheets', ($this->asked)(['kind' => 'fingers', 'notes' => ['treble:C6']]))->assertJsonPath('errors.kind.0', 'There is nothing to make these questions of. Choose other notes or another page.');
    $south = new Fixtures('south');
    $this->postJson('/api/worksheets/preview', ($this->asked)(['studentId' => $south->student->id]))->assertNotFound();
    $this->postJson('/api/worksheets/preview', ($this->asked)(['pieceId' => $south->piece->id]))->assertNotFound();
    $this->putJson("/api/worksheets/{$this->own->worksheet->id}/students/{$south->student->id}", ['right' => 1])->assertNotFound();
});

test('a worksheet that is not marked is theory of the next week, two at most, the oldest first', function (): void {
    $proposed = function (): array {
        $week = app(ProposeWeek::class)($this->own->student, CarbonImmutable::parse('2031-05-05'));

        return $week->tasks()->where('kind', 'theory')->orderBy('id')->get()->map(static fn (Task $task): string => "{$task->title}. {$task->instruction} ({$task->half_minutes}, {$task->why})")->all();
    };
    expect($proposed())->toBe([]);
    $numbers = array_map(fn (int $seed): int => $this->postJson('/api/worksheets', ($this->asked)(['studentId' => $this->own->student->id, 'seed' => $seed]))->assertCreated()->json('number'), [1, 2, 3]);
    expect($proposed())->toBe(["Worksheet {$numbers[0]}. Name the notes: 6 questions. Bring it to the lesson. (8, given 29 Apr)", "Worksheet {$numbers[1]}. Name the notes: 6 questions. Bring it to the lesson. (8, given 29 Apr)"]);
    $first = Worksheet::query()->where('number', $numbers[0])->where('studio_id', $this->own->studio->id)->firstOrFail();
    $this->putJson("/api/worksheets/{$first->id}/students/{$this->own->student->id}", ['right' => 6])->assertOk();
    expect($proposed())->toHaveCount(2)->and($proposed()[0])->toStartWith("Worksheet {$numbers[1]}.")->and($proposed()[1])->toStartWith("Worksheet {$numbers[2]}.");
});

test('lines at sight on paper are of the student’s own notes and level, or of notes that were chosen', function (): void {
    $sheet = fn (array $of): array => $this->postJson('/api/worksheets/preview', ($this->asked)(['kind' => 'sight', 'count' => 4, 'hard' => 2, ...$of]))->assertOk()->json();
    expect($sheet(['studentId' => $this->own->student->id]))->toBe([])->and($sheet(['notes' => ['treble:C4', 'treble:D4', 'treble:E4']]))->toHaveCount(4);
    foreach (['C4', 'D4', 'E4', 'F4', 'G4'] as $i => $note) {
        app(TakeAnswers::class)($this->own->student->load('studio'), (string) Str::uuid(), DrillKind::Name, array_fill(0, 10, ['card' => "name treble:{$note}", 'right' => true, 'milliseconds' => 900, 'given' => '', 'at' => "2031-04-29T1{$i}:00:00Z"]));
    }
    $lines = $sheet(['studentId' => $this->own->student->id]);
    expect($lines)->toHaveCount(4)->and($lines[0]['answer'])->toStartWith('Level 1. Right hand: ')->and($sheet(['studentId' => $this->own->student->id, 'clefs' => ['bass']]))->toBe([]);
});

test('a page is asked about, and its lines are printed to write on; without a page nothing is', function (string $kind, string $answer): void {
    $items = $this->postJson('/api/worksheets/preview', ($this->asked)(['kind' => $kind, 'count' => 24, 'pieceId' => $this->own->piece->id]))->assertOk()->json();
    expect(array_column($items, 'answer'))->toContain($answer)
        // The newest page of a student is taken where none is named.
        ->and($this->postJson('/api/worksheets/preview', ($this->asked)(['kind' => $kind, 'count' => 24, 'studentId' => $this->own->student->id]))->assertOk()->json())->toBe($items)
        ->and($this->postJson('/api/worksheets/preview', ($this->asked)(['kind' => $kind]))->assertOk()->json())->toBe([]);
})->with([
    'questions' => ['recall', '4: the time is 4/4.'],
    'names' => ['page-names', 'Right hand: C D E | E F G. Left hand: C | G.'],
    'counts' => ['page-counts', 'Right hand: 1 2 3 (4) | 1 2 3 (4). Left hand: 1 (2) (3) (4) | 1 (2) (3) (4).'],
]);
