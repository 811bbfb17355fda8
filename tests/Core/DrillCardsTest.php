<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\Counts;
use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\Confusion;
use Nasturtium\Core\Drill\DrillKind;
use Nasturtium\Core\Drill\Kinds\Makers;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Drill\TapJudge;
use Nasturtium\Core\Drill\TapResult;
use Nasturtium\Core\Drill\Taps;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Reading\School;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Pitch;

/*
 * The cards of every kind, each worked out by hand, and each solved from what it shows (trade 15.1).
 */

/** @param list<string> $names `treble:C4` */
function material(array $names, School $school = School::Landmark, string $page = ''): Material
{
    $pieces = $page === '' ? [] : array_filter([ShorthandReader::read($page)->piece]);

    return new Material(array_map(static function (string $name): array {
        [$clef, $pitch] = explode(':', $name);

        return [Clef::from($clef), Pitch::parse($pitch)];
    }, $names), array_values($pieces), $school);
}

/** Two octaves, one on each staff. */
function wide(string $page = ''): Material
{
    return material([...array_map(static fn (string $name): string => "treble:{$name}", ['C4', 'D4', 'E4', 'F4', 'G4', 'A4', 'B4', 'C5']), ...array_map(static fn (string $name): string => "bass:{$name}", ['C3', 'D3', 'E3', 'F3', 'G3', 'A3', 'B3', 'C4'])], page: $page);
}

/** @return list<Card> */
function made(DrillKind $kind, Material $material): array
{
    return Makers::of($kind)->cards($material);
}

/** @return list<Measure> what a card shows */
function shown(Card $card): array
{
    return MusicXmlReader::read((string) $card->music)->piece->measures;
}

/** @return list<Pitch> the notes it shows */
function notesOf(Card $card): array
{
    return array_map(static fn (Event $event): Pitch => $event->lowest(), array_values(array_filter(shown($card)[0]->events(), static fn (Event $event): bool => ! $event->isRest())));
}

test('every kind has cards, each with a right answer among its options and a way to find it', function (DrillKind $kind): void {
    $cards = made($kind, wide());
    expect(count($cards))->toBeGreaterThan(5)->and(array_unique(array_column($cards, 'id')))->toHaveCount(count($cards));
    foreach ($cards as $card) {
        expect(strlen($card->id))->toBeLessThanOrEqual(80)->and($card->way)->not->toBe('')->and(str_word_count($card->ask))->toBeLessThanOrEqual(18);
        if ($card->by === AnswerBy::Option || $card->by === AnswerBy::Staff) {
            $options = array_column($card->options, 'id');
            expect(array_unique($options))->toHaveCount(count($options))->and(array_intersect($card->right, $options))->toHaveCount(1, $card->id);
        }
    }
})->with(DrillKind::cases());

test('a note is named, found and placed: the answer is what the staff shows', function (): void {
    foreach (made(DrillKind::Name, wide()) as $card) {
        expect($card->right)->toBe([$card->note === null ? notesOf($card)[0]->name() : notesOf($card)[0]->spelled()]);
    }
    foreach (made(DrillKind::Find, wide()) as $card) {
        expect($card->right)->toBe([(string) notesOf($card)[0]->midi()]);
    }
    $e = made(DrillKind::Name, material(['treble:E4']))[0];
    expect($e->way)->toBe('From middle C up: C D E.')->and($e->note)->toBe('treble:E4')->and(array_column($e->options, 'label'))->toBe(['A', 'B', 'C', 'D', 'E', 'F', 'G'])
        ->and(made(DrillKind::Find, material(['treble:F#4']))[0]->way)->toBe('From treble G down: G F, then sharp. F♯ is the left one of the three black keys, in the octave that starts at middle C.')
        ->and(made(DrillKind::Name, material(['bass:A2'], School::Alphabet))[0]->way)->toBe('Bass space 1 is A.');
});

test('a letter that is met in several octaves is asked for by its octave, after all letters', function (): void {
    $cards = made(DrillKind::Name, material(['treble:C4', 'treble:C5', 'bass:C2', 'bass:G3', 'treble:G4', 'treble:D4', 'treble:F#4', 'treble:F#5']));
    $octaves = array_values(array_filter($cards, static fn (Card $card): bool => str_starts_with($card->id, 'octave ')));
    expect(array_slice($cards, 8))->toBe($octaves)->and(array_column($octaves, 'id'))->toBe(['octave treble:C4', 'octave treble:C5', 'octave bass:C2', 'octave bass:G3', 'octave treble:G4'])
        ->and($octaves[0]->ask)->toBe('Which C is this?')->and(array_column($octaves[0]->options, 'label', 'id'))->toBe(['C2' => 'low C', 'C4' => 'middle C', 'C5' => 'high C'])
        ->and(array_column($octaves[3]->options, 'label'))->toBe(['the G below middle C', 'the G above middle C'])->and($octaves[3]->way)->toEndWith(' The G below middle C.');
});

