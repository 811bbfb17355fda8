<?php

declare(strict_types=1);

namespace Tests;

use Nasturtium\Core\Formats\Midi\FirstDownbeat;
use Nasturtium\Core\Formats\Midi\HandSplit;
use Nasturtium\Core\Formats\Midi\MidiFile;
use Nasturtium\Core\Formats\Midi\MidiNote;
use Nasturtium\Core\Formats\Midi\MidiWriter;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Score\MusicText;

/** How well music stays what it was, over ranges of seeds and folders of files: what was right, of how many. */
final class FormatFigures
{
    /** Ticks of a quarter, and how much of it a note of a quarter sounds. */
    private const TICKS = 480;

    private const SOUNDS = 456;

    /** @return array{int, int} random pieces that are the same music after writing and reading */
    public static function kept(int $from, int $to): array
    {
        $same = 0;
        for ($seed = $from; $seed <= $to; $seed++) {
            $piece = MusicXmlReader::kept(MusicXmlWriter::write(RandomPiece::of($seed)));
            $same += MusicText::differences($piece, MusicXmlReader::kept(MusicXmlWriter::write($piece))) === [] ? 1 : 0;
        }

        return [$same, $to - $from + 1];
    }

    /** @return array{int, int} parts of the files of a folder that can be read, and are the same music when they were written */
    public static function files(string $folder): array
    {
        [$same, $all] = [0, 0];
        foreach (OtherWriters::files($folder) as $bytes) {
            foreach (OtherWriters::pieces($bytes) as $piece) {
                $all++;
                $same += MusicText::differences($piece, MusicXmlReader::kept(MusicXmlWriter::write($piece))) === [] ? 1 : 0;
            }
        }

        return [$same, $all];
    }

    /** @return array{int, int} notes of one track for two hands that are given to the hand that plays them */
    public static function hands(int $from, int $to): array
    {
        [$right, $all] = [0, 0];
        for ($seed = $from; $seed <= $to; $seed++) {
            $truth = [];
            $moments = [];
            foreach (Playback::whole(FiveFingerPiece::of($seed))->sounds as $sound) {
                foreach ($sound->keys as $key) {
                    $start = (int) round($sound->at->toFloat() * self::TICKS);
                    $moments[$start][] = new MidiNote($start, $start + (int) round($sound->held($key)->toFloat() * self::SOUNDS), $key, 0);
                    $truth["{$start} {$key}"][] = $sound->hand->value;
                }
            }
            ksort($moments);
            foreach (HandSplit::of(array_values($moments)) as $split) {
                foreach (['R', 'L'] as $hand) {
                    foreach ($split[$hand] as $note) {
                        $all++;
                        $right += in_array($hand, $truth["{$note->from} {$note->key}"], true) ? 1 : 0;
                    }
                }
            }
        }

        return [$right, $all];
    }

    /**
     * What is found when nothing in the file says whether it begins with a whole bar.
     *
     * @param  string  $pickup  as shorthand; an empty one is a whole first bar
     * @param  string  $length  in whole notes
     * @return array{int, int}
     */
    public static function pickups(string $pickup, string $length, int $from, int $to): array
    {
        [$right, $all] = [0, 0];
        for ($seed = $from; $seed <= $to; $seed++) {
            $piece = FiveFingerPiece::of($seed, $pickup);
            if ((string) ($piece->pickup()->length ?? '0') !== $length) {
                continue;
            }
            $all++;
            $right += (string) FirstDownbeat::of(MidiFile::read(MidiWriter::write($piece)), $piece->meter()) === $length ? 1 : 0;
        }

        return [$right, $all];
    }
}
