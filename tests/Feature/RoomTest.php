<?php

declare(strict_types=1);

use App\Drill\DrillAnswer;
use App\Page\Page;
use App\Page\Piece\StorePiece;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\Slip as SlipKind;
use Tests\Fixtures;

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->travelTo('2031-04-29 16:00:00');
    $this->family = ['Authorization' => "Bearer {$this->own->token}"];
    $this->room = fn (): array => $this->getJson('/api/home/room', $this->family)->assertOk()->json();
    $this->deck = fn (string $kind): array => array_column(($this->room)()['decks'], null, 'kind')[$kind];
    $this->answer = fn (array $answers, array $change = []) => $this->postJson('/api/home/answers', [
        'studentId' => $this->own->student->id, 'session' => (string) Str::uuid(), 'kind' => 'name', 'answers' => $answers, ...$change,
    ], $this->family);
});

/** @return list<array<string, mixed>> as many answers to a card, a minute apart */
function answers_to(string $card, int $count, bool $right = true, string $from = '2031-04-29T15:00:00Z', string $given = ''): array
{
    return array_map(static fn (int $i): array => ['card' => $card, 'right' => $right, 'milliseconds' => 1_500, 'given' => $given, 'at' => gmdate('Y-m-d\TH:i:s\Z', strtotime($from) + 60 * $i)], range(0, $count - 1));
}

test('the room has all kinds with a session for each of seven days, and every card that they name', function (): void {
    $room = ($this->room)();
    expect(array_column(array_filter($room['decks'], static fn (array $deck): bool => $deck['taskId'] === null), 'kind'))->toBe(['name', 'find', 'place', 'way', 'point', 'finger', 'count', 'tap', 'same', 'say', 'spell', 'race', 'echo', 'sound'])
        ->and($room)->toMatchArray(['student' => 'Ida', 'date' => '2031-04-29', 'minutes' => 3, 'best' => 0]);
    foreach ($room['decks'] as $deck) {
        $cards = array_column($deck['cards'], 'id');
        expect(array_column($deck['sessions'], 'date'))->toBe(array_map(static fn (int $day): string => '2031-0'.($day > 30 ? '5-0'.($day - 30) : "4-{$day}"), range(29, 35)));
        foreach ($deck['sessions'] as $session) {
            expect($session['seconds'])->toBe(180)->and(array_diff([...$session['learning'], ...$session['joining'], ...$session['known']], $cards))->toBe([])
                ->and(count($session['learning']))->toBeGreaterThan(0)->toBeLessThanOrEqual(3);
        }
    }
});

test('the landmarks come first, then what the pages brought; a teacher may set other notes, kinds and minutes', function (): void {
    DB::table('learnings')->where('student_id', $this->own->student->id)->delete();
    expect(($this->deck)('name')['sessions'][0]['learning'])->toBe(['name treble:G4', 'name bass:F3']);
    $this->own->student->update(['drill_notes' => 'bass:C3,bass:D3', 'drill_kinds' => 'name,echo', 'drill_minutes' => 1]);
    $room = ($this->room)();
    expect(array_column($room['decks'], 'kind'))->toBe(['name', 'echo'])->and(array_column($room['decks'][0]['cards'], 'id'))->toBe(['name bass:C3', 'name bass:D3'])
        ->and($room['decks'][0]['sessions'][0]['seconds'])->toBe(60);
});

test('answers sent twice count once, two phones lose nothing, and late ones lie at their own time', function (): void {
    $first = (string) Str::uuid();
    ($this->answer)(answers_to('name treble:G4', 3), ['session' => $first])->assertNoContent();
    ($this->answer)(answers_to('name treble:G4', 3), ['session' => $first])->assertNoContent();
    // Another phone, an hour before, sends later.
    ($this->answer)(answers_to('name treble:G4', 2, false, '2031-04-29T14:00:00Z', 'A'))->assertNoContent();
    $kept = DrillAnswer::query()->orderBy('answered_at')->get();
    expect($kept->pluck('is_right')->all())->toBe([false, false, true, true, true])->and($kept[0]->note)->toBe('treble:G4')->and($kept[0]->given)->toBe('A')
        ->and(array_column(($this->deck)('name')['sessions'][0]['before'], null, 'card')['name treble:G4']['answers'])->toHaveCount(5);
});

