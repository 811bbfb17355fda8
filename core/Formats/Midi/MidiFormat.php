<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Formats\HowToRead;
use Nasturtium\Core\Formats\MusicFormat;
use Nasturtium\Core\Formats\ReadScore;

/** Standard MIDI files. */
final readonly class MidiFormat implements MusicFormat
{
    public function endings(): array
    {
        return ['.mid', '.midi'];
    }

    public function accepts(string $bytes): bool
    {
        return str_starts_with($bytes, 'MThd');
    }

    public function isPlayed(): bool
    {
        return true;
    }

    public function parts(string $bytes): array
    {
        return [];
    }

    public function read(string $bytes, HowToRead $how): ReadScore
    {
        return MidiReader::read($bytes, $how->grid, $how->pickup);
    }
}