test('a letter that stands twice on a staff is asked as the higher or the lower', function (): void {
    $ask = static fn (string $note): Card => made(DrillKind::Place, material([$note]))[0];
    expect($ask('treble:E4')->ask)->toBe('Where is the lower E on the treble staff?')->and($ask('treble:E5')->ask)->toBe('Where is the higher E on the treble staff?')
        ->and($ask('treble:B4')->ask)->toBe('Where is the B on the treble staff?')->and($ask('treble:E4')->right)->toBe(['E4'])
        ->and($ask('bass:C3')->way)->toStartWith('It is in space 2. ')
        // Two ledger lines away is farther than the card shows, and a sharp stands where its letter does.
        ->and(made(DrillKind::Place, material(['treble:A3', 'treble:F#4', 'treble:C4'])))->toHaveCount(1);
});

test('which way it goes is the move from the first note to the second', function (): void {
    $cards = made(DrillKind::Way, wide());
    foreach ($cards as $card) {
        [$from, $to] = notesOf($card);
        $steps = $to->diatonic() - $from->diatonic();
        $name = [0 => 'repeat', 1 => 'step', 2 => 'skip'][abs($steps)] ?? 'leap';
        expect($card->right)->toBe([$steps === 0 ? 'repeat' : "{$name} ".($steps > 0 ? 'up' : 'down')]);
    }
    expect(made(DrillKind::Way, material(['treble:C4', 'treble:G4']))[2]->way)->toBe('Leap up 5th: count every line and space, the first and the last too.');
});

test('the finger of a note in C position and in G position', function (string $note, array $fingers): void {
    expect(array_map(static fn (Card $card): string => $card->right[0], made(DrillKind::Finger, material([$note]))))->toBe($fingers);
})->with([
    'right thumb on C' => ['treble:C4', ['1']], 'right 5 on G, or the thumb' => ['treble:G4', ['5', '1']], 'left 5 on C, or 2' => ['bass:C3', ['5', '2']],
    'left thumb on G' => ['bass:G3', ['1']], 'left 5 in G position' => ['bass:G2', ['5']], 'outside both' => ['treble:B3', []],
]);

test('counts, bars that do not add up and bar lines are solved from what is shown', function (): void {
    $of = static fn (string $sort): array => array_values(array_filter(made(DrillKind::Count, wide()), static fn (Card $card): bool => str_starts_with($card->id, "count {$sort}")));
    foreach ($of('counts') as $card) {
        $piece = MusicXmlReader::read((string) $card->music)->piece;
        expect($card->right)->toBe([Counts::of($piece)->text($piece->measures[0], Hand::Right)]);
    }
    foreach ($of('wrong') as $card) {
        $short = array_keys(array_filter(shown($card), static fn (Measure $bar): bool => ! $bar->length->equals($bar->meter->measure())));
        expect($card->right)->toBe([(string) ($short[0] + 1)])->and($short)->toHaveCount(1);
    }
    foreach ($of('line') as $card) {
        $bar = shown($card)[0];
        $at = array_filter($bar->of(Hand::Right), static fn (Event $event): bool => $event->end->compare($bar->meter->measure()) <= 0);
        expect($card->right)->toBe([(string) count($at)]);
    }
    expect($of('counts'))->not->toBe([])->and($of('wrong'))->not->toBe([])->and($of('line'))->not->toBe([])
        ->and($of('length')[5]->right)->toBe(['1½'])->and($of('length')[5]->way)->toBe('This is a dotted quarter note: 1½ beats where a quarter note is one.');
});

test('a rhythm from the page that is open is tapped: its strikes at 800 milliseconds a beat', function (): void {
    $card = array_values(array_filter(made(DrillKind::Tap, wide("time: 3/4\nR: @c4 q1 v2 3 q4 | h.5")), static fn (Card $card): bool => $card->taps?->at === [0, 800, 1_200, 1_600, 2_400]))[0];
    expect($card->taps?->countIn)->toBe(['1', '2', '3'])->and($card->taps?->beat)->toBe(800);
});

test('two bars are the same, the same shape, or different', function (): void {
    foreach (made(DrillKind::Same, wide()) as $card) {
        $bars = array_map(static fn (Measure $bar): array => array_map(static fn (Event $event): array => [$event->isRest() ? null : $event->lowest()->diatonic(), (string) $event->duration->whole], $bar->of(Hand::Right)), shown($card));
        $from = static fn (array $bar): array => array_map(static fn (array $tone): array => [$tone[0] === null ? null : $tone[0] - array_values(array_filter(array_column($bar, 0), is_int(...)))[0], $tone[1]], $bar);
        $is = match (true) {
            $bars[0] === $bars[1] => 'the same',
            $from($bars[0]) === $from($bars[1]) => 'the same shape, from another note',
            default => 'different',
        };
        expect($card->right)->toBe([$is], $card->id);
    }
});

