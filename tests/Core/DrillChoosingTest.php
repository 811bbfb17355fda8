<?php

declare(strict_types=1);

use Nasturtium\Core\Drill\ChooseCards;
use Nasturtium\Core\Drill\Deck;
use Nasturtium\Core\Drill\Memory;
use Nasturtium\Core\Drill\Session;
use Nasturtium\Core\Drill\SessionRun;
use Nasturtium\Core\Drill\Trial\BoxChoosing;
use Nasturtium\Core\Drill\Trial\Learner;
use Nasturtium\Core\Drill\Trial\Note;
use Nasturtium\Core\Drill\Trial\OurChoosing;
use Nasturtium\Core\Drill\Trial\RandomChoosing;
use Nasturtium\Core\Drill\Trial\Trial;
use Nasturtium\Core\Drill\Trial\TrialFigures;
use Nasturtium\Core\Practice\Answer;
use Nasturtium\Core\Practice\Enough;
use Nasturtium\Core\Reading\NoteStatus;
use Tests\PracticeRoom;

/*
 * Which cards a session has, and which comes next (trade 15.2).
 */

/**
 * Runs a session in which every answer is right after a second, except where it is said otherwise.
 *
 * @param  array<int, bool>  $wrong  by the number of the question, from 1
 * @return list<string>
 */
function asked(Session $session, int $questions, array $wrong = []): array
{
    $run = new SessionRun($session);
    $asked = [];
    for ($i = 1; $i <= $questions; $i++) {
        $card = $run->next();
        if ($card === null) {
            break;
        }
        $asked[] = $card;
        $run->answer($card, new Answer(! isset($wrong[$i]), 1_000));
    }

    return $asked;
}

/** @return list<Answer> */
function answers(int $count, bool $right = true, int $milliseconds = 1_000, int $at = 0): array
{
    return array_fill(0, $count, new Answer($right, $milliseconds, $at));
}

test('the very first session has two notes, and others wait until both are ready', function (): void {
    $session = (new ChooseCards())(new Deck(['treble:G4', 'bass:F3', 'treble:C4'], [], []), 0, 1, 120);
    expect($session->learning)->toBe(['treble:G4', 'bass:F3'])->and($session->joining)->toBe(['treble:C4'])
        // Five right answers on each of the two, and the third joins.
        ->and(asked($session, 11))->toBe([...array_merge(...array_fill(0, 5, ['treble:G4', 'bass:F3'])), 'treble:C4']);
});

test('the very first session has the landmarks, also where pages have brought other notes', function (): void {
    $brought = ['treble:D4' => NoteStatus::Shaky, 'treble:E4' => NoteStatus::Shaky];
    $cards = ['treble:G4', 'bass:F3', 'treble:C4', 'treble:D4', 'treble:E4'];
    $first = static fn (array $status, array $answers): array => (new ChooseCards())(new Deck($cards, $status, $answers), 0, 1, 120)->learning;
    expect($first($brought, []))->toBe(['treble:G4', 'bass:F3'])
        // Whoever has answered, or is sure of a note by naming a page, goes on with what is met.
        ->and($first($brought, ['treble:G4' => answers(1)]))->toHaveCount(3)
        ->and($first([...$brought, 'treble:C4' => NoteStatus::Secure], []))->toBe(['treble:D4', 'treble:E4', 'treble:G4']);
});

test('a session begins with three notes at most that are not secure, those most forgotten first, and new ones after what was met', function (): void {
    $day = 86_400;
    $status = ['a' => NoteStatus::Shaky, 'b' => NoteStatus::Shaky, 'c' => NoteStatus::Secure, 'd' => NoteStatus::Shaky];
    $answers = ['a' => answers(2, at: 3 * $day), 'b' => answers(2, at: 1 * $day), 'c' => answers(10), 'd' => answers(2, at: 2 * $day)];
    $session = (new ChooseCards())(new Deck(['a', 'b', 'c', 'd', 'e', 'f'], $status, $answers), 4 * $day, 1, 120);
    expect($session->learning)->toBe(['b', 'd', 'a'])->and($session->joining)->toBe(['e', 'f'])->and($session->known)->toBe(['c']);
});

