<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\BadPhoto;
use Nasturtium\Core\Formats\Photo\Change;
use Nasturtium\Core\Formats\Photo\Corrected;
use Nasturtium\Core\Formats\Photo\Correction;
use Nasturtium\Core\Formats\Photo\Head;
use Nasturtium\Core\Formats\Photo\Item;
use Nasturtium\Core\Formats\Photo\PageBuilder;
use Nasturtium\Core\Formats\Photo\PageCodec;
use Nasturtium\Core\Formats\Photo\PhotoDocument;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\ReadBar;
use Nasturtium\Core\Formats\Photo\ReadHead;
use Nasturtium\Core\Formats\Photo\ReadingFigure;
use Nasturtium\Core\Formats\Photo\ReadPage;
use Nasturtium\Core\Formats\Photo\ReadPhoto;
use Nasturtium\Core\Formats\Photo\ReadSign;
use Nasturtium\Core\Formats\Photo\Rhythm;
use Nasturtium\Core\Formats\Photo\Stem;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Meter;

/*
 * What a teacher changes of what was read of a photo, key by key, and how well it was read.
 */

/** A crotchet, or what else is said, on a place. */
function sign_on(int $place, int $ticks = 48, ?int $finger = null, ?int $accidental = null): ReadSign
{
    return new ReadSign(20, 0, $ticks, 0, [new ReadHead($place, $accidental, $finger)]);
}

/** @param list<ReadSign> ...$staves of one bar after another, each for a treble staff alone */
function page_of_bars(array ...$staves): ReadPage
{
    $bars = array_map(static fn (array $signs): ReadBar => (new ReadBar([[]], false, false, [], 0, [[0, 200]]))->withStaff(0, $signs), $staves);

    return new ReadPage([new ReadPhoto([Clef::Treble], 0, new Meter(4, 4), array_values($bars))]);
}

/** @return list<string> `F4 1/4 (3)`, or `rest 1/2`, of the first bar */
function said_of(ReadPage $page, int $bar = 0): array
{
    $said = [];
    foreach (PhotoPiece::of($page->pieces[0])->measures[$bar]->events() as $event) {
        $names = array_map(static fn ($note): string => $note->pitch->name().($note->finger === null ? '' : " ({$note->finger})"), $event->notes);
        $said[] = ($names === [] ? 'rest' : implode('+', $names))." {$event->duration->whole}";
    }

    return $said;
}

/** @param array<string, int|null> $at */
function changed(ReadPage $page, Change $change, array $at = []): ReadPage
{
    return Corrected::page($page, [new Correction($change, ...$at)]);
}

const FOUR_QUARTERS = [[-2, 48], [-1, 48], [0, 48], [1, 48]];

function four_quarters(): ReadPage
{
    return page_of_bars(array_map(static fn (array $note): ReadSign => sign_on(...$note), FOUR_QUARTERS), [sign_on(0, 192)]);
}

