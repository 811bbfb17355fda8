<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\MusicText;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\PageChecks;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;
use Tests\OtherWriters;
use Tests\RandomPiece;

/*
 * What was kept is what was read: hand by hand, voice by voice, and as shorthand, or it is said which bars are not.
 */

function kept(Piece $piece): Piece
{
    return MusicXmlReader::kept(MusicXmlWriter::write($piece));
}

/** @return list<list<string>> what sounds, by measure: hand, voice, onset, length, keys */
function sounding(Piece $piece): array
{
    return array_map(static fn (Measure $measure): array => array_values(array_map(
        static fn (Event $event): string => "{$event->hand->value} {$event->voice} {$event->onset} {$event->duration->whole} ".implode('+', array_map(static fn (Note $note): string => $note->pitch->name(), $event->notes)),
        array_filter($measure->events(), static fn (Event $event): bool => ! $event->isRest()),
    )), $piece->measures);
}

function expect_to_come_back(Piece $piece, string $what): void
{
    expect(MusicText::differences($piece, kept($piece)))->toBe([], $what);
    $printed = ShorthandWriter::write($piece);
    $again = ShorthandReader::read($printed->text);
    expect($again->errors)->toBe([], "{$what}: the shorthand is refused by its own reader");
    if ($printed->unsaid === [] && $again->piece !== null) {
        expect(MusicText::differences($piece, $again->piece))->toBe([], "{$what}: the shorthand says nothing of it");
    }
}

test('pieces by chance come back as they were kept', function (int $from): void {
    for ($seed = $from; $seed < $from + 25; $seed++) {
        $made = RandomPiece::of($seed);
        $piece = kept($made);
        expect(sounding($piece))->toBe(sounding($made), "seed {$seed}");
        expect_to_come_back($piece, "seed {$seed}");
    }
})->with(range(1, 201, 25));

test('files of other writers come back as they were read', function (): void {
    $read = 0;
    foreach (OtherWriters::files(OtherWriters::SHIPPED) as $file => $bytes) {
        foreach (OtherWriters::pieces($bytes) as $part => $piece) {
            $read++;
            expect_to_come_back($piece, "{$file} {$part}");
        }
    }
    expect($read)->toBeGreaterThan(60);
});

test('a left hand that mostly crosses over, or rests all through, stays the left hand', function (): void {
    $crossing = tune("R: @c4 w1 | w2\nL: @5=c3 [cross] q5 4 3 2 | q1 2 [back] h5\n");
    expect(sounding(kept($crossing)))->toBe(sounding($crossing));
    $resting = kept(tune("R: @c4 q1 2 3 4 | w5\nL: wr | hr r\n"));
    expect($resting->measures[0]->left[0]->hand)->toBe(Hand::Left)->and($resting->plays(Hand::Left))->toBeFalse();
    // Of a foreign file it is guessed: a voice that has nothing but rests is of the staff they stand on.
    $foreign = str_replace('id="', 'xml:id="', MusicXmlWriter::write(tune("R: @c4 w1\nL: wr\n")));
    expect(MusicXmlReader::read(str_replace('xml:id', 'data-id', $foreign))->piece->measures[0]->left)->toHaveCount(1);
});

test('a sixth voice of the right hand is not taken for the left hand', function (): void {
    $notes = '';
    foreach (range(1, 6) as $voice) {
        $notes .= ($voice === 1 ? '' : '<backup><duration>6</duration></backup>').'<note><pitch><step>C</step><octave>'.min(6, $voice + 1)."</octave></pitch><duration>6</duration><voice>{$voice}</voice><staff>1</staff></note>";
    }
    $piece = MusicXmlReader::read(musicxml('<measure number="1">'.GRAND.$notes.'</measure>'))->piece;
    expect($piece->measures[0]->voices(Hand::Right))->toHaveCount(6)->and(sounding(kept($piece)))->toBe(sounding($piece));
});

test('clefs of another octave and C clefs are read, and their places follow', function (string $sign, int $line, int $octaves, Clef $clef, string $bottom): void {
    $change = $octaves === 0 ? '' : "<clef-octave-change>{$octaves}</clef-octave-change>";
    $piece = MusicXmlReader::read(musicxml("<measure number=\"1\"><attributes><divisions>2</divisions><time><beats>3</beats><beat-type>4</beat-type></time><clef><sign>{$sign}</sign><line>{$line}</line>{$change}</clef></attributes>".xml_note('E4', 6).'</measure>'))->piece;
    expect($piece->measures[0]->events()[0]->clef)->toBe($clef)
        ->and(Pitch::ofDiatonic($clef->bottomLine())->name())->toBe($bottom)
        ->and(MusicText::differences($piece, kept($piece)))->toBe([]);
})->with([
    ['G', 2, 0, Clef::Treble, 'E4'], ['G', 2, -1, Clef::TrebleDown, 'E3'], ['F', 4, 1, Clef::BassUp, 'G3'], ['F', 4, -1, Clef::BassDown, 'G1'],
    ['C', 1, 0, Clef::Soprano, 'C4'], ['C', 3, 0, Clef::Alto, 'F3'], ['C', 4, 0, Clef::Tenor, 'D3'], ['C', 5, 0, Clef::Baritone, 'B2'],
]);