test('who is right but slow waits for nobody: what is new comes before more of the same', function (): void {
    $slow = ['a' => answers(10, milliseconds: 5_000), 'b' => answers(10, milliseconds: 5_000), 'c' => answers(10, milliseconds: 5_000)];
    $session = (new ChooseCards())(new Deck(['a', 'b', 'c', 'd'], array_map(static fn () => NoteStatus::Shaky, $slow), $slow), 10, 1, 120);
    expect($session->learning[0])->toBe('d')->and($session->learning)->toHaveCount(3);
});

test('what was missed comes back after two other cards, then five, then twelve', function (): void {
    $session = new Session(120, ['a', 'b', 'c'], [], array_map(static fn (int $i): string => "k{$i}", range(1, 9)), 6, []);
    $asked = asked($session, 24, [1 => true]);
    expect($asked[0])->toBe('a')->and($asked[3])->toBe('a')->and(array_slice($asked, 4, 5))->not->toContain('a')->and($asked[9])->toBe('a');
    $after = array_search('a', array_slice($asked, 10), true);
    expect($after)->toBeLessThanOrEqual(12);
    // Missed again when it comes back, it begins anew.
    $again = asked($session, 12, [1 => true, 4 => true]);
    expect($again[3])->toBe('a')->and($again[6])->toBe('a');
});

test('a new card joins at five right answers in time on each, not at four, nor when one was slow', function (): void {
    $one = static fn (array $before): string => asked(new Session(120, ['a', 'b'], ['new'], [], 0, ['a' => answers(5), 'b' => $before]), 2)[1];
    expect($one(answers(5)))->toBe('new')->and($one(answers(4)))->toBe('b')
        ->and($one([...answers(4), new Answer(true, 3_000)]))->toBe('new')->and($one([...answers(4), new Answer(true, 3_001)]))->toBe('b');
});

test('the last three cards are known ones, never two equal cards follow each other, and then it is over', function (): void {
    $run = new SessionRun(new Session(120, ['a', 'b'], [], ['k'], 0, []));
    $run->answer('a', new Answer(true, 900));
    $end = [];
    while (($card = $run->next(true)) !== null) {
        $end[] = $card;
        $run->answer($card, new Answer(true, 900));
    }
    expect($end)->toBe(['k', 'a', 'k']);
    foreach (range(1, 60) as $seed) {
        $run = new SessionRun(new Session(120, ['a', 'b', 'c'], ['d', 'e'], ['k', 'l'], $seed % 7, [], $seed % 2 === 0 ? ['a' => 'c', 'c' => 'a'] : []));
        $last = null;
        for ($i = 0; $i < 80 && ($card = $run->next($i > 70)) !== null; $i++) {
            expect($card)->not->toBe($last);
            $run->answer($last = $card, new Answer(($i * $seed) % 5 !== 0, 1_500));
        }
    }
});

test('a pair that is confused is asked one after the other', function (): void {
    $day = 86_400;
    $status = array_fill_keys(['a', 'b', 'c', 'd'], NoteStatus::Shaky);
    $session = (new ChooseCards())(new Deck(['a', 'b', 'c', 'd'], $status, array_map(static fn () => answers(1), $status), [['a', 'd']]), $day, 3, 120);
    expect($session->pairs)->toBe(['a' => 'd', 'd' => 'a']);
    $order = [...$session->learning, ...$session->joining];
    expect(abs((int) array_search('a', $order, true) - (int) array_search('d', $order, true)))->toBe(1);
});

test('from ten secure cards on hardly any is asked while all is right, and most are when it is hard', function (int $right, int $share): void {
    $cards = array_map(static fn (int $i): string => "c{$i}", range(1, 11));
    $status = array_fill_keys(array_slice($cards, 0, 10), NoteStatus::Secure);
    $late = [...answers(20 - $right, false), ...answers($right)];
    expect((new ChooseCards())(new Deck($cards, $status, ['c1' => $late]), 10, 1, 120)->share)->toBe($share)
        // One fewer, and the share is the usual one.
        ->and((new ChooseCards())(new Deck($cards, array_slice($status, 1), ['c1' => $late]), 10, 1, 120)->share)->toBe(1);
})->with(['90 %' => [18, 1], '85 %' => [17, 2], '80 %' => [16, 4], '75 %' => [15, 6]]);