test('each key changes one thing of the sign it is pressed at', function (Change $change, array $at, array $expected): void {
    expect(said_of(changed(four_quarters(), $change, $at)))->toBe($expected);
})->with([
    'a longer note' => [Change::Length, ['sign' => 3, 'value' => 2], ['C4 1/4', 'D4 1/4', 'E4 1/4', 'F4 1/2']],
    'a length that no note has' => [Change::Length, ['sign' => 3, 'value' => 3], ['C4 1/4', 'D4 1/4', 'E4 1/4', 'F4 1/4']],
    'a dot' => [Change::Dot, ['sign' => 0], ['C4 3/8', 'D4 1/4', 'E4 1/4', 'F4 1/4']],
    'a step higher' => [Change::Step, ['sign' => 1, 'value' => 1], ['C4 1/4', 'E4 1/4', 'E4 1/4', 'F4 1/4']],
    'a step lower' => [Change::Step, ['sign' => 1, 'value' => -1], ['C4 1/4', 'C4 1/4', 'E4 1/4', 'F4 1/4']],
    'a sharp, which holds to the bar line on its own place' => [Change::Accidental, ['sign' => 3, 'value' => 1], ['C4 1/4', 'D4 1/4', 'E4 1/4', 'F#4 1/4']],
    'a finger' => [Change::Finger, ['sign' => 2, 'value' => 3], ['C4 1/4', 'D4 1/4', 'E4 (3) 1/4', 'F4 1/4']],
    'a tie, which only goes to the same note' => [Change::Tie, ['sign' => 1], ['C4 1/4', 'D4 1/4', 'E4 1/4', 'F4 1/4']],
    'a rest' => [Change::Rest, ['sign' => 1], ['C4 1/4', 'rest 1/4', 'E4 1/4', 'F4 1/4']],
    'a note more, on the same place' => [Change::Add, ['sign' => 0], ['C4 1/4', 'C4 1/4', 'D4 1/4', 'E4 1/4', 'F4 1/4']],
    'a note less' => [Change::Remove, ['sign' => 0], ['D4 1/4', 'E4 1/4', 'F4 1/4']],
    'a sign that is not there' => [Change::Dot, ['sign' => 4], ['C4 1/4', 'D4 1/4', 'E4 1/4', 'F4 1/4']],
    'a bar that is not there' => [Change::Dot, ['bar' => 2], ['C4 1/4', 'D4 1/4', 'E4 1/4', 'F4 1/4']],
    'a piece that is not there' => [Change::Key, ['piece' => 1, 'value' => 1], ['C4 1/4', 'D4 1/4', 'E4 1/4', 'F4 1/4']],
]);

test('a dot is pressed again for two, and again for none', function (): void {
    $page = four_quarters();
    $lengths = [];
    foreach (range(1, 3) as $ignored) {
        $page = changed($page, Change::Dot, ['sign' => 0]);
        $lengths[] = $page->pieces[0]->bars[0]->staves[0][0]->ticks();
    }
    expect($lengths)->toBe([72, 84, 48]);
});

test('of a chord the head that is meant is changed, and heads stay in their order', function (): void {
    $page = page_of_bars([new ReadSign(20, 0, 192, 0, [new ReadHead(0), new ReadHead(2)])], [sign_on(0, 192)]);
    expect(said_of(changed($page, Change::Finger, ['head' => 1, 'value' => 3])))->toBe(['E4+G4 (3) 1'])
        ->and(said_of(changed($page, Change::Step, ['head' => 0, 'value' => 3])))->toBe(['G4+A4 1'])
        ->and(said_of(changed($page, Change::Step, ['head' => 2, 'value' => 3])))->toBe(['E4+G4 1']);
});

test('a note goes no further than a page has room', function (): void {
    $page = changed(page_of_bars([sign_on(0, 192)]), Change::Step, ['value' => 9_999]);
    expect($page->pieces[0]->bars[0]->staves[0][0]->heads[0]->place)->toBe(ReadHead::HIGHEST)
        ->and(changed($page, Change::Step, ['value' => -9_999])->pieces[0]->bars[0]->staves[0][0]->heads[0]->place)->toBe(ReadHead::LOWEST);
});

test('a rest of a bar becomes a note of its length, on the middle line', function (): void {
    $waltz = new ReadPage([new ReadPhoto([Clef::Treble], 0, new Meter(3, 4), [(new ReadBar([[]], false, false, []))->withStaff(0, [new ReadSign(9, 0, 144, 0, [])])])]);
    expect(said_of(changed($waltz, Change::Rest)))->toBe(['B4 3/4'])
        ->and(said_of(changed(page_of_bars([new ReadSign(9, 0, 192, 0, [])]), Change::Rest)))->toBe(['B4 1']);
});

test('into a bar in which nothing was read something can be put', function (): void {
    expect(said_of(changed(page_of_bars([], [sign_on(0, 192)]), Change::Add)))->toBe(['B4 1/4']);
});

