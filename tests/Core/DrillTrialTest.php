<?php

declare(strict_types=1);

use Nasturtium\Core\Drill\Trial\BoxChoosing;
use Nasturtium\Core\Drill\Trial\Choosing;
use Nasturtium\Core\Drill\Trial\Learner;
use Nasturtium\Core\Drill\Trial\Note;
use Nasturtium\Core\Drill\Trial\OurChoosing;
use Nasturtium\Core\Drill\Trial\RandomChoosing;
use Nasturtium\Core\Drill\Trial\Trial;
use Nasturtium\Core\Drill\Trial\TrialFigures;
use Nasturtium\Core\Practice\Answer;

/*
 * The learners that choosing is measured on, and the ways it is measured against (trade 15.3).
 */

const A_DAY = 86_400;

/** @return list<Learner> */
function learners(int $count): array
{
    return array_map(static fn (int $seed): Learner => new Learner($seed), range(1, $count));
}

/** @return list<string> what is asked, each answered right at once */
function drawn(Choosing $choosing, int $count, bool $right = true): array
{
    $cards = [];
    while (count($cards) < $count && ($card = $choosing->next(false)) !== null) {
        $choosing->take($cards[] = $card, new Answer($right, 1_000));
    }

    return $cards;
}

test('a note that was never asked is known by 0.35, a step from a landmark by 0.6', function (): void {
    $learner = new Learner(1);
    // G4, F3 and C4 are landmarks; A4 lies a step from one, E4 two.
    expect($learner->chanceOf(Note::named('treble:E4'), 0))->toBe(0.35)->and($learner->chanceOf(Note::named('treble:A4'), 0))->toBe(0.6)
        ->and($learner->chanceOf(Note::named('bass:E3'), 0))->toBe(0.6)->and($learner->chanceOf(Note::named('treble:G4'), 0))->toBe(0.35);
});

test('one half to the power of time by half-life: a right answer lengthens it by 2.2, a wrong one halves it', function (): void {
    $note = Note::named('treble:E4');
    foreach (range(1, 40) as $seed) {
        $learner = new Learner($seed);
        $right = $learner->answer($note, 0)->right;
        // Both are told by the same learner, whose memory keeps 0.7 to 1.4 of it.
        $after = log(0.5) / log($learner->chanceOf($note, A_DAY));
        $of = $right ? 2.2 : 0.5;
        expect($after)->toBeGreaterThanOrEqual(0.699 * $of)->toBeLessThanOrEqual(1.401 * $of)
            ->and($learner->chanceOf($note, 0))->toBe(1.0);
        $again = $learner->answer($note, 0)->right;
        expect(log(0.5) / log($learner->chanceOf($note, A_DAY)) / $after)->toEqualWithDelta($again ? 2.2 : 0.5, 1e-9);
    }
});

test('a half-life is never under ten minutes', function (): void {
    $note = Note::named('treble:E4');
    $learner = new Learner(3);
    for ($i = 0; $i < 200; $i++) {
        // So long after that it is forgotten each time: mostly wrong.
        $learner->answer($note, $i * 400 * A_DAY);
    }
    expect($learner->chanceOf($note, 199 * 400 * A_DAY + 420))->toBeGreaterThanOrEqual(0.5 - 1e-9);
});

test('who does not know guesses right one time in seven', function (): void {
    $right = 0;
    foreach (learners(4_000) as $learner) {
        $right += $learner->answer(Note::named('treble:E4'), 0)->right ? 1 : 0;
    }
    // 0.35 and a seventh of the rest.
    expect($right / 4_000)->toEqualWithDelta(0.35 + 0.65 / 7, 0.025);
});

test('answers take two seconds in the middle when it is known for sure, and more the less it is', function (): void {
    $note = Note::named('treble:E4');
    [$first, $sure] = [[], []];
    foreach (learners(2_001) as $learner) {
        $first[] = $learner->answer($note, 0)->milliseconds;
        $sure[] = $learner->answer($note, 0)->milliseconds;
    }
    sort($first);
    sort($sure);
    // Each learner's own pace lies between 0.6 and 1.6, 1.1 in the middle; at 0.35 it is 2 s times 3 to the power of 1.3.
    expect($sure[1_000])->toEqualWithDelta(2_200, 160)->and($first[1_000])->toEqualWithDelta(2_200 * 3 ** 1.3, 700);
});

test('the twenty notes are ten on each staff, the landmarks first', function (): void {
    $names = array_map(static fn (Note $note): string => $note->name, Note::twenty());
    expect($names)->toHaveCount(20)->and(array_unique($names))->toHaveCount(20)->and(array_slice($names, 0, 4))->toBe(['treble:G4', 'bass:F3', 'treble:C4', 'bass:C4'])
        ->and(count(preg_grep('/^treble/', $names) ?: []))->toBe(10);
});

test('chance never asks the same twice in a row, and asks all', function (): void {
    $cards = drawn(new RandomChoosing(['a', 'b', 'c', 'd'], 7), 400);
    foreach (array_slice($cards, 1) as $i => $card) {
        expect($card)->not->toBe($cards[$i]);
    }
    foreach (array_count_values($cards) as $times) {
        expect($times)->toBeGreaterThan(70)->toBeLessThan(130);
    }
});

test('boxes ask the lowest first; what was right rests for more sessions each time, what was wrong begins anew', function (): void {
    $boxes = new BoxChoosing(['a', 'b']);
    $boxes->begin(0, 120);
    expect(drawn($boxes, 2))->toBe(['a', 'b']);
    // Both are in the second box, which is due in every second session: the lowest goes on for want of another.
    $boxes->take('a', new Answer(false, 1_000));
    expect($boxes->next(false))->toBe('b');
    $boxes->take('b', new Answer(true, 1_000));
    expect($boxes->next(false))->toBe('a')->and($boxes->next(true))->toBeNull();
});

test('what came to of trials: those who are not there are counted with the most there is', function (): void {
    $notes = Note::twenty();
    $cards = array_map(static fn (Note $note): string => $note->name, $notes);
    // Nobody becomes secure of notes that are never asked.
    $idle = new class implements Choosing {
        public function begin(int $now, int $seconds): void {}

        public function next(bool $isOver): ?string
        {
            return $isOver ? null : 'treble:G4';
        }

        public function take(string $card, Answer $answer): void {}
    };
    $never = Trial::run(new Learner(1), $notes, $idle);
    $ours = Trial::run(new Learner(1), $notes, new OurChoosing($cards, 1));
    expect($never->isThere)->toBeFalse()->and($never->answers)->toBe(Trial::MOST)->and($ours->isThere)->toBeTrue()->and($ours->answers)->toBeGreaterThanOrEqual(200);
    $figures = new TrialFigures();
    $figures->add($never);
    $figures->add($ours);
    expect($figures->there)->toBe(1)->and($figures->mean())->toBe((Trial::MOST + $ours->answers) / 2)->and($figures->median())->toBe(Trial::MOST);
});

test('the same learner gives the same trial', function (): void {
    $cards = array_map(static fn (Note $note): string => $note->name, Note::twenty());
    $run = static fn (): Trial => Trial::run(new Learner(12), Note::twenty(), new OurChoosing($cards, 12));
    expect($run())->toEqual($run());
});