test('ten right answers in time make a note secure, and it is known to the desk and to progress', function (): void {
    ($this->answer)(answers_to('name treble:G4', 9))->assertNoContent();
    $status = function (): ?string {
        $notes = $this->actingAs($this->own->teacher)->getJson("/api/students/{$this->own->student->id}/progress?from=2031-04-01&to=2031-04-29")->assertOk()->json('notes');
        app('auth')->forgetGuards();

        return array_column($notes, 'status', 'id')['treble-G4'] ?? null;
    };
    expect($status())->toBe('shaky');
    ($this->answer)(answers_to('find treble:G4', 1), ['kind' => 'find'])->assertNoContent();
    expect($status())->toBe('secure')->and(($this->deck)('name')['sessions'][0]['known'])->toContain('name treble:G4');
    // Thresholds are the student's own.
    $this->own->student->update(['drill_within' => 1_400]);
    expect($status())->toBe('shaky');
});

test('a race proves nothing of notes, and its best is kept', function (): void {
    ($this->answer)([['card' => 'race', 'right' => true, 'milliseconds' => 10_000, 'given' => '7', 'at' => '2031-04-29T15:00:00Z']], ['kind' => 'race'])->assertNoContent();
    ($this->answer)([['card' => 'race', 'right' => true, 'milliseconds' => 10_000, 'given' => '11', 'at' => '2031-04-29T15:10:00Z']], ['kind' => 'race'])->assertNoContent();
    expect(($this->room)()['best'])->toBe(11)->and(DrillAnswer::query()->whereNotNull('note')->count())->toBe(0);
});

test('two notes that were taken for one another twice are a pair', function (): void {
    $this->own->student->update(['drill_notes' => 'treble:B4,treble:C5,treble:D5,treble:E5']);
    foreach (['B4', 'C5', 'D5'] as $note) {
        ($this->answer)(answers_to("name treble:{$note}", 1))->assertNoContent();
    }
    ($this->answer)(answers_to('name treble:B4', 1, false, given: 'C'))->assertNoContent();
    expect(($this->deck)('name')['sessions'][0]['pairs'])->toBe([]);
    ($this->answer)(answers_to('name treble:B4', 1, false, given: 'C'))->assertNoContent();
    expect(($this->deck)('name')['sessions'][0]['pairs'][0])->toBe(['card' => 'name treble:B4', 'other' => 'name treble:C5']);
});

test('a clock that is wrong puts no answer into days to come or into another season', function (): void {
    ($this->answer)([...answers_to('name treble:G4', 1, from: '2041-01-01T00:00:00Z'), ...answers_to('name treble:G4', 1, from: '1999-01-01T00:00:00Z')])->assertNoContent();
    expect(DrillAnswer::query()->orderBy('position')->pluck('on_date')->map->toDateString()->all())->toBe(['2031-04-29', '2031-03-29']);
});

test('what is no answer is refused, and nothing of it is kept', function (array $change, string $at): void {
    ($this->answer)([[...answers_to('name treble:G4', 1)[0], ...($change['answer'] ?? [])]], $change['body'] ?? [])->assertJsonValidationErrors($at);
    expect(DrillAnswer::query()->count())->toBe(0);
})->with([
    'no session' => [['body' => ['session' => 'x']], 'session'], 'another kind' => [['body' => ['kind' => 'dance']], 'kind'], 'no answers' => [['body' => ['answers' => []]], 'answers'],
    'too many' => [['body' => ['answers' => array_fill(0, 301, ['card' => 'x'])]], 'answers'], 'a time below nothing' => [['answer' => ['milliseconds' => -1]], 'answers.0.milliseconds'],
    'a card without a name' => [['answer' => ['card' => '']], 'answers.0.card'], 'no time' => [['answer' => ['at' => 'soon']], 'answers.0.at'], 'too long' => [['answer' => ['given' => str_repeat('x', 41)]], 'answers.0.given'],
]);

