<?php

declare(strict_types=1);

namespace Tests;

/** MIDI files of one track, byte by byte, as a keyboard would write what was played on it. */
final class MidiBytes
{
    /**
     * @param  list<array{int, int, int}>  $notes  key, first and last tick; a quarter has 96
     * @param  string  $more  bytes before the notes
     */
    public static function of(array $notes, string $more = ''): string
    {
        $events = [];
        foreach ($notes as [$key, $from, $to]) {
            $events[] = [$from, 1, pack('CCC', 0x90, $key, 80)];
            $events[] = [$to, 0, pack('CCC', 0x80, $key, 0)];
        }
        usort($events, static fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);
        $track = $more;
        $at = 0;
        foreach ($events as [$tick, , $bytes]) {
            $wait = $tick - $at;
            for ($shift = 28; $shift > 0; $shift -= 7) {
                $track .= $wait >> $shift === 0 ? '' : chr(0x80 | ($wait >> $shift & 0x7F));
            }
            $track .= chr($wait & 0x7F).$bytes;
            $at = $tick;
        }
        $track .= "\0\xFF\x2F\0";

        return 'MThd'.pack('Nnnn', 6, 0, 1, 96).'MTrk'.pack('N', strlen($track)).$track;
    }
}
