<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\NoteChart;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Pitch;

/** @return array<string, list<string>> by hand, what stands on its staff in order */
function charted(string $music): array
{
    $piece = MusicXmlReader::read($music)->piece;
    $of = static fn (Hand $hand): array => array_values(array_map(
        static fn (Event $event): string => $event->lowest()->name(),
        array_filter($piece->hand($hand), static fn (Event $event): bool => ! $event->isRest()),
    ));

    return ['treble' => $of(Hand::Right), 'bass' => $of(Hand::Left)];
}

test('the notes of a chart stand on their staves in their order, however many a staff has', function (): void {
    $treble = ['C4', 'E4', 'F#4', 'G4', 'Bb4', 'C5'];
    $notes = array_map(static fn (string $name): array => [Clef::Treble, Pitch::parse($name)], $treble);
    $music = NoteChart::write([[Clef::Bass, Pitch::parse('F3')], ...$notes, [Clef::Alto, Pitch::parse('C4')]]);
    expect(charted($music))->toBe(['treble' => $treble, 'bass' => ['F3']])
        ->and($music)->toContain('<note id="treble-Fs4">', '<accidental>sharp</accidental>', '<accidental>flat</accidental>')
        ->and(substr_count($music, '<measure '))->toBe(2)
        // Four notes fill a measure of four; the fifth begins another.
        ->and(substr_count(NoteChart::write(array_slice($notes, 0, 4)), '<measure '))->toBe(1);
});

test('a chart without notes has both staves all the same', function (): void {
    expect(NoteChart::write([]))->toContain('<staves>2</staves>', '<sign>G</sign>', '<sign>F</sign>')->not->toContain('<note');
});