test('at the lesson the teacher has the same room, and answers count as those from home', function (): void {
    $this->actingAs($this->own->teacher);
    $path = "/api/students/{$this->own->student->id}";
    expect($this->getJson("{$path}/room")->assertOk()->json('decks.0.kind'))->toBe('name');
    $this->postJson("{$path}/answers", ['studentId' => $this->own->student->id, 'session' => (string) Str::uuid(), 'kind' => 'name', 'answers' => answers_to('name treble:G4', 2)])->assertNoContent();
    expect(DrillAnswer::query()->where('student_id', $this->own->student->id)->count())->toBe(2);
});

test('another child than those of the link is not found', function (): void {
    $other = $this->own->student('Otto', 8);
    ($this->answer)(answers_to('name treble:G4', 1), ['studentId' => $other->id])->assertNotFound();
    $this->getJson("/api/home/room?student={$other->id}", $this->family)->assertNotFound();
});

test('bars to count and to tap come from the pages that are open', function (): void {
    $taps = fn (): array => array_column(($this->deck)('tap')['cards'], 'id');
    $open = $taps();
    $this->own->learning->update(['state' => LearningState::Finished]);
    expect($taps())->not->toBe($open);
});

test('a drill of the week has the notes of its page and what is secure, and nothing else', function (): void {
    $task = $this->own->task('Find and name');
    $notes = explode(',', $this->own->piece->note_names);
    ($this->answer)(answers_to('name treble:A5', 10))->assertNoContent();
    $this->own->student->update(['drill_notes' => implode(',', [...$notes, 'treble:A5', 'bass:C2'])]);
    $deck = array_column(($this->room)()['decks'], null, 'taskId')[$task->id];
    $asked = array_column($deck['cards'], 'id');
    expect($deck['kind'])->toBe('find')->and($deck['sessions'])->toHaveCount(7)
        ->and($asked)->toContain('find treble:A5', "find {$notes[0]}")->not->toContain('find bass:C2');
});

test('the teacher sees what was trained: notes, speed by weeks, confusions and sessions', function (): void {
    $this->own->student->update(['drill_notes' => null]);
    ($this->answer)(answers_to('name treble:C4', 3))->assertNoContent();
    foreach (range(1, 2) as $time) {
        ($this->answer)(answers_to('name treble:C4', 1, false, '2031-04-22T15:00:00Z', 'D'))->assertNoContent();
    }
    ($this->answer)(answers_to('name treble:E4', 1, false, given: 'F'))->assertNoContent();
    $training = $this->actingAs($this->own->teacher)->getJson("/api/students/{$this->own->student->id}/training")->assertOk()->json();
    expect(array_values(array_filter($training['notes'], static fn (array $one): bool => $one['note']['id'] === 'treble-C4'))[0])->toMatchArray(['answers' => 5, 'right' => 3, 'median' => 1_500])
        // Once is no confusion.
        ->and($training['confused'])->toBe([['clef' => 'treble', 'words' => 'C4 for D4, a step higher', 'times' => 2]])
        ->and($training['weeks'])->toHaveCount(8)
        ->and(array_slice($training['weeks'], -2))->toBe([['from' => '2031-04-21', 'answers' => 2, 'right' => 0, 'median' => null], ['from' => '2031-04-28', 'answers' => 4, 'right' => 3, 'median' => 1_500]])
        ->and($training['sessions'][0])->toMatchArray(['date' => '2031-04-29', 'kind' => 'name', 'answers' => 3, 'right' => 3])
        ->and($training['chart'])->toContain('treble-C4');
});