test('clef and key change what every note is, the time what a bar holds', function (): void {
    $bass = changed(four_quarters(), Change::Clef);
    expect(said_of($bass))->toBe(['E2 1/4', 'F2 1/4', 'G2 1/4', 'A2 1/4'])
        ->and(said_of(changed($bass, Change::Clef)))->toBe(['C4 1/4', 'D4 1/4', 'E4 1/4', 'F4 1/4'])
        ->and(said_of(changed(four_quarters(), Change::Key, ['value' => 1])))->toBe(['C4 1/4', 'D4 1/4', 'E4 1/4', 'F#4 1/4'])
        ->and(changed(four_quarters(), Change::Time)->pieces[0]->time->printed())->toBe('3/4');
});

test('a corrected clef is that of every line, but of one that has another there', function (): void {
    $bars = [new ReadBar([[sign_on(0, 192)], [sign_on(0, 192)]], false, false, []), new ReadBar([[sign_on(0, 192)], [sign_on(0, 192)]], false, false, [], 1, clefs: [1 => Clef::Treble])];
    $page = new ReadPage([new ReadPhoto([Clef::Treble, Clef::Bass], 0, new Meter(4, 4), $bars)]);
    $told = static fn (ReadPage $page): array => array_map(static fn (ReadBar $bar): array => array_map(static fn (int $staff): string => $page->pieces[0]->pitches($bar, $staff)[0][0]->name(), [0, 1]), $page->pieces[0]->bars);
    expect($told($page))->toBe([['E4', 'G2'], ['E4', 'E4']])
        ->and($told(changed($page, Change::Clef, ['staff' => 0])))->toBe([['G2', 'G2'], ['G2', 'E4']])
        ->and($told(changed($page, Change::Clef, ['staff' => 1])))->toBe([['E4', 'E4'], ['E4', 'E4']])
        ->and(PageCodec::read(PageCodec::written($page)))->toEqual($page);
});

test('keys go round through all of them, sharps upwards and flats downwards', function (): void {
    $page = four_quarters();
    $seen = [];
    foreach (range(1, 15) as $ignored) {
        $page = changed($page, Change::Key, ['value' => 1]);
        $seen[] = $page->pieces[0]->fifths;
    }
    expect($seen)->toBe([1, 2, 3, 4, 5, 6, 7, -7, -6, -5, -4, -3, -2, -1, 0])
        ->and(changed(four_quarters(), Change::Key, ['value' => -1])->pieces[0]->fifths)->toBe(-1)
        ->and(changed(four_quarters(), Change::Key, ['value' => -8])->pieces[0]->fifths)->toBe(7);
});

test('times go round through those that pages have, from any other to the commonest', function (): void {
    $page = four_quarters();
    $seen = [];
    foreach (PageBuilder::TIMES as $ignored) {
        $page = changed($page, Change::Time);
        $seen[] = $page->pieces[0]->time->printed();
    }
    expect($seen)->toBe([...array_slice(PageBuilder::TIMES, 1), '4/4'])
        ->and(changed(new ReadPage([four_quarters()->pieces[0]->with(time: new Meter(7, 8))]), Change::Time)->pieces[0]->time->printed())->toBe('4/4');
});

test('an accidental that is asked for again goes, another takes its place', function (): void {
    $sharp = changed(four_quarters(), Change::Accidental, ['sign' => 3, 'value' => 1]);
    $signs = array_map(static fn (ReadPage $page): ?int => $page->pieces[0]->bars[0]->staves[0][3]->heads[0]->sign, [
        $sharp,
        changed($sharp, Change::Accidental, ['sign' => 3, 'value' => 1]),
        changed($sharp, Change::Accidental, ['sign' => 3, 'value' => 0]),
        changed($sharp, Change::Accidental, ['sign' => 3, 'value' => -9]),
    ]);
    expect($signs)->toBe([1, null, 0, -1]);
});

