<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Performance\Hearing\Hear;
use Nasturtium\Core\Performance\Hearing\TakenNote;
use Nasturtium\Core\Performance\Hearing\WrittenMusic;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\PageChecks;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Sight\MakeLine;
use Nasturtium\Core\Sight\SightHands;
use Nasturtium\Core\Sight\SightLevel;
use Nasturtium\Core\Sight\SightMaterial;
use Nasturtium\Core\Sight\SightPosition;
use Nasturtium\Core\Sight\SightWent;

/*
 * Lines at sight: held to what they promise over many of them (trade 16.1).
 */

/** @param list<string> $names @return list<string> */
function on_staff(string $clef, array $names): array
{
    return array_map(static fn (string $name): string => "{$clef}:{$name}", $names);
}

/** @return list<string> two octaves around middle C, and the lower G position */
function wide_range(): array
{
    return [...on_staff('treble', ['A3', 'B3', 'C4', 'D4', 'E4', 'F4', 'G4', 'A4', 'Bb4', 'B4', 'C5', 'D5']), ...on_staff('bass', ['G2', 'A2', 'B2', 'C3', 'D3', 'E3', 'F3', 'G3', 'A3', 'Bb3', 'C4'])];
}

function page(string $text): Piece
{
    return ShorthandReader::read($text)->piece ?? throw new LogicException($text);
}

/** @return list<Piece> pages with eighths, skips, a fifth, three meters, hands in turns and together */
function wide_pages(): array
{
    return [page("R: @c4 q1 2 v3 4 q5 | h5 3 | q.1 v2 h3 | q1 5 h1 | w1\nL: / | / | / | / | @5=c3 w5"), page("time: 3/4\nR: @c4 q1 v2 3 q4 | h.5"), page("time: 2/4\nR: @c4 q1 3 | v1 2 q3 | h1")];
}

/** @return list<Event> that sound, in a hand */
function struck_in(Piece $piece, Hand $hand): array
{
    return array_values(array_filter($piece->hand($hand), static fn (Event $event): bool => ! $event->isRest()));
}

/** @return ?SightPosition in which a hand can play all of its notes */
function position_of(Piece $piece, Hand $hand): ?SightPosition
{
    foreach (SightPosition::all() as $position) {
        $keys = array_map(static fn (int $degree): string => $position->pitch($degree)->name(), range(0, 4));
        $notes = array_map(static fn (Event $event): string => $event->lowest()->name(), struck_in($piece, $hand));
        if ($position->hand === $hand && $position->key->equals($piece->key()) && array_diff($notes, $keys) === []) {
            return $position;
        }
    }

    return null;
}

test('ten thousand lines have only notes, rhythms and moves that were met, add up, and begin and end as they should', function (): void {
    $secure = wide_range();
    $material = SightMaterial::of(wide_pages(), $secure);
    $make = new MakeLine($material);
    $rhythms = array_map(static fn (array $bars): array => array_map(static fn (array $bar): string => implode(' ', array_map(static fn (Duration $one): string => (string) $one->whole, $bar)), $bars), $material->rhythms);
    $seen = [];
    for ($seed = 1; $seed <= 10_000; $seed++) {
        $level = SightLevel::from($seed % 10 + 1);
        $line = $make($level, $seed);
        assert($line !== null);
        $piece = $line->piece();
        $of = "line {$seed}: {$line->text}";
        $wrong = PageChecks::of($piece) !== [] || count($piece->measures) !== $level->bars();
        $tune = [];
        foreach (Hand::cases() as $hand) {
            $notes = struck_in($piece, $hand);
            $position = $notes === [] ? null : position_of($piece, $hand);
            $wrong = $wrong || ($notes !== [] && $position === null);
            $before = null;
            foreach ($notes as $event) {
                $wrong = $wrong || ! in_array("{$event->clef->value}:{$event->lowest()->name()}", $secure, true) || ($before !== null && abs($event->lowest()->diatonic() - $before) > min(4, $level->farthest()));
                $before = $event->lowest()->diatonic();
                // What is held under a tune is longer than a bar's other notes, and is no tune.
                $tune[$event->measure][] = [$event->lowest(), $position, count($notes)];
            }
        }
        foreach ($piece->measures as $measure) {
            $bars = [];
            foreach (Hand::cases() as $hand) {
                $bars[] = implode(' ', array_map(static fn (Event $event): string => (string) $event->duration->whole, array_filter($measure->of($hand), static fn (Event $event): bool => ! $event->isRest())));
            }
            $wrong = $wrong || array_diff(array_filter($bars), [...$rhythms[(string) $measure->meter], (string) $measure->meter->measure()]) !== [];
        }
        [$first, $position] = $tune[0][0];
        $last = $tune[count($tune) - 1];
        [$end, $at] = $last[count($last) - 1];
        $wrong = $wrong || ! in_array($first->diatonic() - $position->lowest->diatonic(), [0, 4], true) || ($level->hands() !== SightHands::Together && $end->diatonic() !== $at->lowest->diatonic());
        if ($wrong) {
            expect($of)->toBe('right');
        }
        $seen[$line->mark()] = true;
    }
    expect(count($seen))->toBeGreaterThan(7_000);
});