test('what the teacher sets is kept, and nonsense is refused', function (): void {
    $set = fn (array $change = []) => $this->actingAs($this->own->teacher)->putJson("/api/students/{$this->own->student->id}/training", [...['kinds' => ['name', 'echo'], 'notes' => ['treble:C4', 'bass:F#3'], 'minutes' => 1, 'answers' => 8, 'right' => 80, 'within' => 4_000], ...$change]);
    $set()->assertOk()->assertExactJson(['kinds' => ['name', 'echo'], 'notes' => ['treble:C4', 'bass:F#3'], 'minutes' => 1, 'answers' => 8, 'right' => 80, 'within' => 4_000]);
    expect(get_object_vars($this->own->student->refresh()->enough()))->toMatchArray(['answers' => 8, 'right' => 80, 'within' => 4_000]);
    $set(['notes' => ['treble:H4', 'treble:C4']])->assertJsonPath('errors', ['notes.0' => ['Write a note as treble:C4 or bass:F#3.']]);
    $set(['notes' => ['treble:C4']])->assertJsonValidationErrors('notes');
    $set(['kinds' => []])->assertJsonValidationErrors('kinds');
    $set(['kinds' => ['dance']])->assertJsonValidationErrors('kinds.0');
    $set(['within' => 20])->assertJsonValidationErrors('within');
    $set(['kinds' => null, 'notes' => null, 'minutes' => null])->assertOk()->assertJsonPath('kinds', null);
});

test('a line at sight for each day of what is secure; how it went moves the level of those to come', function (): void {
    $lines = fn (): array => array_column(($this->room)()['lines'], null, 'date');
    // Too few notes are secure.
    expect($lines())->toBe([]);
    foreach (['C4', 'D4', 'E4', 'F4', 'G4'] as $i => $note) {
        ($this->answer)(answers_to("name treble:{$note}", 10, from: "2031-04-29T1{$i}:00:00Z"))->assertNoContent();
    }
    $first = $lines();
    expect(array_keys($first))->toBe(array_map(static fn (int $day): string => gmdate('Y-m-d', strtotime("2031-04-29 +{$day} days")), range(0, 6)))
        ->and(array_unique(array_column($first, 'music')))->toHaveCount(7)
        ->and($first['2031-04-29'])->toMatchArray(['level' => 1, 'went' => null])->and($first['2031-04-29']['reasons'][0])->toStartWith('2 bars in ')
        ->and($first['2031-04-29']['playback']['sounds'])->not->toBe([])
        // Asked again, the same lines.
        ->and($lines())->toBe($first);
    $this->putJson('/api/home/sight', ['studentId' => $this->own->student->id, 'date' => '2031-04-29', 'went' => 'clean'], $this->family)->assertNoContent();
    $after = $lines();
    expect($after['2031-04-29'])->toBe([...$first['2031-04-29'], 'went' => 'clean'])->and($after['2031-04-30']['level'])->toBe(2)->and($after['2031-04-30']['reasons'][0])->toStartWith('4 bars in ');
    $this->putJson('/api/home/sight', ['studentId' => $this->own->student->id, 'date' => '2031-04-29', 'went' => 'fine'], $this->family)->assertJsonValidationErrors('went');
});

test('what went well on a day that has no line is kept nowhere', function (): void {
    $this->putJson('/api/home/sight', ['studentId' => $this->own->student->id, 'date' => '2031-04-29', 'went' => 'clean'], $this->family)->assertNoContent();
    expect(DB::table('sight_lines')->count())->toBe(0);
});

test('a page is asked about at the desk and, after it was looked over, at home', function (): void {
    $questions = $this->actingAs($this->own->teacher)->getJson("/api/pieces/{$this->own->piece->id}/questions?seed=3")->assertOk()->json();
    expect($questions)->toHaveCount(5)->and(array_keys($questions[0]))->toBe(['ask', 'answer', 'bars'])
        ->and($this->getJson("/api/pieces/{$this->own->piece->id}/questions?seed=4")->json())->not->toBe($questions);
    $this->getJson("/api/pieces/{$this->own->piece->id}/questions?seed=-9999999999")->assertOk();
    app('auth')->forgetGuards();
    $stage = $this->own->learning->stages()->where('kind', 'look over')->firstOrFail();
    $task = $this->own->task('Tap and count');
    expect($this->getJson("/api/home/tasks/{$task->id}", $this->family)->assertOk()->json('questions'))->toBe([]);
    $task->update(['stage_id' => $stage->id]);
    expect($this->getJson("/api/home/tasks/{$task->id}", $this->family)->assertOk()->json('questions'))->toHaveCount(5);
});