test('the same seed gives the same session, another may give another', function (): void {
    $cards = array_map(static fn (int $i): string => "c{$i}", range(1, 12));
    $deck = new Deck($cards, array_fill_keys($cards, NoteStatus::Secure), []);
    $known = static fn (int $seed): array => (new ChooseCards())($deck, 10, $seed, 120)->known;
    expect($known(5))->toBe($known(5))->and($known(5))->not->toBe($known(6));
});

test('memory: a right answer after a rest lengthens it much, one of the same sitting little, a wrong one halves it', function (): void {
    $memory = Memory::of([]);
    expect($memory->halfLife([]))->toBe(1_440)
        ->and($memory->halfLife([new Answer(true, 900, 0)]))->toBe(3_168)
        ->and($memory->halfLife([new Answer(true, 900, 0), new Answer(true, 900, 599)]))->toBe(3_484)
        ->and($memory->halfLife([new Answer(true, 900, 0), new Answer(true, 900, 600)]))->toBe(6_969)
        ->and($memory->halfLife([new Answer(false, 900, 0)]))->toBe(720)
        ->and($memory->halfLife(answers(20, false)))->toBe(10)
        // A day after one right answer, 1,440 of 3,168 minutes are over.
        ->and($memory->forgotten([new Answer(true, 900, 0)], 86_400))->toBe(454);
});

test('a student who forgets sooner than others gets shorter times, from ten answers after a rest on', function (): void {
    $rested = static fn (int $right): array => array_map(static fn (int $i): array => [new Answer(true, 900, 0), new Answer($i < $right, 900, 43_200)], range(0, 9));
    $fresh = [new Answer(true, 900, 0)];
    expect(Memory::of($rested(9))->halfLife($fresh))->toBe(4_118)->and(Memory::of($rested(8))->halfLife($fresh))->toBe(3_168)
        ->and(Memory::of($rested(7))->halfLife($fresh))->toBe(2_534)->and(Memory::of($rested(6))->halfLife($fresh))->toBe(1_900)
        ->and(Memory::of(array_slice($rested(1), 0, 9))->halfLife($fresh))->toBe(3_168);
});

test('secure is ten answers, nine of them right, with an upper median of three seconds', function (): void {
    $enough = new Enough();
    expect($enough->isSecure(answers(9)))->toBeFalse()->and($enough->isSecure(answers(10)))->toBeTrue()
        ->and($enough->isSecure([...answers(1, false), ...answers(9)]))->toBeTrue()->and($enough->isSecure([...answers(2, false), ...answers(8)]))->toBeFalse()
        ->and($enough->isSecure([...answers(5, milliseconds: 3_001), ...answers(5)]))->toBeFalse()->and($enough->isSecure([...answers(4, milliseconds: 3_001), ...answers(6, milliseconds: 3_000)]))->toBeTrue();
});

test('what the browser is held to is what the core does', function (): void {
    expect(json_decode((string) file_get_contents(PracticeRoom::file()), true))->toEqual(json_decode((string) json_encode(PracticeRoom::all()), true));
});

test('on the fixed learners it takes far fewer answers than chance or boxes do', function (): void {
    $notes = Note::twenty();
    $cards = array_map(static fn (Note $note): string => $note->name, $notes);
    [$ours, $random, $boxes] = [new TrialFigures(), new TrialFigures(), new TrialFigures()];
    foreach (range(2_001, 2_020) as $seed) {
        $ours->add(Trial::run(new Learner($seed), $notes, new OurChoosing($cards, $seed)));
        $random->add(Trial::run(new Learner($seed), $notes, new RandomChoosing($cards, $seed)));
        $boxes->add(Trial::run(new Learner($seed), $notes, new BoxChoosing($cards)));
    }
    expect(count($notes))->toBe(20)->and($ours->there)->toBe(20)
        ->and($ours->mean())->toBeLessThan(0.7 * $random->mean())->and($ours->mean())->toBeLessThan(0.9 * $boxes->mean());
});