test('slurs of grace notes are kept, and open and close as any other', function (): void {
    $piece = tune("R: @c4 ``d_ q1_ 2 3 4\n");
    expect(PageChecks::of($piece))->toBe([])->and($piece->measures[0]->right[0]->ink->graces[0]->slurs)->toHaveCount(1);
    expect_to_come_back($piece, 'a slur from a grace note');
});

test('the sign that repeats a bar is filled, and kept as a sign', function (): void {
    $again = '<attributes><measure-style><measure-repeat type="start">1</measure-repeat></measure-style></attributes>';
    $stop = '<attributes><measure-style><measure-repeat type="stop"/></measure-style></attributes>';
    $piece = MusicXmlReader::read(musicxml('<measure number="1">'.GRAND.xml_note('E4', 6)."</measure><measure number=\"2\">{$again}</measure><measure number=\"3\"><note><rest measure=\"yes\"/><duration>6</duration></note></measure><measure number=\"4\">{$stop}".xml_note('G4', 6).'</measure>'))->piece;
    expect(array_map(static fn (Measure $measure): string => $measure->right[0]->lowest()->name().($measure->sameAsBefore ? '%' : ''), $piece->measures))->toBe(['E4', 'E4%', 'E4%', 'G4'])
        ->and(MusicText::differences($piece, kept($piece)))->toBe([]);
    $orphan = MusicXmlReader::read(musicxml('<measure number="1">'.GRAND.'<attributes><measure-style><measure-repeat type="start">1</measure-repeat></measure-style></attributes>'.xml_note('E4', 6).'</measure>'));
    expect($orphan->notRead[0]->text)->toContain('with no bar before it');
});

test('chord symbols stand above, and are typed', function (): void {
    $piece = tune("R: @c4 [chord Am7] h1 [chord D/F#] 2 | [chord N.C.] w3\n");
    expect(array_column($piece->measures[0]->signs, 'text'))->toBe(['Am7', 'D/F#'])->and($piece->measures[0]->signs[0]->above)->toBeTrue();
    expect_to_come_back($piece, 'chord symbols');
});

test('a third staff is named and not folded into the second', function (): void {
    $third = '<backup><duration>6</duration></backup>'.xml_note('C2', 6, '', 3);
    $read = MusicXmlReader::read(musicxml('<measure number="1"><attributes><divisions>2</divisions><time><beats>3</beats><beat-type>4</beat-type></time><staves>3</staves></attributes>'.xml_note('E4', 6).'<backup><duration>6</duration></backup>'.xml_note('C3', 6, '', 2).$third.'</measure>'));
    expect(sounding($read->piece)[0])->toHaveCount(2)
        ->and(implode(' ', array_column($read->notRead, 'text')))->toContain('third staff');
});

test('bytes are believed before what a file says of them', function (string $from, string $declared, string $bom): void {
    $xml = str_replace('encoding="UTF-8"', "encoding=\"{$declared}\"", MusicXmlWriter::write(tune("title: Fête d’hiver\nR: @c4 w1\n")));
    expect(MusicXmlReader::read($bom.($from === 'UTF-8' ? $xml : mb_convert_encoding($xml, $from, 'UTF-8')))->piece->title)->toBe('Fête d’hiver');
})->with([
    'UTF-16 that says UTF-8' => ['UTF-16LE', 'UTF-8', "\xFF\xFE"],
    'UTF-16 of the other order' => ['UTF-16BE', 'UTF-16', "\xFE\xFF"],
    'UTF-16 without a mark' => ['UTF-16LE', 'UTF-16', ''],
    'UTF-8 that says UTF-16' => ['UTF-8', 'UTF-16', ''],
]);

test('durations may be written with decimals', function (): void {
    $piece = MusicXmlReader::read(musicxml('<measure number="1"><attributes><divisions>2.0</divisions><time><beats>3</beats><beat-type>4</beat-type></time></attributes>'
        .'<note><pitch><step>C</step><octave>4</octave></pitch><duration>2.000</duration></note><note><pitch><step>D</step><octave>4</octave></pitch><duration>0.5</duration></note><note><pitch><step>E</step><octave>4</octave></pitch><duration>3.5</duration></note></measure>'))->piece;
    expect(array_map(static fn (Event $event): string => (string) $event->duration->whole, $piece->measures[0]->right))->toBe(['1/4', '1/16', '7/16']);
});

test('a tie to another pitch is one mistake, and a voice that goes on in silence is not short', function (): void {
    $second = '<backup><duration>6</duration></backup>'.xml_note('C3', 2, '', 2).'<forward><duration>4</duration></forward>';
    $piece = MusicXmlReader::read(musicxml('<measure number="1">'.GRAND.xml_note('E4', 6).$second.'</measure>'))->piece;
    expect(PageChecks::of($piece))->toBe([])->and($piece->measures[0]->left[1]->isRest())->toBeTrue();
    // What we write ourselves says its rests; a hand that is short stays short.
    $short = tune("R: @c4 w1\nL: @5=c3 q5 |\n");
    expect(array_column(PageChecks::of(kept($short)), 'code'))->toBe(['bar_short']);
});
