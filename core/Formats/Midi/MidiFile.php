<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Meter;

/** What a MIDI file says: its notes, and its time, key and tempo. Everything in it is taken to be hostile. */
final class MidiFile
{
    public const MAX_BYTES = 2 * 1024 * 1024;

    private const MAX_NOTES = 8_000;

    private const PERCUSSION = 9;

    private const LOWEST_KEY = 21;

    private const HIGHEST_KEY = 108;

    /** @var list<MidiNote> by their start */
    public array $notes = [];

    /** Ticks of a quarter note. */
    public int $ticks = 480;

    /** @var list<array{int, Meter}> from which tick on */
    public array $meters = [];

    public ?Key $key = null;

    /** Quarter notes a minute, the first that is given. */
    public ?int $tempo = null;

    public string $title = '';

    /** @var array<string, true> what the file holds and a page does not */
    public array $notRead = [];

    private int $at = 0;

    private function __construct(private readonly string $bytes) {}

    /** @throws BadInput */
    public static function read(string $bytes): self
    {
        if (strlen($bytes) > self::MAX_BYTES) {
            throw BadMidi::tooLarge();
        }
        $file = new self($bytes);
        $file->chunks();
        usort($file->notes, static fn (MidiNote $a, MidiNote $b): int => [$a->from, $a->key] <=> [$b->from, $b->key]);
        usort($file->meters, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        if ($file->notes === []) {
            throw BadMidi::withoutNotes();
        }

        return $file;
    }

    private function chunks(): void
    {
        if ($this->take(4) !== 'MThd' || $this->number(4) !== 6) {
            throw BadMidi::notMidi();
        }
        $format = $this->number(2);
        $tracks = $this->number(2);
        $division = $this->number(2);
        if ($division >= 0x8000 || $division === 0) {
            throw BadMidi::countsFilmFrames();
        }
        if ($format === 2) {
            throw BadMidi::severalSongs();
        }
        $this->ticks = $division;
        for ($track = 0; $track < $tracks && $this->at < strlen($this->bytes); $track++) {
            $name = $this->take(4);
            $end = $this->at + 4 + $this->number(4);
            if ($end > strlen($this->bytes)) {
                throw BadMidi::trackCutShort($this->at, $track + 1);
            }
            if ($name === 'MTrk') {
                $this->track($track, $end);
            }
            $this->at = $end;
        }
    }

    private function track(int $track, int $end): void
    {
        $tick = 0;
        $running = 0;
        /** @var array<int, int> $open when a key was struck */
        $open = [];
        while ($this->at < $end) {
            $tick += $this->length();
            $status = ord($this->take(1));
            if ($status < 0x80) {
                $this->at--;
                $status = $running;
            }
            if ($status >= 0xF0) {
                $this->meta($status, $tick);

                continue;
            }
            if ($status < 0x80) {
                throw BadMidi::trackDamaged($this->at, $track + 1);
            }
            $running = $status;
            $this->message($status, $tick, $track, $open);
        }
        foreach ($open as $key => $from) {
            $this->note($from, $tick, $key, $track);
        }
    }

    /** @param array<int, int> $open */
    private function message(int $status, int $tick, int $track, array &$open): void
    {
        $kind = $status >> 4;
        $key = ord($this->take(1)) & 0x7F;
        $value = $kind === 0xC || $kind === 0xD ? 0 : ord($this->take(1)) & 0x7F;
        if ($kind !== 0x8 && $kind !== 0x9) {
            return;
        }
        if (($status & 0x0F) === self::PERCUSSION) {
            $this->notRead['percussion'] = true;

            return;
        }
        if (isset($open[$key])) {
            $this->note($open[$key], $tick, $key, $track);
            unset($open[$key]);
        }
        if ($kind === 0x9 && $value > 0) {
            $open[$key] = $tick;
        }
    }

    private function note(int $from, int $to, int $key, int $track): void
    {
        if (count($this->notes) >= self::MAX_NOTES) {
            throw BadMidi::tooManyNotes(self::MAX_NOTES);
        }
        if ($key < self::LOWEST_KEY || $key > self::HIGHEST_KEY) {
            $this->notRead["the key {$key}, which is outside the 88 keys of a piano,"] = true;
        } elseif ($to > $from) {
            $this->notes[] = new MidiNote($from, $to, $key, $track);
        }
    }

    private function meta(int $status, int $tick): void
    {
        $type = $status === 0xFF ? ord($this->take(1)) : -1;
        $data = $this->take($this->length());
        match ($type) {
            0x03 => $this->title = $this->title === '' && $tick === 0 ? trim(mb_scrub(substr($data, 0, 400))) : $this->title,
            0x51 => $this->tempo ??= strlen($data) === 3 ? self::quarters($data) : null,
            0x58 => $this->time($data, $tick),
            0x59 => $this->key ??= self::keyOf($data),
            default => null,
        };
    }

    private static function quarters(string $data): ?int
    {
        $microseconds = self::int("\0{$data}");

        return $microseconds === 0 ? null : max(10, min(400, (int) round(60_000_000 / $microseconds)));
    }

    private function time(string $data, int $tick): void
    {
        try {
            if (strlen($data) >= 2) {
                $this->meters[] = [$tick, new Meter(ord($data[0]), 2 ** min(5, ord($data[1])))];
            }
        } catch (InvalidScore) {
            $this->notRead['a time signature of '.ord($data[0]).' beats'] = true;
        }
    }

    private static function keyOf(string $data): ?Key
    {
        $fifths = strlen($data) === 2 ? ord($data[0]) : 99;
        $fifths = $fifths > 127 ? $fifths - 256 : $fifths;

        return abs($fifths) > 7 ? null : new Key($fifths, ord($data[1]) === 1);
    }

    private function length(): int
    {
        $value = 0;
        for ($i = 0; $i < 4; $i++) {
            $byte = ord($this->take(1));
            $value = ($value << 7) | ($byte & 0x7F);
            if ($byte < 0x80) {
                return $value;
            }
        }
        throw BadMidi::damaged($this->at);
    }

    private function number(int $bytes): int
    {
        return self::int(str_pad($this->take($bytes), 4, "\0", STR_PAD_LEFT));
    }

    /** @param string $bytes four of them */
    private static function int(string $bytes): int
    {
        return (ord($bytes[0]) << 24) | (ord($bytes[1]) << 16) | (ord($bytes[2]) << 8) | ord($bytes[3]);
    }

    private function take(int $bytes): string
    {
        $taken = substr($this->bytes, $this->at, $bytes);
        if (strlen($taken) < $bytes) {
            throw BadMidi::cutShort($this->at);
        }
        $this->at += $bytes;

        return $taken;
    }
}