test('question and answer share their rhythm', function (): void {
    $make = new MakeLine(SightMaterial::of(wide_pages(), wide_range()));
    foreach (range(1, 100) as $seed) {
        $line = $make(SightLevel::Four, $seed)?->piece() ?? throw new LogicException();
        $rhythm = static fn (int $bar): array => array_map(static fn (Event $event): string => "{$event->onset} {$event->duration->whole}", array_filter($line->measures[$bar]->events(), static fn (Event $event): bool => ! $event->isRest()));
        expect(array_values($rhythm(0)))->toBe(array_values($rhythm(2)))->and(array_values($rhythm(1)))->toBe(array_values($rhythm(3)));
    }
});

test('what was never met is not asked: leaps, eighths, hands and meters wait for their pages', function (): void {
    $plain = SightMaterial::of([page('R: @c4 q1 2 3 2 | h1 1')], on_staff('treble', ['C4', 'D4', 'E4', 'F4', 'G4']));
    $make = new MakeLine($plain);
    foreach (range(1, 60) as $seed) {
        $line = $make(SightLevel::Ten, $seed) ?? throw new LogicException();
        expect($line->reasons)->toBe(['8 bars in 4/4', 'steps and repeats', 'no short notes', 'one hand'])->and(struck_in($line->piece(), Hand::Left))->toBe([]);
    }
});

test('at most one note of a line is shaky, and without three notes of a position there is no line', function (): void {
    $three = on_staff('treble', ['C4', 'D4']);
    expect((new MakeLine(SightMaterial::of([], $three)))(SightLevel::One, 1))->toBeNull()
        ->and((new MakeLine(SightMaterial::of([], $three, 'treble:E4')))(SightLevel::One, 1))->not->toBeNull();
});

test('minor ends on la', function (): void {
    $make = new MakeLine(SightMaterial::of([], on_staff('treble', ['A3', 'B3', 'C4'])));
    foreach (range(1, 40) as $seed) {
        $piece = $make(SightLevel::Two, $seed)?->piece() ?? throw new LogicException();
        $notes = struck_in($piece, Hand::Right);
        expect($piece->key()->minor)->toBeTrue()->and($notes[count($notes) - 1]->lowest()->name())->toBe('A3');
    }
});

test('no line comes again while there is another, then the one that rested longest', function (): void {
    $make = new MakeLine(SightMaterial::of(wide_pages(), wide_range()));
    $used = [];
    foreach (range(1, 365) as $day) {
        $line = $make(SightLevel::Four, $day, $used) ?? throw new LogicException();
        expect($used)->not->toHaveKey($line->mark());
        $used[$line->mark()] = $day;
    }
    // Three notes and two bars make few lines: one comes again, and not one of the last days.
    $few = new MakeLine(SightMaterial::of([], on_staff('treble', ['C4', 'D4', 'E4'])));
    $used = [];
    $least = PHP_INT_MAX;
    foreach (range(1, 365) as $day) {
        $line = $few(SightLevel::One, $day, $used) ?? throw new LogicException();
        $least = min($least, $day - ($used[$line->mark()] ?? PHP_INT_MIN));
        $used[$line->mark()] = $day;
    }
    expect($least)->toBeGreaterThan(10);
});

test('how it went moves the level, from 1 to 10', function (): void {
    expect(SightLevel::Four->after(SightWent::Clean))->toBe(SightLevel::Five)->and(SightLevel::Four->after(SightWent::Nearly))->toBe(SightLevel::Four)
        ->and(SightLevel::Four->after(SightWent::Hard))->toBe(SightLevel::Three)
        ->and(SightLevel::One->after(SightWent::Hard))->toBe(SightLevel::One)->and(SightLevel::Ten->after(SightWent::Clean))->toBe(SightLevel::Ten);
});

test('the same seed makes the same line', function (): void {
    $make = new MakeLine(SightMaterial::of(wide_pages(), wide_range()));
    expect($make(SightLevel::Six, 9)?->text)->toBe($make(SightLevel::Six, 9)?->text)->and($make(SightLevel::Six, 9)?->text)->not->toBe($make(SightLevel::Six, 10)?->text);
});

test('how a line went is read from what was heard: clean, nearly up to 15 keys of a hundred, else hard (16.3)', function (array $change, SightWent $went): void {
    $music = WrittenMusic::of(ShorthandReader::read("R: @c4 q1 2 3 4 | 5 4 3 2 | 1 2 3 4 | w1\n")->piece);
    $taken = [];
    foreach ($music->notes as $i => $note) {
        $at = intdiv($note->tick * 600, WrittenMusic::QUARTER);
        $taken[] = new TakenNote($at, $at + intdiv($note->lasts * 550, WrittenMusic::QUARTER), $note->pitch + ($change[$i] ?? 0));
    }
    expect(SightWent::heard(Hear::take($music, $taken)))->toBe($went);
})->with([
    [[], SightWent::Clean], [[2 => 1], SightWent::Nearly],
    // One of 13 is 7.7 %, two are 15.4 %.
    [[2 => 1, 6 => -2], SightWent::Hard],
]);
