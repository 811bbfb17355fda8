<?php

declare(strict_types=1);

use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Path\StageTempo;
use Nasturtium\Core\Practice\Concert;
use Nasturtium\Core\Practice\HeardTempo;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\OwnPace;
use Nasturtium\Core\Practice\TempoLadder;
use Nasturtium\Core\Reading\Drills;
use Nasturtium\Core\Reading\Inventory;
use Nasturtium\Core\Reading\KeyDrill;
use Nasturtium\Core\Reading\KnownNotes;
use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Reading\School;
use Nasturtium\Core\Score\Fraction;

/**
 * @param  list<int>  $percent  what tasks of two minutes took
 * @return list<array{int, Fraction}>
 */
function took(array $percent): array
{
    return array_map(static fn (int $of): array => [intdiv(120 * $of, 100), Fraction::of(4)], $percent);
}

test('a student’s pace is the median of what tasks took, from eight on', function (array $measured, ?int $pace): void {
    expect(OwnPace::of($measured))->toBe($pace);
})->with([
    'too few' => [fn (): array => took([150, 150, 150, 150, 150, 150, 150]), null],
    'half as long again' => [fn (): array => took([150, 150, 150, 150, 150, 150, 150, 150]), 150],
    'between the two in the middle' => [fn (): array => took([50, 100, 100, 100, 150, 200, 200, 300]), 125],
    'of the last twenty' => [fn (): array => took([...array_fill(0, 10, 300), ...array_fill(0, 20, 80)]), 80],
    'one that sat for an hour says little' => [fn (): array => took([100, 100, 100, 100, 100, 100, 100, 100, 3000]), 100],
    'at most three times' => [fn (): array => took(array_fill(0, 8, 900)), 300],
    'at least a half' => [fn (): array => took(array_fill(0, 8, 40)), 50],
    // 19 seconds: nobody finds a place so soon.
    'what was ticked at once is none' => [fn (): array => [...took(array_fill(0, 7, 100)), [19, Fraction::of(4)]], null],
    'twenty seconds are' => [fn (): array => [...took(array_fill(0, 7, 100)), [20, Fraction::of(4)]], 100],
]);

test('a stage goes on at the tempo that the lessons so far lead to', function (StageKind $kind, ?TempoLadder $ladder, array $heard, int $next): void {
    $of = array_map(static fn (array $one): HeardTempo => new HeardTempo(...$one), $heard);
    expect(StageTempo::next($kind, 60, $ladder, $of))->toBe($next);
})->with(function (): iterable {
    $ladder = new TempoLadder(56, 80);
    [$again, $pass] = [LessonVerdict::Again, LessonVerdict::Pass];
    yield 'its own, where nothing is said' => [StageKind::RightHand, null, [], 60];
    yield 'the start of the teacher’s ladder' => [StageKind::RightHand, $ladder, [], 56];
    yield 'the last stage is at the goal' => [StageKind::Finish, $ladder, [], 60];
    yield 'once failed, the same again' => [StageKind::RightHand, $ladder, [[$again, 60, null]], 60];
    yield 'twice failed, a rung down' => [StageKind::RightHand, $ladder, [[$again, 60, null], [$again, 60, null]], 58];
    yield 'failed at another tempo before' => [StageKind::RightHand, $ladder, [[$again, 63, null], [$again, 60, null]], 60];
    yield 'a pass between is no row' => [StageKind::RightHand, $ladder, [[$again, 60, null], [$pass, 60, null], [$again, 60, null]], 60];
    yield 'what was reached stays' => [StageKind::WholeSlow, $ladder, [[$again, 60, 66]], 66];
    yield 'on the ladder a rung above' => [StageKind::TempoLadder, $ladder, [[$again, 60, 66]], 69];
    yield 'never above the goal' => [StageKind::TempoLadder, $ladder, [[$again, 76, 80]], 80];
    yield 'a task without a tempo says nothing' => [StageKind::RightHand, $ladder, [[$again, null, null]], 56];
});

test('a page is signed off when all has passed, and rests while it is stopped', function (): void {
    expect(LearningState::Current->settled(true))->toBe(LearningState::Finished)
        ->and(LearningState::Finished->settled(false))->toBe(LearningState::Current)
        ->and([LearningState::Resting->settled(true), LearningState::Resting->settled(false)])->toBe([LearningState::Resting, LearningState::Resting])
        ->and(LearningState::Current->heard(null, LessonVerdict::Stop))->toBe(LearningState::Resting)
        ->and(LearningState::Resting->heard(LessonVerdict::Stop, LessonVerdict::Again))->toBe(LearningState::Current)
        // What rested before another mark rests on.
        ->and(LearningState::Resting->heard(null, LessonVerdict::Pass))->toBe(LearningState::Resting)
        ->and(LessonVerdict::misses())->toBe(['again']);
});

test('the drill of a week names what is new, else what is shaky', function (array $known, ?string $words, string $why): void {
    $notes = Inventory::of(tune("R: @c4 q1 2 3 4 | h5 1\n"), School::Landmark, new Landmarks(1), KnownNotes::with($known));
    $drill = KeyDrill::of(Drills::before($notes));
    expect($drill?->words())->toBe($words)->and($drill === null || str_starts_with($drill->why(), $why))->toBeTrue();
})->with([
    'all new: four at once' => [[], 'Find C4, D4, E4 and F4 on the piano and say each name, five times.', 'new on this page; C4 is '],
    'one new' => [
        ['C4' => NoteStatus::Secure, 'D4' => NoteStatus::Shaky, 'E4' => NoteStatus::Secure, 'F4' => NoteStatus::Secure],
        'Find G4 on the piano and say its name, five times.', 'new on this page; G4 is ',
    ],
    'shaky, when nothing is new' => [
        ['C4' => NoteStatus::Secure, 'D4' => NoteStatus::Shaky, 'E4' => NoteStatus::Shaky, 'F4' => NoteStatus::Secure, 'G4' => NoteStatus::Secure],
        'Find D4 and E4 on the piano and say each name, five times.', 'shaky, and on this page; D4 is ',
    ],
    'nothing to drill' => [['C4' => NoteStatus::Secure, 'D4' => NoteStatus::Secure, 'E4' => NoteStatus::Secure, 'F4' => NoteStatus::Secure, 'G4' => NoteStatus::Secure], null, ''],
]);

test('a drill takes two minutes under eight, three above', function (): void {
    expect([KeyDrill::halfMinutes(7), KeyDrill::halfMinutes(8)])->toBe([4, 6]);
});

test('the run of a concert names its pieces, or says all where they are too many', function (): void {
    expect(Concert::runWords(['Blue Gate', 'Snail']))->toBe('Walk in, bow, play Blue Gate and Snail, bow. Keep going, whatever happens.')
        // 240 letters are kept of what a task says.
        ->and(mb_strlen(Concert::runWords([str_repeat('a', 185)])))->toBe(240)
        ->and(Concert::runWords([str_repeat('a', 186)]))->toBe('Walk in, bow, play all your pieces in their order, bow. Keep going, whatever happens.')
        // Two pieces of two minutes, and one to walk in and bow.
        ->and(Concert::runTime([4, 4]))->toBe(10);
});