test('a slip at the lesson has the last word of its day, and 28 days without an answer make a note shaky', function (): void {
    ($this->answer)(answers_to('name treble:C4', 10))->assertNoContent();
    $known = fn (): array => ($this->deck)('name')['sessions'][0]['known'];
    expect($known())->toContain('name treble:C4');
    $this->own->lesson->update(['held_on' => '2031-04-29']);
    $this->own->slip->update(['kind' => SlipKind::WrongNote, 'note_names' => 'treble:C4']);
    expect($known())->not->toContain('name treble:C4');
    $this->own->slip->delete();
    expect($known())->toContain('name treble:C4');
    $this->travelTo('2031-05-26 16:00:00');
    expect($known())->toContain('name treble:C4');
    $this->travelTo('2031-05-27 16:00:00');
    expect($known())->not->toContain('name treble:C4');
});

test('what is answered is known to the desk: a note that is sure by drills is not new on a page', function (): void {
    $status = fn (): string => array_column($this->actingAs($this->own->teacher)->getJson("/api/pieces/{$this->own->piece->id}/breakdown?student={$this->own->student->id}")->assertOk()->json('report.notes'), 'status', 'pitch')['C4'];
    expect($status())->toBe('new');
    app('auth')->forgetGuards();
    ($this->answer)(answers_to('find treble:C4', 10), ['kind' => 'find'])->assertNoContent();
    expect($status())->toBe('secure');
});

test('two children of a link have rooms of their own', function (): void {
    $otto = $this->own->student('Otto', 6);
    $this->own->link->siblings()->attach($otto);
    $room = fn (int $of): array => $this->getJson("/api/home/room?student={$of}", $this->family)->assertOk()->json();
    ($this->answer)(answers_to('name treble:G4', 2), ['studentId' => $otto->id])->assertNoContent();
    expect($room($otto->id))->toMatchArray(['student' => 'Otto', 'minutes' => 2])->and($room($this->own->student->id)['student'])->toBe('Ida')
        ->and(array_column(array_column($room($otto->id)['decks'], null, 'kind')['name']['sessions'][0]['before'], 'card'))->toBe(['name treble:G4'])
        ->and(array_column($room($this->own->student->id)['decks'], null, 'kind')['name']['sessions'][0]['before'])->toBe([]);
});

test('what is erased with a student takes answers, lines and sheets along', function (): void {
    ($this->answer)(answers_to('name treble:G4', 2))->assertNoContent();
    DB::table('sight_lines')->insert(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'on_date' => '2031-04-29', 'level' => 1, 'text' => 'R: @c4 w1', 'reasons' => 'one hand']);
    $this->actingAs($this->own->teacher)->deleteJson("/api/students/{$this->own->student->id}")->assertSuccessful();
    expect(DrillAnswer::query()->count())->toBe(0)->and(DB::table('sight_lines')->count())->toBe(0);
});

test('sentences of cards are in the words of the studio', function (): void {
    $ways = fn (): string => implode(' ', array_merge(...array_map(static fn (array $deck): array => array_merge(...array_map(static fn (array $card): array => [$card['ask'], $card['way'], ...array_column($card['options'], 'label')], $deck['cards'])), ($this->room)()['decks'])));
    $this->own->studio->update(['words' => 'us']);
    expect($ways())->toContain('measure')->not->toMatch('/\b(bars?(?! line)|crotchets?|minims?|quavers?)\b/i');
    $this->own->studio->update(['words' => 'uk']);
    app('auth')->forgetGuards();
    expect($ways())->toContain('crotchet')->not->toMatch('/\b(measures?|(quarter|half) notes?)\b/i');
});