test('with another time the bars that do not come to it are in doubt, and the others no longer', function (): void {
    $page = page_of_bars([sign_on(0, 144)], [sign_on(0, 48), sign_on(0, 48), sign_on(0, 48)], [sign_on(0, 192)], [new ReadSign(9, 0, 192, 0, [])]);
    $bars = $page->pieces[0]->bars;
    $bars[1] = $bars[1]->doubted([[1, 'sum'], [1, 'sign']]);
    $waltz = changed(new ReadPage([$page->pieces[0]->with(bars: $bars)]), Change::Time)->pieces[0];
    // The bar of rest is as long as any bar.
    expect(array_map(static fn (ReadBar $bar): array => $bar->doubts, $waltz->bars))->toBe([[], [[1, 'sign']], [[1, 'sum']], []])
        ->and($waltz->bars[3]->sums(0))->toBe([144]);
});

test('with another time lengths that were bent to the old one are as they were seen, but those that she has set', function (): void {
    // Three quarters, of which the last was made a half to fill a bar of four.
    $bent = new ReadSign(20, 96, 96, 0, [new ReadHead(2)], seen: [48, 0]);
    $page = page_of_bars([sign_on(0, 48), sign_on(1, 48), $bent], [sign_on(0, 48), sign_on(1, 48), $bent]);
    expect(PageCodec::read(PageCodec::written($page)))->toEqual($page);
    $hers = changed($page, Change::Length, ['bar' => 1, 'sign' => 2, 'value' => 2]);
    $waltz = changed($hers, Change::Time);
    expect(said_of($waltz))->toBe(['E4 1/4', 'F4 1/4', 'G4 1/4'])
        ->and(said_of($waltz, 1))->toBe(['E4 1/4', 'F4 1/4', 'G4 1/2'])
        ->and(array_map(static fn (ReadBar $bar): array => $bar->doubts, $waltz->pieces[0]->bars))->toBe([[], [[1, 'sum']]]);
});

test('a length that was changed to come to its bar keeps what was seen', function (): void {
    $item = static fn (int $x): Item => new Item($x, $x, [new Head($x, 3, false, 18.0, 0.95)], 48, 0, 0, stem: new Stem($x, 40, 90, 2));
    $items = [$item(100), $item(160), $item(220)];
    $items[2]->flag = 0;
    [$kept] = Rhythm::settle($items, 192);
    expect(array_sum(array_map(static fn (Item $one): int => $one->ticks(), $kept)))->toBe(192)
        ->and(array_values(array_filter(array_map(static fn (Item $one): ?array => ReadSign::of($one)->seen, $kept))))->toBe([[48, 0]]);
});

test('a first bar may be short under any time: it is a pickup', function (): void {
    $page = changed(page_of_bars([sign_on(0, 48)], [sign_on(0, 144)]), Change::Time);
    expect($page->pieces[0]->bars[0]->doubts)->toBe([]);
});

test('what is right is no longer in doubt, for that staff of that bar alone', function (): void {
    $bar = new ReadBar([[sign_on(0, 192)], [sign_on(0, 192)]], false, false, [[1, 'sum'], [2, 'sign'], [1, 'place']]);
    $page = new ReadPage([new ReadPhoto([Clef::Treble, Clef::Bass], 0, new Meter(4, 4), [$bar])]);
    expect(changed($page, Change::Right, ['staff' => 0])->pieces[0]->bars[0]->doubts)->toBe([[2, 'sign']])
        ->and(changed($page, Change::Right, ['staff' => 1])->pieces[0]->bars[0]->doubts)->toBe([[1, 'sum'], [1, 'place']]);
});

test('a staff that was read twice is as it was read the other time, and back, with what was changed meanwhile', function (): void {
    $bar = page_of_bars([sign_on(0, 192)])->pieces[0]->bars[0];
    $page = new ReadPage([new ReadPhoto([Clef::Treble], 0, new Meter(4, 4), [$bar->reading($bar->staves, [[1, 'twice']], [[sign_on(1, 192)]])])]);
    expect(PageCodec::read(PageCodec::written($page)))->toEqual($page);
    $other = changed($page, Change::Other);
    expect(said_of($other))->toBe(['F4 1'])->and($other->pieces[0]->bars[0]->doubts)->toBe([[1, 'twice']]);
    $back = changed(changed($other, Change::Finger, ['value' => 2]), Change::Other);
    expect(said_of($back))->toBe(['E4 1'])->and(said_of(changed($back, Change::Other)))->toBe(['F4 (2) 1'])
        ->and(changed(four_quarters(), Change::Other))->toEqual(four_quarters())
        ->and(changed($page, Change::Other, ['staff' => 1]))->toEqual($page);
});

