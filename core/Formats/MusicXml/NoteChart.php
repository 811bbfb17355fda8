<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** Single notes on a grand staff, from left to right on each staff, as MusicXML: no rhythm, no stems, no bar lines. */
final class NoteChart
{
    /** So many stand in a measure; between measures a line of the chart may end. */
    private const IN_A_MEASURE = 4;

    private const ACCIDENTALS = [-2 => 'flat-flat', -1 => 'flat', 1 => 'sharp', 2 => 'double-sharp'];

    /**
     * @param  list<array{Clef, Pitch}>  $notes  in their order, each named by `nameOf`; those of other clefs than treble and bass are left out
     * @return string MusicXML; a staff without notes is there all the same
     */
    public static function write(array $notes): string
    {
        $staves = [];
        foreach ([Clef::Treble, Clef::Bass] as $clef) {
            $of = array_values(array_filter($notes, static fn (array $note): bool => $note[0] === $clef));
            $staves[] = array_chunk($of, self::IN_A_MEASURE);
        }
        $xml = new XmlPen();
        $xml->open('score-partwise', ['version' => '4.0']);
        $xml->open('part-list');
        $xml->open('score-part', ['id' => 'P1']);
        $xml->leaf('part-name');
        $xml->close(2);
        $xml->open('part', ['id' => 'P1']);
        for ($at = 0; $at < max(1, count($staves[0]), count($staves[1])); $at++) {
            $xml->open('measure', ['number' => (string) ($at + 1)]);
            if ($at === 0) {
                self::attributes($xml);
            }
            self::staff($xml, $staves[0][$at] ?? [], 1);
            $xml->open('backup');
            $xml->leaf('duration', (string) self::IN_A_MEASURE);
            $xml->close();
            self::staff($xml, $staves[1][$at] ?? [], 2);
            $xml->open('barline', ['location' => 'right']);
            $xml->leaf('bar-style', 'none');
            $xml->close(2);
        }
        $xml->close(2);

        return $xml->document();
    }

    /** The id of a note in the drawing, as `treble-C4`. */
    public static function nameOf(Clef $clef, Pitch $pitch): string
    {
        return "{$clef->value}-".strtr($pitch->name(), ['#' => 's']);
    }

    private static function attributes(XmlPen $xml): void
    {
        $xml->open('attributes');
        $xml->leaf('divisions', '1');
        $xml->open('time', ['print-object' => 'no']);
        $xml->leaf('beats', (string) self::IN_A_MEASURE);
        $xml->leaf('beat-type', '4');
        $xml->close();
        $xml->leaf('staves', '2');
        foreach ([1 => ['G', '2'], 2 => ['F', '4']] as $staff => [$sign, $line]) {
            $xml->open('clef', ['number' => (string) $staff]);
            $xml->leaf('sign', $sign);
            $xml->leaf('line', $line);
            $xml->close();
        }
        $xml->close();
    }

    /** @param list<array{Clef, Pitch}> $notes */
    private static function staff(XmlPen $xml, array $notes, int $staff): void
    {
        foreach ($notes as [$clef, $pitch]) {
            $xml->open('note', ['id' => self::nameOf($clef, $pitch)]);
            $xml->open('pitch');
            $xml->leaf('step', Pitch::LETTERS[$pitch->step]);
            if ($pitch->alter !== 0) {
                $xml->leaf('alter', (string) $pitch->alter);
            }
            $xml->leaf('octave', (string) $pitch->octave);
            $xml->close();
            $xml->leaf('duration', '1');
            $xml->leaf('voice', (string) $staff);
            $xml->leaf('type', 'quarter');
            if ($pitch->alter !== 0) {
                $xml->leaf('accidental', self::ACCIDENTALS[$pitch->alter]);
            }
            $xml->leaf('stem', 'none');
            $xml->leaf('staff', (string) $staff);
            $xml->close();
        }
        if (count($notes) < self::IN_A_MEASURE) {
            $xml->open('forward');
            $xml->leaf('duration', (string) (self::IN_A_MEASURE - count($notes)));
            $xml->leaf('voice', (string) $staff);
            $xml->leaf('staff', (string) $staff);
            $xml->close();
        }
    }
}
