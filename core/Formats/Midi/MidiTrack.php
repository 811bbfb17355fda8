<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Meter;

/** One track of a MIDI file while it is written. */
final class MidiTrack
{
    private const TEMPO = 0x51;

    private const TIME = 0x58;

    private const KEY = 0x59;

    /** @var list<array{int, int, string}> tick, rank at the same tick, bytes */
    private array $events = [];

    public function __construct(string $name)
    {
        $this->meta(0, 0x03, mb_strcut($name, 0, 120));
    }

    /** @param int $quarters a minute */
    public function tempo(int $tick, int $quarters): void
    {
        $this->meta($tick, self::TEMPO, substr(pack('N', intdiv(60_000_000, max(4, $quarters))), 1));
    }

    public function time(int $tick, Meter $meter): void
    {
        $clocks = $meter->isCompound() ? 36 : intdiv(96, $meter->unit);
        $this->meta($tick, self::TIME, pack('CCCC', $meter->count, (int) log($meter->unit, 2), max(1, $clocks), 8));
    }

    public function key(int $tick, Key $key): void
    {
        $this->meta($tick, self::KEY, pack('cC', $key->fifths, $key->minor ? 1 : 0));
    }

    public function note(int $from, int $to, int $key, int $velocity, int $channel): void
    {
        if ($key < 0 || $key > 127) {
            return;
        }
        $this->events[] = [$from, 2, pack('CCC', 0x90 | $channel, $key, $velocity)];
        // A key is let go before it is struck again at the same moment.
        $this->events[] = [max($from + 1, $to), 1, pack('CCC', 0x80 | $channel, $key, 0)];
    }

    /** @param int $end the tick the track ends at, at the earliest */
    public function bytes(int $end): string
    {
        usort($this->events, static fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);
        $bytes = '';
        $at = 0;
        foreach ($this->events as [$tick, , $event]) {
            $bytes .= self::length($tick - $at).$event;
            $at = $tick;
        }

        return $bytes.self::length(max(0, $end - $at))."\xFF\x2F\x00";
    }

    private function meta(int $tick, int $type, string $data): void
    {
        $this->events[] = [$tick, 0, pack('CC', 0xFF, $type).self::length(strlen($data)).$data];
    }

    /** A length of variable size: seven bits a byte, the last without its top bit. */
    private static function length(int $value): string
    {
        $bytes = chr($value & 0x7F);
        for ($value >>= 7; $value > 0; $value >>= 7) {
            $bytes = chr(0x80 | ($value & 0x7F)).$bytes;
        }

        return $bytes;
    }
}