test('corrections follow one another', function (): void {
    $page = Corrected::page(four_quarters(), [
        new Correction(Change::Remove, sign: 3),
        new Correction(Change::Length, sign: 2, value: 2),
        new Correction(Change::Finger, sign: 2, value: 5),
    ]);
    expect(said_of($page))->toBe(['C4 1/4', 'D4 1/4', 'E4 (5) 1/2']);
});

test('the pieces of a page are A, B, C, and one alone is called nothing', function (): void {
    $piece = four_quarters()->pieces[0];
    expect(four_quarters()->label(0))->toBe('')->and((new ReadPage([$piece, $piece, $piece]))->label(2))->toBe('C');
});

test('what was corrected reads as typed', function (): void {
    $text = ShorthandWriter::write(PhotoPiece::of(changed(four_quarters(), Change::Accidental, ['sign' => 3, 'value' => 1])->pieces[0]))->text;
    $read = ShorthandReader::read($text);
    expect($read->errors)->toBe([])->and($read->piece?->measures[0]->right[3]->notes[0]->pitch->name())->toBe('F#4');
});

test('every sign knows the event that is engraved for it', function (): void {
    $built = PhotoPiece::built(four_quarters()->pieces[0]);
    $events = $built->events();
    expect($events[PhotoPiece::token(0, 0, 2)]->notes[0]->pitch->name())->toBe('E4')
        ->and($events[PhotoPiece::token(1, 0, 0)]->measure)->toBe(1)
        ->and($events)->toHaveCount(5);
});

test('what was read is kept and read again as it was', function (): void {
    $bar = new ReadBar([[sign_on(-3, 32, 5, -1)], [new ReadSign(40, 0, 192, 0, [])]], true, false, [[1, 'sum'], [2, 'place']], 2, [[10, 90], [12, 95]]);
    $page = new ReadPage([new ReadPhoto([Clef::Treble, Clef::Bass], -3, new Meter(6, 8), [$bar], 'Löwenzahn'), new ReadPhoto([Clef::Bass], 2, new Meter(2, 2), [])]);
    $again = PageCodec::read(PageCodec::written($page));
    expect($again)->toEqual($page)->and($again->pieces[0]->title)->toBe('Löwenzahn');
});

test('marks are kept with their note, go out with it, and go with it where it becomes a rest', function (): void {
    $marked = new ReadSign(20, 0, 192, 0, [new ReadHead(3)], [Mark::Staccato, Mark::Fermata]);
    $page = page_of_bars([$marked]);
    $again = PageCodec::read(PageCodec::written($page));
    expect($again)->toEqual($page)
        ->and(PhotoPiece::of($again->pieces[0])->measures[0]->events()[0]->ink->marks)->toBe([Mark::Staccato, Mark::Fermata])
        ->and(changed($page, Change::Length, ['value' => 2])->pieces[0]->bars[0]->staves[0][0]->marks)->toBe([Mark::Staccato, Mark::Fermata])
        ->and(changed($page, Change::Rest)->pieces[0]->bars[0]->staves[0][0]->marks)->toBe([]);
});

test('what was kept before marks, words and tempo were read has none', function (): void {
    $page = page_of_bars([sign_on(3, 192)]);
    $before = str_replace([',[],""]', ',"tempo":["",null]'], [']', ''], PageCodec::written($page));
    expect($before)->not->toBe(PageCodec::written($page))->and(PageCodec::read($before))->toEqual($page);
});