test('a word is spelt in the notes that are known, and read from them', function (): void {
    $cards = made(DrillKind::Spell, wide());
    foreach ($cards as $card) {
        expect(implode('', array_map(static fn (Pitch $pitch): string => $pitch->letter(), notesOf($card))))->toBe($card->right[0]);
    }
    expect(array_column(made(DrillKind::Spell, material(['treble:B4', 'treble:E4', 'treble:D4', 'treble:F4'])), 'right'))->toBe([['BED'], ['FED'], ['BEE'], ['EBB'], ['FEED'], ['BEEF'], ['DEED']]);
});

test('a race wants all keys of one name, an echo its keys in their order, a sound its syllable', function (): void {
    expect(made(DrillKind::Race, material([]))[0]->right)->toBe(['24', '36', '48', '60', '72', '84', '96', '108'])
        ->and(made(DrillKind::Race, material([]))[5]->right)->toBe(['21', '33', '45', '57', '69', '81', '93', '105']);
    foreach (made(DrillKind::Echo, material([])) as $card) {
        expect(array_map(static fn ($heard): string => (string) $heard->key, $card->hear))->toBe($card->right);
    }
    $f = array_values(array_filter(made(DrillKind::Sound, material([])), static fn (Card $card): bool => $card->id === 'sound F4 3'))[0];
    expect($f->hear[0]->key)->toBe(65)->and($f->hear[1]->key)->toBe(70)->and($f->right)->toBe(['fa'])->and($f->way)->toBe('Sing up from do: do re mi fa.');
});

test('signs say what they say', function (): void {
    $of = array_column(made(DrillKind::Say, material([])), null, 'id');
    expect($of['say mf']->right)->toBe(['medium loud'])->and($of['say mf']->sign)->toBe('mf')->and($of['say mf']->way)->toBe('mf: medium loud.')
        ->and($of['say andante']->right)->toBe(['at a walking pace'])
        ->and($of['say tie']->music)->toContain('<tied type="start"/>')->and($of['say accent']->way)->toBe('This is an accent: a little louder than the others.');
});

test('taps are judged against their own beat', function (array $taps, TapResult $result, array $off): void {
    // Four quarters and a half at 800 milliseconds a beat; a tenth of a second off is not heard, one more millisecond is.
    $verdict = TapJudge::judge(new Taps(800, ['1', '2', '3', '4'], [0, 800, 1_600, 2_400, 3_200]), $taps);
    expect($verdict->result)->toBe($result)->and($verdict->off)->toBe($off);
})->with([
    'to the millisecond' => [[0, 800, 1_600, 2_400, 3_200], TapResult::Steady, [0, 0, 0, 0, 0]],
    'all of it late' => [[90, 890, 1_690, 2_490, 3_290], TapResult::Steady, [0, 0, 0, 0, 0]],
    'a tenth slower' => [[0, 880, 1_760, 2_640, 3_520], TapResult::Steady, [0, 0, 0, 0, 0]],
    'a fifth slower' => [[0, 960, 1_920, 2_880, 3_840], TapResult::Steady, [0, 0, 0, 0, 0]],
    'slower still' => [[0, 970, 1_940, 2_910, 3_880], TapResult::TooSlow, [0, 0, 0, 0, 0]],
    'a fifth faster' => [[0, 640, 1_280, 1_920, 2_560], TapResult::Steady, [0, 0, 0, 0, 0]],
    'faster still' => [[0, 630, 1_260, 1_890, 2_520], TapResult::TooFast, [0, 0, 0, 0, 0]],
    // The middle one is late by 125: a fifth of it moves all, 100 remain.
    'the middle one late, as far as it may be' => [[0, 800, 1_725, 2_400, 3_200], TapResult::Steady, [0, 0, 0, 0, 0]],
    'and by one more' => [[0, 800, 1_727, 2_400, 3_200], TapResult::Uneven, [0, 0, 102, 0, 0]],
    'one missing' => [[0, 800, 1_600, 2_400], TapResult::TooFew, []],
    'one too many' => [[0, 400, 800, 1_600, 2_400, 3_200], TapResult::TooMany, []],
]);

test('one strike alone has no beat of its own', function (): void {
    expect(TapJudge::judge(new Taps(800, ['1'], [0]), [350])->result)->toBe(TapResult::Steady);
});

test('a note that was taken for another is told with how far away that is', function (string $note, string $given, ?string $words): void {
    expect(Confusion::of($note, $given, 3)?->words())->toBe($words);
})->with([
    'a letter above' => ['treble:B4', 'C', 'B4 for C5, a step higher'], 'a letter below' => ['bass:C3', 'B', 'C3 for B2, a step lower'],
    'a letter far away is the nearest of its name' => ['treble:C4', 'G', 'C4 for G3, a fourth lower'], 'a key' => ['treble:C4', '64', 'C4 for E4, a skip higher'],
    'a black key' => ['treble:F4', '66', 'F4 for F#4, the next key higher'], 'an octave' => ['bass:C3', '60', 'C3 for C4, an octave higher'],
    'itself' => ['treble:C4', 'C', null], 'nothing' => ['treble:C4', '', null],
]);