test('a line of a day that has not come cannot have gone well', function (): void {
    foreach (['2031-04-29', '2031-05-03'] as $day) {
        DB::table('sight_lines')->insert(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'on_date' => $day, 'level' => 1, 'text' => 'R: @c4 w1', 'reasons' => 'one hand']);
        $this->putJson('/api/home/sight', ['studentId' => $this->own->student->id, 'date' => $day, 'went' => 'hard'], $this->family)->assertNoContent();
    }
    expect(DB::table('sight_lines')->orderBy('on_date')->pluck('went')->all())->toBe(['hard', null]);
});

test('the notes of a remedy are named before its bars are played: with them stands what is secure', function (): void {
    $task = $this->own->task('Tap and count');
    $task->update(['kind' => 'remedy', 'drill_notes' => 'treble:C4,treble:D4']);
    ($this->answer)(answers_to('name treble:A5', 10))->assertNoContent();
    $deck = array_column(($this->room)()['decks'], null, 'taskId')[$task->id];
    // An octave below it there is a C too; which of them it is is not asked here.
    ($this->answer)(answers_to('name bass:C3', 10))->assertNoContent();
    $asked = array_column(array_column(($this->room)()['decks'], null, 'taskId')[$task->id]['cards'], 'id');
    expect($asked)->toContain('name bass:C3')->and(array_filter($asked, static fn (string $card): bool => str_starts_with($card, 'octave')))->toBe([])
        ->and($deck)->toMatchArray(['kind' => 'name', 'page' => 'Blue Gate'])->and(array_column($deck['cards'], 'id'))->toEqualCanonicalizing(['name treble:C4', 'name treble:D4', 'name treble:A5'])
        ->and(array_column($this->getJson('/api/home/week', $this->family)->json('tasks'), 'inRoom', 'id')[$task->id])->toBeTrue();
});

test('before a page that is open or comes next its notes are found, as long as one is not secure', function (): void {
    $pages = fn (): array => array_column(array_filter(($this->room)()['decks'], static fn (array $deck): bool => $deck['page'] !== null && $deck['taskId'] === null), null, 'page');
    // The drill of the week has the open page already.
    expect($pages())->toBe([]);
    $this->own->task('Find and name')->delete();
    expect(array_keys($pages()))->toBe(['Blue Gate'])->and($pages()['Blue Gate']['kind'])->toBe('find')
        ->and(array_diff(array_column($pages()['Blue Gate']['cards'], 'note'), $this->own->piece->noteNames()))->toBe([]);
    $next = app(StorePiece::class)->fromShorthand(Page::query()->create(['studio_id' => $this->own->studio->id, 'book_id' => $this->own->book->id, 'number' => 4]), "title: Far Hill\nR: @c5 q1 2 h3\n", '');
    expect(array_keys($pages()))->toBe(['Blue Gate', 'Far Hill']);
    foreach ($next->noteNames() as $i => $note) {
        ($this->answer)(answers_to("find {$note}", 10, from: "2031-04-29T1{$i}:00:00Z"), ['kind' => 'find'])->assertNoContent();
    }
    expect(array_keys($pages()))->toBe(['Blue Gate']);
    // Where the teacher has chosen other kinds, none is offered.
    $this->own->student->update(['drill_kinds' => 'name,tap']);
    expect($pages())->toBe([]);
});

test('signs and words of a page say what they mean, at the desk and at home', function (): void {
    $this->own->piece->update(['music' => str_replace('</note>', '<notations><articulations><staccato/></articulations></notations></note>', (string) $this->own->piece->music)]);
    $words = [['sign' => 'staccato', 'text' => '', 'says' => 'short and light']];
    expect($this->actingAs($this->own->teacher)->getJson("/api/pieces/{$this->own->piece->id}/words")->assertOk()->json())->toBe($words)
        ->and($this->getJson('/api/home/tasks/'.$this->own->task('Tap and count')->id, $this->family)->assertOk()->json('words'))->toBe($words);
});