test('what something else wrote is refused', function (string $kept): void {
    expect(static fn () => PageCodec::read($kept))->toThrow(BadPhoto::class, 'Take the picture again');
})->with(['nothing' => [''], 'broken' => ['[{"clefs"'], 'of another kind' => ['[{"clefs":["alto-ish"],"fifths":0,"time":[4,4],"title":"","bars":[]}]'], 'a number' => ['7']]);

test('how well it was read is counted by what had to be changed', function (): void {
    $read = four_quarters();
    $bars = $read->pieces[0]->bars;
    $bars[0] = $bars[0]->doubted([[1, 'sum']]);
    $bars[1] = $bars[1]->doubted([[1, 'place']]);
    $read = new ReadPage([$read->pieces[0]->with(bars: $bars)]);
    $corrected = Corrected::page($read, [new Correction(Change::Step, sign: 3, value: 1), new Correction(Change::Finger, sign: 0, value: 1), new Correction(Change::Key, value: 1)]);
    expect(get_object_vars(ReadingFigure::of($read, $corrected)))->toBe(['notes' => 5, 'right' => 4, 'fingers' => 1, 'known' => 0, 'signs' => 1, 'doubts' => 2, 'needless' => 1])
        ->and(get_object_vars(ReadingFigure::of($read, $read)))->toBe(['notes' => 5, 'right' => 5, 'fingers' => 0, 'known' => 0, 'signs' => 0, 'doubts' => 2, 'needless' => 2]);
});

test('a note that is put in moves those after it, which were read at another moment', function (): void {
    $figure = ReadingFigure::of(four_quarters(), changed(four_quarters(), Change::Add, ['sign' => 0]));
    // The first stays; its copy and the three after it stand elsewhere now.
    expect([$figure->notes, $figure->right])->toBe([6, 2]);
});

test('a page most of whose bars are in doubt is poor', function (int $doubted, bool $poor): void {
    $bars = page_of_bars([sign_on(0, 192)], [sign_on(0, 192)], [sign_on(0, 192)], [sign_on(0, 192)])->pieces[0]->bars;
    foreach (range(0, 3) as $n) {
        $bars[$n] = $bars[$n]->doubted($n < $doubted ? [[1, 'sum']] : []);
    }
    expect((new ReadPage([new ReadPhoto([Clef::Treble], 0, new Meter(4, 4), $bars)]))->isPoor())->toBe($poor);
})->with(['none' => [0, false], 'half' => [2, false], 'more' => [3, true]]);

test('of several pieces the document tells where each begins, and counts bars through the page', function (): void {
    $one = four_quarters()->pieces[0]->with(title: 'First');
    $document = PhotoDocument::of(new ReadPage([$one, new ReadPhoto([Clef::Bass], 1, new Meter(3, 4), [(new ReadBar([[]], false, true, [[1, 'sum']]))->withStaff(0, [sign_on(0, 96)])], 'Second')]));
    expect($document['bars'])->toBe(3)
        ->and(array_column($document['pieces'], 'bar'))->toBe([1, 3])
        ->and(array_column($document['pieces'], 'title'))->toBe(['First', 'Second'])
        ->and($document['notes'][5])->toMatchArray(['bar' => 3, 'midi' => 43])
        ->and([$document['repeats'], $document['doubts']])->toBe([[[3, 'end']], [['bar' => 3, 'staff' => 1, 'why' => 'sum']]]);
});

test('a tie begins and ends on the same note, over a bar line too', function (): void {
    $tied = static fn (int $place): ReadSign => new ReadSign(20, 0, 192, 0, [new ReadHead($place, tied: true)]);
    $piece = PhotoPiece::of(page_of_bars([$tied(0)], [$tied(0)], [sign_on(1, 192)])->pieces[0]);
    $ends = array_map(static fn ($measure): array => [$measure->right[0]->notes[0]->tieStart, $measure->right[0]->notes[0]->tieStop], $piece->measures);
    // The second is tied to another note, which is no tie.
    expect($ends)->toBe([[true, false], [false, true], [false, false]]);
});
