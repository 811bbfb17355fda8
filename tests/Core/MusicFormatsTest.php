<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\HowToRead;
use Nasturtium\Core\Formats\Midi\MidiFormat;
use Nasturtium\Core\Formats\Midi\MidiWriter;
use Nasturtium\Core\Formats\MusicXml\MusicXmlFormat;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\PartChoice;
use Nasturtium\Core\Formats\Readers\MusicFormats;
use Nasturtium\Core\Score\Fraction;

test('a format is found by how its files begin', function (string $bytes, string $format): void {
    expect(MusicFormats::of($bytes))->toBeInstanceOf($format);
})->with([
    'MIDI' => [fn (): string => MidiWriter::write(tune("R: @c4 w1\n")), MidiFormat::class],
    'MusicXML' => [fn (): string => MusicXmlWriter::write(tune("R: @c4 w1\n")), MusicXmlFormat::class],
    'with a mark before it' => ["\xEF\xBB\xBF\n<score-partwise/>", MusicXmlFormat::class],
    'packed' => ["PK\x03\x04", MusicXmlFormat::class],
    'nothing that is known' => ['a shopping list', MusicXmlFormat::class],
]);

test('what no format accepts is refused in words', function (): void {
    expect(fn () => MusicFormats::of('a shopping list')->read('a shopping list', new HowToRead()))->toThrow(BadInput::class);
});

test('a format reads as it was told, and says what there is to choose', function (): void {
    $piece = tune("R: @c4 q1 2 3 4\nL: @5=c3 w5\n");
    [$midi, $xml] = [MidiWriter::write($piece), MusicXmlWriter::write($piece)];
    $formats = [new MidiFormat(), new MusicXmlFormat()];
    expect($formats[0]->isPlayed())->toBeTrue()->and($formats[0]->parts($midi))->toBe([])
        ->and($formats[0]->read($midi, new HowToRead(pickup: Fraction::of(1, 4)))->piece->pickup()?->length)->toEqual(Fraction::of(1, 4))
        ->and($formats[1]->isPlayed())->toBeFalse()->and($formats[1]->parts($xml))->toHaveCount(1)
        ->and(fn () => $formats[1]->read($xml, new HowToRead(new PartChoice('P9'))))->toThrow(BadInput::class)
        ->and(MusicFormats::endings())->toBe(['.mid', '.midi', '.musicxml', '.xml', '.mxl']);
});
