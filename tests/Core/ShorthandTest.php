<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Navigation;
use Nasturtium\Core\Score\Note;

/** One hand as `pitches:beats`, bars divided by |. */
function played(string $shorthand, Hand $hand = Hand::Right): string
{
    $piece = tune($shorthand);
    $bars = [];
    foreach ($piece->measures as $measure) {
        $bars[] = implode(' ', array_map(
            fn ($event): string => (implode('+', array_map(fn (Note $note): string => $note->pitch->name(), $event->notes)) ?: 'rest').':'.$event->duration->inBeatsOf($measure->meter),
            $measure->of($hand),
        ));
    }

    return implode(' | ', $bars);
}

test('fingers and letters mix, lengths stick, bars fill by themselves', function (): void {
    expect(played("R: @c4 q1 d 3f hge w1\n"))->toBe('C4:1 D4:1 E4:1 F4:1 | G4:2 E4:2 | C4:4');
});

test('a digit is a printed finger, a letter prints none', function (): void {
    $notes = array_map(fn ($event) => $event->notes[0]->finger, tune("R: @c4 q1 d 3 f^4\n")->hand(Hand::Right));
    expect($notes)->toBe([1, null, 3, 4]);
});

test('the left hand counts its fingers downwards, and a position can be given by any finger', function (): void {
    expect(played("R: /\nL: @g3 q1 2 3 5\n", Hand::Left))->toBe('G3:1 F3:1 E3:1 C3:1')
        ->and(played("R: /\nL: @5=c3 q5 4 3 1\n", Hand::Left))->toBe('C3:1 D3:1 E3:1 G3:1');
});

test('letters outside the hand take the nearest octave; marks go farther', function (): void {
    expect(played("R: @c4 q g a b c\n"))->toBe('G4:1 A4:1 B4:1 C4:1')
        ->and(played("R: q g a b c\n"))->toBe('G3:1 A3:1 B3:1 C4:1')
        ->and(played("R: @c4 q c c' c c,\n"))->toBe('C4:1 C5:1 C4:1 C3:1');
});

test('accidentals follow the key and hold to the bar line', function (): void {
    expect(played("key: G\nR: @d4 q f fn f a | f a a a\n"))->toBe('F#4:1 F4:1 F4:1 A4:1 | F#4:1 A4:1 A4:1 A4:1')
        ->and(played("R: @c4 q f+ f f- 4\n"))->toBe('F#4:1 F#4:1 Fb4:1 Fb4:1');
});

test('dots, rests, chords, ties and whole rests', function (): void {
    expect(played("time: 3/4\nR: @c4 q.1 v2 q r | (135)~ (135) r | /\n"))
        ->toBe('C4:3/2 D4:1/2 rest:1 | C4+E4+G4:1 C4+E4+G4:1 rest:1 | rest:3')
        ->and(played("R: @c4 h..1 x2 3\n"))->toBe('C4:7/2 D4:1/4 E4:1/4');
});

test('each pair of lines is a printed line, a hand left out rests', function (): void {
    $piece = tune("R: @c4 w1 | w2\nL: @5=c3 w5 | w1\nR: w3\nL: /\nR: w1\n");
    expect(array_map(fn ($line) => [$line->from, $line->to], $piece->lines()))->toBe([[0, 1], [2, 2], [3, 3]])
        ->and($piece->measures[3]->left[0]->isRest())->toBeTrue();
});

test('the other hand waits out a pickup', function (): void {
    $piece = tune("R: @c4 q5 | w1 | h.1\nL: | @5=c3 w5 | h.5\n");
    expect($piece->pickup())->not->toBeNull()->and((string) $piece->measures[0]->left[0]->duration->whole)->toBe('1/4');
});

test('headings set the page', function (): void {
    $piece = tune("title: Rain Barrel\ncomposer: O. Fenn\ntime: 3/4\nkey: E minor\ntempo: 66-92 Calmly\nclefs: treble treble\nR: @e4 h.1\nL: @b3 h.1\n");
    expect([$piece->title, $piece->composer, (string) $piece->meter(), $piece->key()->name(), $piece->tempoFrom, $piece->tempo, $piece->tempoWords, $piece->measures[0]->left[0]->clef->value])
        ->toBe(['Rain Barrel', 'O. Fenn', '3/4', 'E minor', 66, 92, 'Calmly', 'treble']);
});

test('an error points at its token and says what would be right', function (string $text, int $line, int $column, int $length, string $says): void {
    $errors = ShorthandReader::read($text)->errors;
    expect($errors)->toHaveCount(1)
        ->and([$errors[0]->line, $errors[0]->column, $errors[0]->length])->toBe([$line, $column, $length])
        ->and($errors[0]->text)->toContain($says);
})->with([
    ["R: q1 r\n", 1, 5, 1, 'say where the hand lies first, such as @c4'],
    ["R: @c4 q1 z 2\n", 1, 11, 1, 'means nothing here'],
    ["time: 4/5\nR: @c4 w1\n", 1, 7, 3, '4/5 is not a time signature'],
    ["tempa: 80\nR: @c4 w1\n", 1, 1, 5, "no heading 'tempa'"],
    ["key: H\nR: @c4 w1\n", 1, 6, 1, 'not a key'],
    ["tempo: 900 wild\nR: @c4 w1\n", 1, 8, 8, 'not on the metronome'],
    ["clefs: drums bass\nR: @c4 w1\n", 1, 8, 10, 'treble bass'],
    ["R: @c4 w1\nsome words\n", 2, 1, 10, 'begins with R or L'],
    ["R: @c4 w1~ | 2\n", 1, 14, 1, 'A tie ~ holds the same note'],
    ["R: @c4 q1 / \n", 1, 11, 1, 'this bar has begun'],
    ["R: @c4 (1x) w1\n", 1, 8, 4, 'A chord holds fingers or letters'],
    ["R: @c4 w1 | w2\nL: @5=c3 w5\n", 2, 11, 1, "1 bars and the right hand's 2"],
    ["R: :|\n", 1, 4, 2, 'no bar stands before it'],
    ["R: c,,,,,,\n", 1, 4, 7, 'not on the keyboard'],
    ["R: @c4 q1 2 [time 3/4] h.3\n", 1, 13, 10, 'A time signature begins a bar'],
    ["R: @c4 w1 [tempo] 2\n", 1, 11, 7, 'A tempo is a number, words, or both'],
    ["R: @c4 w1 | [key Q] 2\n", 1, 13, 7, 'not a key'],
    ["R: @c4 w1 [dance] 2\n", 1, 11, 7, '[dance] means nothing here'],
    ["R: @c4 w1 | h.2 | [time 3/4] 1\nL: @5=c3 w5 | [time 2/4] h5 | h.5\n", 2, 15, 10, 'say [time 2/4] in the line above too'],
    ["R: @c4 w1 | 2\nL: @5=c3 w5 | [key D] 5\n", 2, 15, 7, 'say [key D] in the line above too'],
    ["R: @c4 w1 [0 2 :|\n", 1, 11, 2, 'Endings are numbered from 1'],
    ["R: @c4 q1 2 [1 h3 :|\n", 1, 13, 2, 'An ending begins with a bar'],
    ["R: @c4 w1 q2 % w1\n", 1, 14, 1, 'A bar is copied whole'],
    ["R: @c4 %\n", 1, 8, 1, 'there is none'],
    ["R: @c4 w1 =4\n", 1, 11, 2, 'Bar 4 is not typed yet'],
    ["R: @c4 qr_ 1 2 3\n", 1, 9, 2, 'not at a rest'],
    ["R: @c4 w1 \"\" 2\n", 1, 11, 2, 'nothing in the quotes'],
    ["R: ||\n", 1, 4, 2, 'no bar stands before it'],
    ["notation: smoke\nR: @c4 w1\n", 1, 11, 5, "'smoke' is not a notation"],
    ["bar: minus\nR: @c4 w1\n", 1, 6, 5, "'minus' is not a bar number"],
]);

test('the music that can be read is there in spite of an error', function (): void {
    $read = ShorthandReader::read("R: @c4 q1 ? 2 3\n");
    expect($read->errors)->toHaveCount(1)->and($read->piece?->measures[0]->right)->toHaveCount(3);
});

test('nothing typed is no piece and no error', function (): void {
    $read = ShorthandReader::read("title: Later\n\n; nothing yet\n");
    expect($read->piece)->toBeNull()->and($read->errors)->toBe([]);
});

test('words that send the player elsewhere do so, quoted or in brackets', function (string $typed, string $sign): void {
    expect(tune($typed)->measures[1]->navigation)->toEqual([Navigation::from($sign)]);
})->with([
    ["R: @c4 w1 2 \"D.C. al Fine\"\n", 'D.C. al Fine'],
    ["R: @c4 w1 2 [Dal Segno]\n", 'D.S.'],
    ["R: @c4 w1 2 [fine]\n", 'Fine'],
]);

test('what is repeated in the line below is no mistake', function (string $typed): void {
    expect(ShorthandReader::read($typed)->errors)->toBe([]);
})->with([
    'the same time' => ["R: @c4 w1 | [time 3/4] h.1\nL: @5=c3 w5 | [time 3/4] h.5\n"],
    'the same key' => ["R: @c4 w1 | [key D] 1\nL: @5=c3 w5 | [key D] 5\n"],
]);

test('a page that is too long for one is refused at its start', function (): void {
    $errors = ShorthandReader::read('R: @c4 '.str_repeat('w1 | ', 60_000))->errors;
    expect($errors)->toHaveCount(1)->and($errors[0]->text)->toContain('too long for one piece');
});

test('notes typed close together are notes, and a name with its octave is answered', function (): void {
    expect(played("R: @c4 qfed2w3\n"))->toBe(played("R: @c4 q f e d 2 w3\n"))->and(played("R: @c4 h5e2 q3\n"))->toBe(played("R: @c4 h5 e 2 q3\n"));
    foreach (['q c4 d e f', 'qc4 d e f', 'qC4 d e f', 'qfC4d', 'h5 |c4 q3'] as $typed) {
        expect(ShorthandReader::read("R: @c4 {$typed}\n")->errors[0]->text ?? '')->toContain('For a finger write c^4');
    }
});
